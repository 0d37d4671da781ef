import { runsOf } from '../../bench/groups';
import { sayGroup } from '../../bench/say-group';
import { measuresOf } from '../../bench/measures';
import { alikeRuns, sayAlike, sayNumbers } from '../../bench/alike';
import { whiteOutName } from '../../bench/say-white-out';
import type { Step } from '../../bench/step';
import type { Stroke } from '../../bench/strokes';
import { whiteOutPlaces } from '../../bench/white-out-places';
import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import { worthKeeping } from '../../kit/offcut';
import { fine, ruled } from '../../measure/fraction';
import { isWriting, pieceIndex } from '../../spread/placement';
import { counted } from '../../spread/voice';
import { FRAME } from '../pdf/paper';
import type { Printing } from './sheet-of-work';

/** Room for the pictures beside the steps, mm. */
const THUMB = { w: 15, h: 9 };

/** The steps to tick, in their groups, each with its sticker small. */
export function printSteps(printing: Printing): void {
  const { paper, bench, voice } = printing;
  paper.turn();
  for (const run of runsOf(bench.steps)) {
    paper.heading(sayGroup(voice, run.group));
    for (const alike of alikeRuns(run.steps, printing.voice)) printSet(printing, alike);
  }
}

/** A step, or several that are alike. */
function printSet(printing: Printing, alike: readonly Step[]): void {
  const { paper, bench, context, voice, faceOf } = printing;
  const [step] = alike as readonly [Step];
  const lines = paper.wrap(
    `${sayNumbers(alike)}. ${sayAlike(alike, voice, measuresOf(context, bench))}${[...new Set(alike.map((s) => kept(s, printing)))].join('')}`,
    paper.room.w - THUMB.w - 9,
    9.5,
  );
  const high = Math.max(lines.length * 4.4, step.do === 'write' || step.do === 'white-out' ? 0 : THUMB.h) + 1.4;
  paper.need(high);
  const { x, y } = paper.room;
  paper.rect(x, y + 0.7, 3.2, 3.2, FRAME, 0.6);
  const piece = pieceOf(printing, step);
  if (piece) {
    const wide = Math.min(piece.width, 60);
    const scale = Math.min(1, THUMB.w / wide, THUMB.h / piece.height);
    const left = x + 6 + (THUMB.w - wide * scale) / 2;
    paper.within({ x: left, y: y + 0.2, w: wide * scale, h: piece.height * scale }, () =>
      paper.place(faceOf(piece), left, y + 0.2, scale),
    );
  }
  lines.forEach((line, i) => paper.text(line, x + THUMB.w + 9, y + 3.5 + i * 4.4, 9.5));
  paper.skip(high);
  if (step.about.is === 'white-out') printWhiteOut(printing, step.about.strokes);
}

/** White-out by where on the page it is; the strokes themselves are shaded on the tracing page. */
function printWhiteOut({ paper, context }: Printing, strokes: readonly Stroke[]): void {
  for (const place of whiteOutPlaces(strokes))
    paper.paragraph(
      `${whiteOutName({ context }, place)}: ${counted(place.count, 'stroke')}, ${ruled(place.length, context.book.unit)}`,
      { size: 8.5, indent: THUMB.w + 9 },
    );
}

const kept = ({ about }: Step, { context }: Printing): string => {
  if (about.is !== 'cut') return '';
  const left = about.cut.left.filter(worthKeeping);
  if (!left.length) return '';
  const { unit } = context.book;
  return ` Keep ${left.map((o) => (o.rows ? counted(o.rows, 'row') : `${fine(o.w, unit)} × ${fine(o.h, unit)}`)).join(' and ')}.`;
};

function pieceOf({ bench, context }: Printing, step: Step): Piece | undefined {
  const index = pieceIndex(context);
  if (step.about.is === 'cut') return index.get(pieceKey(step.about.cut));
  if (step.about.is !== 'lay') return undefined;
  const p = bench.placements.find((q) => q.id === step.refs[0]);
  return p && !isWriting(p) ? index.get(pieceKey(p)) : undefined;
}
