import { CAUTIONS } from '../../bench/cautions';
import { USUAL_PACE, secondsOf } from '../../bench/pace';
import { totalsOf } from '../../bench/totals';
import { reeled } from '../../measure/fraction';
import { counted, kitName } from '../../spread/voice';
import { FRAME, STOP } from '../pdf/paper';
import { sayLacking } from '../say-lacking';
import { pageForm } from './page-form';
import type { Printing } from './sheet-of-work';
import { laidLooks } from '../../spread/looks-name';

/** The week at a glance: the spread small, what it takes, and the cautions of the trade. */
export function printCover(printing: Printing, title: string): void {
  const { paper, context, bench, voice, lacking } = printing;
  paper.turn();
  paper.heading('Bench sheet');
  paper.paragraph(title, { size: 10.5 });
  const { x, y, w } = paper.room;
  const { pages } = context.book;
  const wide = pages.reduce((sum, p) => sum + p.width, 0);
  const high = Math.max(...pages.map((p) => p.height));
  const scale = Math.min(1, w / wide, MOST_HIGH / high);
  let at = x + (w - wide * scale) / 2;
  pages.forEach((page, i) => {
    paper.place(pageForm(printing, i), at, y + 2, scale);
    paper.rect(at, y + 2, page.width * scale, page.height * scale, FRAME, 0.4);
    at += page.width * scale;
  });
  paper.skip(high * scale + 6);
  const t = totalsOf(context, bench);
  const { unit } = context.book;
  const minutes = Math.round(secondsOf(bench.steps, USUAL_PACE) / 300) * 5;
  paper.heading('What it takes');
  const lines = [
    `${counted(t.pieces, 'sticker')} from ${counted(t.sheets, 'sheet')} of ${kitName(voice, context.kit.name)}; ${counted(t.stacks, 'stack')} built on the backing sheet.`,
    `${reeled(t.tape, unit)} of correction tape. ${counted(t.cut, 'sticker')} under the knife, ${counted(t.parts, 'part')} of them.`,
    ...t.washi.map((s) => `${reeled(s.mm, unit)} of ${laidLooks(voice, s)}, in ${counted(s.pieces, 'strip')}.`),
    `Left after it: ${t.left.whole} of ${t.left.all} stickers whole${t.kept ? `, and ${counted(t.kept, 'leftover')} worth keeping` : ''}.`,
    `${counted(t.texts, 'text')} to write, ${counted(t.rows, 'row')} of lists. ${counted(bench.steps.length, 'step')}, about ${minutes} minutes at a usual pace.`,
  ];
  for (const line of lines) paper.paragraph(line);
  if (lacking.length) paper.paragraph(sayLacking(lacking), { color: STOP });
  paper.skip(3);
  for (const work of ['white-out', 'cut', 'place'] as const)
    if (bench.steps.some((s) => s.do === work || (work === 'place' && s.do === 'stack')))
      paper.paragraph(CAUTIONS[work] ?? '', { size: 8.5, color: STOP });
}

/** The spread on the cover is no higher, mm. */
const MOST_HIGH = 130;
