import { topOf } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName, twoLengths } from '../spread/voice';
import { longestFree } from '../spread/open-places';
import { ROOM_FOR_ONE } from '../spread/free-room';
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
      const { usable, bare } = longestFree(
        draft,
        view.context,
        day,
        view.openPlaces.filter((p) => p.day === day),
      );
      if (usable >= ROOM_FOR_ONE) return [];
      return [
        {
          rule: 'D3',
          severity: 'look',
          ...topOf(view, day),
          placements: view.placements
            .filter((p) => p.day === day && (p.role === 'finish' || p.role === 'box'))
            .map((p) => p.id)
            .sort(),
          about: { is: 'full', days: [day], bare, needs: ROOM_FOR_ONE + bare - usable },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly days: readonly [number];
  /** bare paper in the longest free place, and what the lowest label takes of it with its gaps, mm */
  readonly bare: number;
  readonly needs: number;
}

function say({ about }: Found, voice: Voice): Said {
  const [free, needed] = twoLengths(voice, about.bare, about.needs);
  return {
    message: `${dayName(voice, about.days[0])} has no place left for what comes up: ${about.bare > 0 ? `${free} are bare in one place` : 'only gaps are bare'}, and the lowest label needs ${needed} with its gaps.`,
    remedy: 'Take a deco piece off, or move something to a neighbor day.',
  };
}
