import { rgb } from 'pdf-lib';
import { pageName } from '../../bench/measure-from';
import type { Step } from '../../bench/step';
import { strokesOf } from '../../bench/strokes';
import { footprint, isWriting } from '../../spread/placement';
import type { Placement } from '../../spread/placement';
import { sentence } from '../../spread/voice';
import { FAINT, FRAME, STOP } from '../pdf/paper';
import { pageForm } from './page-form';
import type { Printing } from './sheet-of-work';

/** Each page in true size as it will be, with the number of its step on every piece. */
export function printMaps(printing: Printing): void {
  const { paper, context, bench } = printing;
  const numbers = numbersOf(bench.steps);
  context.book.pages.forEach(({ width, height }, page) => {
    const form = pageForm(printing, page);
    paper.trueSize(width, height, `${nameOf(printing, page)} in true size. The numbers are the steps.`, (x, y) => {
      paper.place(form, x, y);
      paper.rect(x, y, width, height, FRAME, 0.6);
      for (const p of bench.placements.filter((q) => q.page === page)) {
        const n = numbers.get(p.id);
        const at = footprint(p);
        if (n !== undefined) paper.bubble(n, x + at.x + 1.4, y + at.y + 1.4);
      }
    });
  });
}

/**
 * Each page in true size as outlines, to be laid under the paper or traced from: what is whited out is shaded, a cross
 * marks the middle of every piece.
 */
export function printTracing(printing: Printing): void {
  const { paper, context, bench } = printing;
  const numbers = numbersOf(bench.steps);
  const strokes = strokesOf({ book: context.book, placements: bench.placements }, bench.whiteOut);
  context.book.pages.forEach(({ width, height }, page) => {
    const said = `${nameOf(printing, page)} to trace from, in true size. White out what is shaded.`;
    paper.trueSize(width, height, said, (x, y) => {
      for (const w of strokes.filter((s) => s.page === page))
        paper.rect(x + w.x - 0.4, y + w.y - 0.4, w.w + 0.8, w.h + 0.8, STOP, 0, SHADE);
      for (const p of bench.placements.filter((q) => q.page === page)) outlined(printing, p, numbers.get(p.id), x, y);
      paper.rect(x, y, width, height, FRAME, 0.8);
    });
  });
}

const SHADE = rgb(0.93, 0.75, 0.79);

function outlined({ paper }: Printing, p: Placement, n: number | undefined, x: number, y: number): void {
  const at = footprint(p);
  const [cx, cy] = [x + at.x + at.w / 2, y + at.y + at.h / 2];
  paper.rect(x + at.x, y + at.y, at.w, at.h, n === undefined ? FAINT : FRAME, n === undefined ? 0.3 : 0.5);
  if (n === undefined) return;
  paper.line(cx - 1, cy, cx + 1, cy, FAINT, 0.3);
  paper.line(cx, cy - 1, cx, cy + 1, FAINT, 0.3);
  const name = isWriting(p) ? 'ink' : p.code;
  paper.text(`${n} ${name}`, x + at.x + 0.7, y + at.y + Math.min(at.h - 0.6, 2.6), at.h < 6 ? 5 : 6);
}

/** The number of each sticker's and writing's step; what shares its base's step has none of its own. */
function numbersOf(steps: readonly Step[]): Map<string, number> {
  return new Map(
    steps.flatMap((s) =>
      s.do === 'cut' || s.do === 'white-out'
        ? []
        : s.refs.slice(0, s.do === 'stack' ? 1 : undefined).map((r) => [r, s.n] as const),
    ),
  );
}

const nameOf = ({ context }: Printing, page: number): string => sentence(pageName(context.book, page));
