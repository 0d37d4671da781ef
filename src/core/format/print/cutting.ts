import { tableKits } from '../../kit/is-of';
import { worthKeeping } from '../../kit/offcut';
import type { Lying } from '../../kit/sheet-layout';
import { sheetsOf } from '../../kit/sheet-layout';
import { fine } from '../../measure/fraction';
import { kitName } from '../../spread/voice';
import { FAINT, FRAME, STOP } from '../pdf/paper';
import type { Printing } from './sheet-of-work';
import { stepsOfCuts } from './steps-of-cuts';

/** Each sheet that something is cut from, in true size: where the knife goes, how large the part is, what is kept. */
export function printCutting({ paper, context, bench, faceOf, voice }: Printing): void {
  const steps = stepsOfCuts(bench);
  const { unit } = context.book;
  for (const kit of tableKits(context))
    for (const sheet of sheetsOf(kit)) {
      const here = sheet.lying.flatMap((lying) => {
        const cut = bench.cuts.find((c) => c.kit === kit.name && c.code === lying.piece.code && c.copy === lying.copy);
        return cut ? [{ lying, cut }] : [];
      });
      if (!here.length) continue;
      const said = `${kitName(voice, kit.name)}, sheet ${sheet.number}, in true size: ${here.length} to cut. Lay it beside yours.`;
      paper.trueSize(sheet.width, sheet.height, said, (x, y) => {
        paper.rect(x, y, sheet.width, sheet.height, FAINT, 0.5);
        const cutHere = new Set(here.map((h) => h.lying));
        const laid = (l: Lying, alpha: number) => paper.place(faceOf(l.piece), x + l.x, y + l.y, 1, alpha);
        for (const l of sheet.lying) laid(l, cutHere.has(l) ? 0.9 : 0.16);
        for (const { lying: l, cut } of here) {
          for (const r of cut.left.filter(worthKeeping)) {
            paper.rect(x + l.x + r.x, y + l.y + r.y, r.w, r.h, FAINT, 0.4);
            if (r.h > 4) paper.text('keep', x + l.x + r.x + 1, y + l.y + r.y + r.h - 1.2, 6, undefined, FRAME);
          }
          for (const r of cut.pieces) {
            paper.rect(x + l.x + r.x, y + l.y + r.y, r.w, r.h, STOP, 0.9);
            paper.label(
              `${fine(r.w, unit)} × ${fine(r.h, unit)}`,
              x + l.x + r.x + 6,
              y + l.y + r.y + Math.min(r.h - 0.8, 3.4),
            );
          }
          paper.bubble(steps.get(cut) ?? 0, x + l.x + 2.4, y + l.y + 2.4);
        }
      });
    }
}
