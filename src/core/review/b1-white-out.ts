import { whiteOutName } from '../bench/say-white-out';
import type { WhiteOutPlace } from '../bench/white-out-places';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, mm, sentence } from '../spread/voice';
import { tapeLength } from '../bench/strokes';
import { pageName } from '../bench/measure-from';
import { whiteOutPlaces } from '../bench/white-out-places';

/** B1: white out before covering; whatever is translucent or leaves part of a mark bare needs it first. */
export const b1WhiteOut: Rule<Case> = {
  code: 'B1',
  title: 'White out before covering',
  say,
  check(view) {
    return view.toWhiteOut.flatMap(({ list, strokes }, page): Found[] => {
      const [first] = list;
      if (!first) return [];
      return [
        {
          rule: 'B1',
          severity: 'look',
          page,
          x: first.x,
          y: first.y,
          placements: [],
          about: { is: 'shows', mm: tapeLength(strokes), count: strokes.length, where: whiteOutPlaces(strokes) },
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
    message: `${sentence(pageName(voice.context.book, page))}: printed marks would show; to white them out takes ${counted(about.count, 'stroke')}, ${mm(voice, about.mm)} of tape (${where}).`,
    remedy: 'White them out before anything is laid down; the bench list says where.',
  };
}
