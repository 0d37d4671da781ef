import { NEAR, isNearBinding } from '../bench/near-binding';
import type { Finding, Rule } from './finding';
import { counted, mm } from './say';

/** P3: near the binding write short, or take the page out, or write on the sticker before it goes down. */
export const p3NearTheBinding: Rule = {
  code: 'P3',
  title: 'Writing near the binding comes first',
  check(view) {
    const { book, ways } = view.context;
    if (ways.nearBinding === 'written first') return [];
    return book.pages.flatMap((page, n): Finding[] => {
      const near = view.placements.filter((p) => p.page === n && isNearBinding(book, p));
      const first = near[0];
      if (!first) return [];
      return [
        {
          rule: 'P3',
          severity: 'look',
          page: n,
          x: first.x,
          y: first.y,
          placements: near.map((p) => p.id),
          message: `${counted(near.length, 'text')} on the ${page.bindingSide === 'right' ? 'left' : 'right'} page ${near.length === 1 ? 'is' : 'are'} to be written within ${mm(view, NEAR)} of the ${book.binding.kind}.`,
          remedy: 'Write on these stickers before they go down.',
        },
      ];
    });
  },
};
