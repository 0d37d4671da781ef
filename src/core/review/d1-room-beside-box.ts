import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, dayName, mm } from '../spread/voice';
import { isPlannedAhead } from '../spread/ahead';

/** D1: a full box only where the day still holds all its items. */
export const d1RoomBesideBox: Rule<Case> = {
  code: 'D1',
  title: 'A full box leaves room for the day',
  say,
  check: (view) =>
    view.placements
      .filter((p) => p.role === 'box' && p.day !== null)
      .flatMap((box): Found[] => {
        const without = view.unplaced.filter((u) => u.demand.day === box.day && isPlannedAhead(u.demand, view.context));
        if (!without.length) return [];
        return [
          {
            rule: 'D1',
            severity: 'fix',
            ...at(box),
            placements: [box.id],
            about: { is: 'no room', days: [box.day as number], demands: without.map((u) => u.demand.key), mm: box.h },
          },
        ];
      }),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly days: readonly [number];
  readonly demands: readonly string[];
  readonly mm: number;
}

function say({ about }: Found, voice: Voice): Said {
  const n = about.demands.length;
  return {
    message: `${dayName(voice, about.days[0])}’s full box takes ${mm(voice, about.mm)} while ${counted(n, 'item')} of the day ${n === 1 ? 'has' : 'have'} no place.`,
    remedy: `Take the box out, or move ${n === 1 ? 'the item' : 'items'} to a neighbor day.`,
  };
}
