import type { Demand } from '../week/demand';
import type { Finding, Rule } from './finding';
import { at, counted, dayName, topOf } from './say';

/** D6: one thing, one place; the same item twice on a day is a mistake unless it is really done twice. */
export const d6Twice: Rule = {
  code: 'D6',
  title: 'One thing, one place',
  check(view) {
    const sameTitle = new Map<string, Demand[]>();
    for (const d of view.context.week.demands) {
      const key = `${d.day}|${d.title.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ').trim()}`;
      sameTitle.set(key, [...(sameTitle.get(key) ?? []), d]);
    }
    const entered = [...sameTitle.values()].filter((list) => list.length > 1 && new Set(list.map((d) => d.start)).size < list.length).map((list): Finding => {
      const [first] = list as [Demand, ...Demand[]];
      const placed = list.flatMap((d) => view.carriers.get(d.key) ?? []);
      const lists = list.filter((d) => d.list).length;
      return {
        rule: 'D6', severity: 'look', ...(placed[0] ? at(placed[0]) : topOf(view, first.day)), placements: placed.map((p) => p.id),
        message: `“${first.title}” comes ${counted(list.length, 'time')} on ${dayName(view, first.day)}${lists && lists < list.length ? ', once on a list and once alone' : ''}.`,
        remedy: 'Take one out of the agenda, unless it is really done twice.',
      };
    });
    return [...entered, ...placedTooOften(view.context.week.demands, view)];
  },
};

function placedTooOften(demands: readonly Demand[], view: Parameters<Rule['check']>[0]): Finding[] {
  const uids = [...new Set(view.placements.flatMap((p) => p.items))];
  return uids.flatMap((uid): Finding[] => {
    const wanted = demands.filter((d) => d.uid === uid);
    const places = view.placements.filter((p) => p.items.includes(uid));
    const first = wanted[0];
    if (!first || first.kind === 'band' || places.length <= wanted.length) return [];
    const extra = places[wanted.length] as (typeof places)[number];
    return [{
      rule: 'D6', severity: 'fix', ...at(extra), placements: places.map((p) => p.id),
      message: `“${first.title}” has ${places.length} places and is wanted ${counted(wanted.length, 'time')}.`,
      remedy: `Take ${counted(places.length - wanted.length, 'piece')} off.`,
    }];
  });
}
