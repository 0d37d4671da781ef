import { longDay } from '../week/day-names';
import type { Finding, Rule } from './finding';
import { lateItems } from './late-items';
import { counted, sentence, topOf } from './say';

/** D4: a late item is let in with the fewest moves of what is already down. */
export const d4LateItems: Rule = {
  code: 'D4',
  title: 'Late items go in with the fewest moves',
  check: (view) =>
    [...lateItems(view)].map(([demand, { moved, change }]): Finding => ({
      rule: 'D4',
      severity: 'stop',
      ...topOf(view, demand.day),
      placements: change.before
        .filter((p) => p.layer === 0)
        .map((p) => p.id)
        .sort(),
      message: `“${demand.title.slice(0, 48)}” came late to ${longDay(view.context.week.days[demand.day] as string)}; ${moved === 0 ? 'there is room, and nothing has to move' : `it goes in when ${counted(moved, 'piece')} ${moved === 1 ? 'moves' : 'move'}`}.`,
      remedy: `${sentence(moved === 0 ? 'let it in' : 'let it in; what is stuck down stays')}.`,
    })),
};
