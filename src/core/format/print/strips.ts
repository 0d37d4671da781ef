import { shownCut } from '../../art/draw-piece';
import { thePage } from '../../bench/measure-from';
import type { Piece } from '../../kit/kit';
import { isRoll, pieceKey } from '../../kit/kit';
import { fine } from '../../measure/fraction';
import type { Rect } from '../../measure/rect';
import { pieceIndex } from '../../spread/placement';
import { FAINT, STOP } from '../pdf/paper';
import type { Printing } from './sheet-of-work';
import { stepsOfCuts } from './steps-of-cuts';
import { looksName } from '../../spread/looks-name';
import { sentence } from '../../spread/voice';

/** Room for a strip's words over it, and between two strips, mm. */
const WORDS = 4.5;
const APART = 3;
/** What goes on in the next line is shown again for so long, mm. */
const AGAIN = 10;

/**
 * Every strip that comes off a roll, in true size, one below the other: the roll is laid on it and cut at its ends. One
 * that is longer than the paper goes on in the next line.
 */
export function printStrips(printing: Printing): void {
  const { paper, context, bench, voice } = printing;
  const index = pieceIndex(context);
  const steps = stepsOfCuts(bench);
  const rolls = bench.cuts.flatMap((cut) => {
    const piece = index.get(pieceKey(cut));
    return piece && isRoll(piece) ? [{ cut, piece }] : [];
  });
  if (!rolls.length) return;
  paper.turn();
  paper.heading('Strips off the rolls');
  paper.paragraph('In true size. Lay the roll on a strip, and cut where it ends.');
  const { unit } = context.book;
  for (const { cut, piece } of rolls)
    for (const strip of cut.pieces) {
      const laid = voice.placement(strip.placement);
      const said = `${sentence(looksName(piece))}, ${fine(strip.w, unit)} × ${fine(strip.h, unit)}${laid ? `, for ${thePage(context.book, laid.page)}` : ''}`;
      printStrip(printing, piece, strip, steps.get(cut) ?? 0, said);
    }
}

function printStrip({ paper, faceOf }: Printing, piece: Piece, strip: Rect, step: number, said: string): void {
  const most = paper.room.w;
  for (let from = 0; from < strip.w; from += most - AGAIN) {
    const length = Math.min(most, strip.w - from);
    paper.need(WORDS + strip.h + APART);
    const shown = shownCut(piece, { ...strip, x: strip.x + from, w: length });
    const { x, y } = paper.room;
    const top = y + WORDS;
    const goesOn = from + length < strip.w - 0.01;
    const more = from > 0 ? `, goes on: the first ${AGAIN} mm are the last of the line above` : '';
    paper.text(`${said}${more}`, x + 6, y + WORDS - 1.2, 8, undefined, FAINT);
    paper.bubble(step, x + 2.4, y + WORDS - 2.2);
    paper.within({ x, y: top, w: length, h: strip.h }, () =>
      paper.place(faceOf(piece), x - shown.x, top - shown.y, 1, 0.9),
    );
    const whole = from === 0 && !goesOn;
    paper.rect(x, top, length, strip.h, whole ? STOP : FAINT, whole ? 0.9 : 0.4);
    // the knife goes at its two ends alone
    if (!whole && from === 0) paper.line(x, top, x, top + strip.h, STOP, 0.9);
    if (!whole && !goesOn) paper.line(x + length, top, x + length, top + strip.h, STOP, 0.9);
    paper.skip(WORDS + strip.h + APART);
    if (!goesOn) break;
  }
}
