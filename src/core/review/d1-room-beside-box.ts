import { isPlannedAhead } from '../spread/ahead';
import type { Finding, Rule } from './finding';
import { at, counted, dayName, mm } from './say';

/** D1: a full box only where the day still holds all its items. */
export const d1RoomBesideBox: Rule = {
  code: 'D1',
  title: 'A full box leaves room for the day',
  check: (view) =>
    view.placements
      .filter((p) => p.role === 'box' && p.day !== null)
      .flatMap((box): Finding[] => {
        const without = view.unplaced.filter((u) => u.demand.day === box.day && isPlannedAhead(u.demand, view.context));
        if (!without.length) return [];
        return [
          {
            rule: 'D1',
            severity: 'fix',
            ...at(box),
            placements: [box.id],
            message: `${dayName(view, box.day as number)}’s full box takes ${mm(view, box.h)} while ${counted(without.length, 'item')} of the day ${without.length === 1 ? 'has' : 'have'} no place.`,
            remedy: `Take the box out, or move ${without.length === 1 ? 'the item' : 'items'} to a neighbor day.`,
          },
        ];
      }),
};
