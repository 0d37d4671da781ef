import { besidePlaces } from '../spread/open-places';
import { freeStretches, lengthOf } from '../spread/free-room';
import { dayColumn } from '../book/columns';
import type { Finding, Rule } from './finding';
import { dayName, mm, topOf } from './say';

/** The least room for one thing that comes up: a flag's height, mm (handbook 3). */
const ROOM = 9;

/** D3: each day keeps a place for what comes up. */
export const d3RoomForMore: Rule = {
  code: 'D3',
  title: 'Room is left for what comes up',
  check(view) {
    if (!view.carriers.size) return [];
    const { draft } = view;
    return [0, 1, 2, 3, 4, 5, 6].flatMap((day): Finding[] => {
      if (!dayColumn(view.context.book, day)) return [];
      const longest = Math.max(
        0,
        ...besidePlaces(
          freeStretches(draft, view.context, day),
          view.openPlaces.filter((p) => p.day === day),
          view.context.options.gap,
        ).map(lengthOf),
      );
      if (longest >= ROOM) return [];
      return [
        {
          rule: 'D3',
          severity: 'look',
          ...topOf(view, day),
          placements: view.placements
            .filter((p) => p.day === day && (p.role === 'finish' || p.role === 'box'))
            .map((p) => p.id)
            .sort(),
          message: `${dayName(view, day)} has no place left for what comes up: ${mm(view, longest)} in one piece, and the lowest label takes ${mm(view, ROOM)}.`,
          remedy: 'Take a deco piece off, or move something to a neighbor day.',
        },
      ];
    });
  },
};
