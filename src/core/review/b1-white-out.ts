import { sayWhiteOut } from '../bench/steps';
import { tapeLength } from '../bench/white-out';
import { pageName } from '../bench/measure-from';
import { whiteOutPlaces } from '../bench/white-out-places';
import type { Finding, Rule } from './finding';
import { counted, mm, sentence } from './say';

/** B1: white out before covering; whatever is translucent or leaves part of a mark bare needs it first. */
export const b1WhiteOut: Rule = {
  code: 'B1',
  title: 'White out before covering',
  check(view) {
    const { book, ticked } = view.context;
    return book.pages.flatMap((_, page): Finding[] => {
      const list = view.whiteOut.filter((w) => w.page === page);
      const first = list[0];
      if (!first || ticked.includes(sayWhiteOut(view.context, list))) return [];
      const said = whiteOutPlaces(view.context, list)
        .map((p) => `${p.name} ${mm(view, p.length)}`)
        .join(', ');
      return [
        {
          rule: 'B1',
          severity: 'look',
          page,
          x: first.x,
          y: first.y,
          placements: [],
          message: `${sentence(pageName(book, page))}: ${mm(view, tapeLength(list))} of printed marks would show, in ${counted(list.length, 'place')} (${said}).`,
          remedy: 'White them out before anything is laid down; the bench list says where.',
        },
      ];
    });
  },
};
