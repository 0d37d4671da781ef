import { esc, num } from '../../art/svg';
import { textWidth } from '../../art/lettering';
import { handAt } from '../../measure/hand';
import { dayName, withShortLine } from '../../spread/voice';
import { writtenOn } from '../written';
import type { Printing } from './sheet-of-work';

/** Columns of the page of texts, and mm between them. */
const COLUMNS = 3;
const GUTTER = 6;

/** What is to be written, as large as its owner writes it, by day: to be copied line by line. */
export function printTexts({ paper, forms, context, bench, voice }: Printing): void {
  const days = [null, 0, 1, 2, 3, 4, 5, 6].map((day) => ({
    day,
    texts: bench.placements.filter((p) => p.text && p.day === day),
  }));
  if (days.every((d) => d.texts.length === 0)) return;
  paper.turn();
  paper.heading('To write, in your hand’s size');
  const { w } = paper.room;
  const wide = (w - (COLUMNS - 1) * GUTTER) / COLUMNS;
  let column = 0;
  let top = paper.room.y + 2;
  let y = top;
  const take = (mm: number): number => {
    if (y + mm > paper.foot) {
      column++;
      if (column === COLUMNS) {
        paper.turn();
        column = 0;
        top = paper.room.y + 2;
      }
      y = top;
    }
    const at = y;
    y += mm;
    return at;
  };
  const left = (): number => paper.room.x + column * (wide + GUTTER);
  for (const { day, texts } of days) {
    if (!texts.length) continue;
    const at = take(8);
    paper.text(day === null ? 'Sidebar and strips' : dayName(voice, day), left(), at + 4.5, 10.5);
    for (const p of texts) {
      const hand = handAt(context.options.hand, p.size);
      const written = writtenOn(context, p, bench.placements);
      const size = written?.size ?? hand.linePitch;
      const lines = written?.lines.map((l) => l.text) ?? [];
      for (const line of lines) {
        const pitch = Math.max(hand.linePitch, size);
        const from = take(pitch);
        const short = withShortLine(line);
        const squeeze =
          textWidth(short, 'Caveat') * size > wide ? ` textLength="${num(wide)}" lengthAdjust="spacingAndGlyphs"` : '';
        const svg = `<text x="0" y="${num(pitch * 0.75)}" font-family="Caveat" font-size="${num(size)}" fill="#1f2423"${squeeze}>${esc(short)}</text>`;
        paper.place(forms.form(svg, { x: 0, y: 0, w: wide, h: pitch + 2 }), left(), from);
      }
      take(1.6);
    }
    take(3);
  }
}
