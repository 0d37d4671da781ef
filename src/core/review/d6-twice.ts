import type { Demand } from '../week/demand';
import { lookAlikes, pairKey } from '../week/twice';
import type { Finding, Rule } from './finding';
import { at, counted, dayName, topOf } from './say';

/** D6: one thing, one place; the same item twice is a mistake unless it is really done twice. */
export const d6Twice: Rule = {
  code: 'D6',
  title: 'One thing, one place',
  check(view) {
    const { demands, bothMeant } = view.context.week;
    const pairs = lookAlikes(demands).filter(({ one, other }) => !bothMeant?.includes(pairKey(one.uid, other.uid)));
    const entered = pairs.map(({ one, other, how }): Finding => {
      const placed = [one, other].flatMap((d) => view.carriers.get(d.key) ?? []);
      const days = one.day === other.day ? `on ${dayName(view, one.day)}` : `on ${dayName(view, one.day)} and ${dayName(view, other.day)}`;
      const onList = Boolean(one.list) !== Boolean(other.list) ? ', once on a list and once alone' : '';
      return {
        rule: 'D6', severity: 'look', ...(placed[0] ? at(placed[0]) : topOf(view, one.day)), placements: placed.map((p) => p.id),
        message: how === 'same' ? `“${one.title}” comes twice ${days}${onList}.` : `“${one.title}” and “${other.title}” ${days} may be one thing${onList}.`,
        remedy: 'Take one out of the agenda, or say there that both are meant.',
      };
    });
    return [...onceEach(entered), ...placedTooOften(view.context.week.demands, view)];
  },
};

/** Three of one title make three pairs, which are said once. */
const onceEach = (findings: readonly Finding[]): Finding[] => findings.filter((f, i) => findings.findIndex((g) => g.message === f.message) === i);

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
