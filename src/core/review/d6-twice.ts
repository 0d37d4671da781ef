import type { Placement } from '../spread/placement';
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
      const days =
        one.day === other.day
          ? `on ${dayName(view, one.day)}`
          : `on ${dayName(view, one.day)} and ${dayName(view, other.day)}`;
      const onList = Boolean(one.list) !== Boolean(other.list) ? ', once on a list and once alone' : '';
      return {
        rule: 'D6',
        severity: 'look',
        ...(placed[0] ? at(placed[0]) : topOf(view, one.day)),
        placements: placed.map((p) => p.id),
        message:
          how === 'same'
            ? `“${one.title}” comes twice ${days}${onList}.`
            : `“${one.title}” and “${other.title}” ${days} may be one thing${onList}.`,
        remedy: 'Take one out of the agenda, or say there that both are meant.',
      };
    });
    return [...onceEach(entered), ...placedTooOften(view.context.week.demands, view)];
  },
};

/** Three of one title make three pairs, which are said once. */
const onceEach = (findings: readonly Finding[]): Finding[] =>
  [...new Map([...findings].reverse().map((f) => [f.message, f])).values()].reverse();

function placedTooOften(demands: readonly Demand[], view: Parameters<Rule['check']>[0]): Finding[] {
  const wanted = new Map<string, Demand[]>();
  for (const d of demands) wanted.set(d.uid, [...(wanted.get(d.uid) ?? []), d]);
  const carried = new Map<string, Placement[]>();
  for (const p of view.placements) for (const uid of p.items) carried.set(uid, [...(carried.get(uid) ?? []), p]);
  return [...carried].flatMap(([uid, places]): Finding[] => {
    const times = wanted.get(uid)?.length ?? 0;
    const first = wanted.get(uid)?.[0];
    if (!first || first.kind === 'band' || places.length <= times) return [];
    return [
      {
        rule: 'D6',
        severity: 'fix',
        ...at(places[times] as Placement),
        placements: places.map((p) => p.id),
        message: `“${first.title}” has ${places.length} places and is wanted ${counted(times, 'time')}.`,
        remedy: `Take ${counted(places.length - times, 'piece')} off.`,
      },
    ];
  });
}
