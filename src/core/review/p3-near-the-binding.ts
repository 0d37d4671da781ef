import { footprint } from '../arrange/spread';
import { openPaper } from '../book/columns';
import { right } from '../measure/rect';
import type { Finding, Rule } from './finding';
import { counted, mm } from './say';

/** Writing nearer to the binding than this comes out crooked, mm. From memory. */
const NEAR = 8;

/** P3: near the binding write short, or take the page out, or write on the sticker before it goes down. */
export const p3NearTheBinding: Rule = {
  code: 'P3',
  title: 'Writing near the binding comes first',
  check(view) {
    const { book } = view.context;
    const comesOut = book.binding.kind === 'discs' || book.binding.kind === 'rings';
    if (comesOut || book.binding.width < 5) return [];
    return book.pages.flatMap((page, n): Finding[] => {
      const paper = openPaper(book, n);
      const edge = page.bindingSide === 'right' ? right(paper) : paper.x;
      const gapOf = (p: (typeof view.placements)[number]): number => (page.bindingSide === 'right' ? edge - right(footprint(p)) : footprint(p).x - edge);
      const near = view.placements.filter((p) => p.page === n && p.text && p.role === 'day' && gapOf(p) < NEAR);
      const first = near[0];
      if (!first) return [];
      return [{
        rule: 'P3', severity: 'look', page: n, x: first.x, y: first.y, placements: near.map((p) => p.id),
        message: `${counted(near.length, 'text')} on the ${page.bindingSide === 'right' ? 'left' : 'right'} page ${near.length === 1 ? 'is' : 'are'} to be written within ${mm(view, NEAR)} of the ${book.binding.kind}.`,
        remedy: 'Write on these stickers before they go down.',
      }];
    });
  },
};
