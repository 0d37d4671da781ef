import { topOf } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, dayName, titleOf } from '../spread/voice';
import { lateItems } from './late-items';

/** D4: a late item is let in with the fewest moves of what is already down. */
export const d4LateItems: Rule<Case> = {
  code: 'D4',
  title: 'Late items go in with the fewest moves',
  say,
  check: (view) =>
    [...lateItems(view)].map(([demand, { moved, change }]): Found => ({
      rule: 'D4',
      severity: 'stop',
      ...topOf(view, demand.day),
      placements: change.before
        .filter((p) => p.layer === 0)
        .map((p) => p.id)
        .sort(),
      about: { is: 'late', demands: [demand.key], days: [demand.day], moved },
    })),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly demands: readonly [string];
  readonly days: readonly [number];
  /** pieces that have to move for it */
  readonly moved: number;
}

function say({ about: { demands, days, moved } }: Found, voice: Voice): Said {
  const late = `“${titleOf(voice, demands[0]).slice(0, 48)}” came late to ${dayName(voice, days[0])}`;
  return moved === 0
    ? { message: `${late}; there is room, and nothing has to move.`, remedy: 'Let it in.' }
    : {
        message: `${late}; it goes in when ${counted(moved, 'piece')} ${moved === 1 ? 'moves' : 'move'}.`,
        remedy: 'Let it in; what is stuck down stays.',
      };
}
