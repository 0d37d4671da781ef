import { whiteOutName } from '../bench/say-white-out';
import { stillToWhiteOut } from '../bench/what-is-done';
import type { WhiteOutPlace } from '../bench/white-out-places';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, mm, sentence } from '../spread/voice';
import { tapeLength } from '../bench/white-out';
import { pageName } from '../bench/measure-from';
import { whiteOutPlaces } from '../bench/white-out-places';

/** B1: white out before covering; whatever is translucent or leaves part of a mark bare needs it first. */
export const b1WhiteOut: Rule<Case> = {
  code: 'B1',
  title: 'White out before covering',
  say,
  check(view) {
    const { book, ticked } = view.context;
    return book.pages.flatMap((_, page): Found[] => {
      const list = stillToWhiteOut(
        ticked,
        page,
        view.whiteOut.filter((w) => w.page === page),
      );
      const first = list[0];
      if (!first) return [];
      return [
        {
          rule: 'B1',
          severity: 'look',
          page,
          x: first.x,
          y: first.y,
          placements: [],
          about: { is: 'shows', mm: tapeLength(list), count: list.length, where: whiteOutPlaces(book, list) },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly mm: number;
  readonly count: number;
  readonly where: readonly WhiteOutPlace[];
}

function say({ about, page }: Found, voice: Voice): Said {
  const where = about.where.map((w) => `${whiteOutName(voice, w)} ${mm(voice, w.length)}`).join(', ');
  return {
    message: `${sentence(pageName(voice.context.book, page))}: ${mm(voice, about.mm)} of printed marks would show, in ${counted(about.count, 'place')} (${where}).`,
    remedy: 'White them out before anything is laid down; the bench list says where.',
  };
}
