import type { About, Finding, Rule, Said, View } from './finding';
import type { Voice } from '../spread/voice';
import { counted, dayName, titleOf } from '../spread/voice';
import { at, topOf } from './where';
import type { Placement } from '../spread/placement';
import type { Demand } from '../week/demand';
import { lookAlikes, pairKey } from '../week/twice';

/** D6: one thing, one place; the same item twice is a mistake unless it is really done twice. */
export const d6Twice: Rule<Case> = {
  code: 'D6',
  title: 'One thing, one place',
  say,
  check(view) {
    const { demands, bothMeant } = view.context.week;
    const pairs = lookAlikes(demands).filter(({ one, other }) => !bothMeant?.includes(pairKey(one.uid, other.uid)));
    const entered = pairs.map(({ one, other, how }): Found => {
      const placed = [one, other].flatMap((d) => view.carriers.get(d.key) ?? []);
      return {
        rule: 'D6',
        severity: 'look',
        ...(placed[0] ? at(placed[0]) : topOf(view, one.day)),
        placements: placed.map((p) => p.id),
        about: {
          is: how === 'same' ? 'entered twice' : 'look alike',
          demands: [one.key, other.key],
          days: [one.day, other.day],
          onList: Boolean(one.list) !== Boolean(other.list),
        },
      };
    });
    return [...onceEach(view, entered), ...placedTooOften(view.context.week.demands, view)];
  },
};

/** Three of one title make three pairs, which are said once. */
function onceEach(view: View, findings: readonly Found[]): Found[] {
  const titles = ({ about }: Found): string =>
    JSON.stringify([about.is, about.days, (about.demands ?? []).map((key) => view.demandOf(key)?.title)]);
  return [...new Map([...findings].reverse().map((f) => [titles(f), f])).values()].reverse();
}

function placedTooOften(demands: readonly Demand[], view: Parameters<Rule['check']>[0]): Found[] {
  const wanted = new Map<string, Demand[]>();
  for (const d of demands) wanted.set(d.uid, [...(wanted.get(d.uid) ?? []), d]);
  const carried = new Map<string, Placement[]>();
  for (const p of view.placements) for (const uid of p.items) carried.set(uid, [...(carried.get(uid) ?? []), p]);
  return [...carried].flatMap(([uid, places]): Found[] => {
    const times = wanted.get(uid)?.length ?? 0;
    const first = wanted.get(uid)?.[0];
    if (!first || first.kind === 'band' || places.length <= times) return [];
    return [
      {
        rule: 'D6',
        severity: 'fix',
        ...at(places[times] as Placement),
        placements: places.map((p) => p.id),
        about: { is: 'placed too often', demands: [first.key], days: [first.day], places: places.length, times },
      },
    ];
  });
}

type Found = Finding<Case>;

interface Entered extends About {
  readonly is: 'entered twice' | 'look alike';
  readonly demands: readonly [string, string];
  readonly days: readonly [number, number];
  /** once on a list and once alone */
  readonly onList: boolean;
}
interface Placed extends About {
  readonly is: 'placed too often';
  readonly demands: readonly [string];
  readonly places: number;
  readonly times: number;
}
type Case = Entered | Placed;

function say({ about }: Found, voice: Voice): Said {
  const [one, other] = about.demands.map((key) => `“${titleOf(voice, key)}”`);
  if (about.is === 'placed too often') {
    return {
      message: `${one} has ${about.places} places and is wanted ${counted(about.times, 'time')}.`,
      remedy: `Take ${counted(about.places - about.times, 'piece')} off.`,
    };
  }
  const days = [...new Set(about.days.map((day) => dayName(voice, day)))].join(' and ');
  const list = about.onList ? ', once on a list and once alone' : '';
  return {
    message:
      about.is === 'entered twice'
        ? `${one} comes twice on ${days}${list}.`
        : `${one} and ${other} on ${days} may be one thing${list}.`,
    remedy: 'Take one out of the agenda, or say there that both are meant.',
  };
}
