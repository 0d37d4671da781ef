import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, mm } from '../spread/voice';
import { NEAR, isNearBinding } from '../bench/near-binding';
import { isWriting } from '../spread/placement';

/** P3: near the binding write short, or take the page out, or write on the sticker before it goes down. */
export const p3NearTheBinding: Rule<Case> = {
  code: 'P3',
  title: 'Writing near the binding comes first',
  say,
  check(view) {
    const { book, ways } = view.context;
    return book.pages.flatMap((page, n): Found[] => {
      const near = view.placements.filter(
        (p) => p.page === n && isNearBinding(book, p) && (ways.nearBinding !== 'written first' || isWriting(p)),
      );
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
          about: {
            is: 'near',
            side: page.bindingSide === 'right' ? 'left' : 'right',
            mm: NEAR,
            count: near.length,
            onPaper: near.every(isWriting),
          },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly side: 'left' | 'right';
  readonly mm: number;
  readonly count: number;
  /** all of them stand straight on the paper */
  readonly onPaper: boolean;
}

function say({ about }: Found, voice: Voice): Said {
  return {
    message: `${counted(about.count, 'text')} on the ${about.side} page ${about.count === 1 ? 'is' : 'are'} to be written within ${mm(voice, about.mm)} of the ${voice.context.book.binding.kind}.`,
    remedy: about.onPaper
      ? 'Write these short, or lay them on stickers that are written on first.'
      : 'Write on these stickers before they go down.',
  };
}
