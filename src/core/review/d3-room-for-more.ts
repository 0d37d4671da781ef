import { topOf } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName, mm } from '../spread/voice';
import { besidePlaces } from '../spread/open-places';
import { ROOM_FOR_ONE, freeStretches, lengthOf } from '../spread/free-room';
import { dayColumn } from '../book/columns';

/** D3: each day keeps a place for what comes up. */
export const d3RoomForMore: Rule<Case> = {
  code: 'D3',
  title: 'Room is left for what comes up',
  say,
  check(view) {
    if (!view.carriers.size) return [];
    const { draft } = view;
    return [0, 1, 2, 3, 4, 5, 6].flatMap((day): Found[] => {
      if (!dayColumn(view.context.book, day)) return [];
      const longest = Math.max(
        0,
        ...besidePlaces(
          freeStretches(draft, view.context, day),
          view.openPlaces.filter((p) => p.day === day),
          view.context.options.gap,
        ).map(lengthOf),
      );
      if (longest >= ROOM_FOR_ONE) return [];
      return [
        {
          rule: 'D3',
          severity: 'look',
          ...topOf(view, day),
          placements: view.placements
            .filter((p) => p.day === day && (p.role === 'finish' || p.role === 'box'))
            .map((p) => p.id)
            .sort(),
          about: { is: 'full', days: [day], mm: longest },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly days: readonly [number];
  readonly mm: number;
}

function say({ about }: Found, voice: Voice): Said {
  return {
    message: `${dayName(voice, about.days[0])} has no place left for what comes up: ${mm(voice, about.mm)} in one piece, and the lowest label takes ${mm(voice, ROOM_FOR_ONE)}.`,
    remedy: 'Take a deco piece off, or move something to a neighbor day.',
  };
}
