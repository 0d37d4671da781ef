import { EVENING, NOON } from '../arrange/days/spacing';
import type { Finding, Rule, Said, View } from './finding';
import type { Voice } from '../spread/voice';
import { dayName, mm } from '../spread/voice';
import { at } from './where';
import type { Demand } from '../week/demand';
import { HOUR_CLOCKS, spokenTime, writtenTime } from '../week/demand';
import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { freeStretches } from '../spread/free-room';
import { hoursOf, yOfMinute } from '../book/hours';
import { TOLERANCE } from '../measure/length';
import { intersect } from '../measure/rect';
import { isList } from '../spread/is-list';

/** D2: items run down their own day's column by time. */
export const d2TimeOrder: Rule<Case> = {
  code: 'D2',
  title: 'Items run down the day by time',
  say,
  check(view) {
    const carried = view.context.week.demands.flatMap((d) => {
      const p = view.carriers.get(d.key);
      return p && d.kind !== 'band' ? [{ d, p }] : [];
    });
    const over = view.placements.filter((p) => p.layer > 0);
    const strayed = carried
      .filter(({ d, p }) => p.day !== null && p.day !== d.day)
      .map(({ d, p }): Found => ({
        rule: 'D2',
        severity: 'fix',
        ...at(p),
        placements: [p.id],
        about: { is: 'strayed', demands: [d.key], days: [d.day, p.day as number] },
      }));
    const days = [0, 1, 2, 3, 4, 5, 6].map((day) =>
      carried.flatMap(({ d, p }) => {
        const when = whenOf(d);
        return d.day === day && p.day === day && when ? [{ d, p, when }] : [];
      }),
    );
    const swapped = days.flatMap((items) => {
      const down = [...items].sort((a, b) => a.p.y - b.p.y);
      return down.flatMap((later, i): Found[] => {
        const above = down.slice(0, i).findLast((a) => a.when.from > later.when.to && a.p.y < later.p.y);
        if (!above) return [];
        return [
          {
            rule: 'D2',
            severity: 'fix',
            ...at(above.p),
            placements: [above.p.id, later.p.id],
            about: {
              is: 'out of order',
              demands: [above.d.key, later.d.key],
              days: [later.d.day],
              mm: later.p.y - above.p.y,
            },
          },
        ];
      });
    });
    return [
      ...strayed,
      ...swapped,
      ...carried.flatMap(({ d, p }) => [...offItsHour(view, over, d, p), ...saysOtherwise(view, over, d, p)]),
    ];
  },
};

/** When an item is to be, minutes: its hour, or its part of the day; null where it has neither, or a list's order. */
function whenOf({ start, part, list }: Demand): { readonly from: number; readonly to: number } | null {
  if (list) return null;
  if (start !== null) return { from: start, to: start };
  return part === 'morning' ? { from: 0, to: NOON } : part === 'evening' ? { from: EVENING, to: 24 * 60 } : null;
}

/**
 * An item this far from its printed hour is hard to read there; with its time written on it, only this far. mm. From
 * memory.
 */
const OFF = 12;
const OFF_WRITTEN = 25;

/** In a book with hour lines an item stands at its hour, unless what is there leaves no room for it. */
function offItsHour(view: View, over: readonly Placement[], d: Demand, p: Placement): Found[] {
  const hours = hoursOf(view.context.book, d.day);
  if (!hours || d.start === null || d.list || p.day !== d.day) return [];
  const wanted = yOfMinute(hours, d.start);
  const off = p.y - wanted;
  if (Math.abs(off) <= (saysTime(over, p, d.start) ? OFF_WRITTEN : OFF)) return [];
  const [from, to] = off > 0 ? [wanted - p.h, p.y] : [p.y + p.h, wanted + p.h];
  const free = freeStretches(view.draft, view.context, d.day).some(
    (s) => Math.min(s.to, to) - Math.max(s.from, from) >= p.h - TOLERANCE,
  );
  if (!free) return [];
  return [
    {
      rule: 'D2',
      severity: 'look',
      ...at(p),
      placements: [p.id],
      about: { is: 'off its hour', demands: [d.key], days: [d.day], mm: Math.abs(off), below: off > 0 },
    },
  ];
}

/** On the piece itself, or in a circle that lies on it. */
/** True where the time is written, by either clock: a week may be older than its owner's choice of one. */
const saysTime = (over: readonly Placement[], p: Placement, start: number): boolean =>
  timesOf(start).some((time) => p.text?.includes(time) === true || laidOver(over, p).some((q) => q.text === time));

const timesOf = (start: number): readonly string[] => HOUR_CLOCKS.map((clock) => spokenTime(start, clock));

const laidOver = (over: readonly Placement[], p: Placement): Placement[] =>
  over.filter((q) => q.page === p.page && q.layer > p.layer && intersect(footprint(p), footprint(q)) !== null);

/** A time or a title that changed after its sticker was written. */
function saysOtherwise(view: View, over: readonly Placement[], d: Demand, p: Placement): Found[] {
  if (p.items.length !== 1 || p.day !== d.day || isList(view.pieceOf(p), p)) return [];
  const times = d.start === null ? [] : timesOf(d.start);
  const said = [
    view.pieceOf(p)?.words ?? '',
    p.text ?? '',
    ...laidOver(over, p).map((q) => q.text ?? view.pieceOf(q)?.words ?? ''),
  ]
    .join(' ')
    .trim();
  const words = d.title.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  const where = { ...at(p), placements: [p.id] };
  if (times.length && !times.some((time) => ` ${said} `.includes(` ${time} `))) {
    return [
      {
        rule: 'D2',
        severity: 'fix',
        ...where,
        about: { is: 'says another time', demands: [d.key], days: [d.day], says: said },
      },
    ];
  }
  const shows =
    view.pieceOf(p)?.kind === 'deco' || words.length === 0 || words.some((w) => said.toLowerCase().includes(w));
  return shows
    ? []
    : [
        {
          rule: 'D2',
          severity: 'look',
          ...where,
          about: { is: 'says other words', demands: [d.key], days: [d.day], says: said, words: words.length },
        },
      ];
}

type Found = Finding<Case>;

type Case = { readonly demands: readonly string[]; readonly days: readonly number[] } & (
  | { readonly is: 'strayed' }
  | { readonly is: 'out of order'; readonly mm: number }
  | { readonly is: 'off its hour'; readonly mm: number; readonly below: boolean }
  | { readonly is: 'says another time'; readonly says: string }
  | { readonly is: 'says other words'; readonly says: string; readonly words: number }
);

const whenSaid = (d: Demand): string => (d.start === null ? `in the ${d.part}` : `at ${writtenTime(d)}`);

function say({ about }: Found, voice: Voice): Said {
  const items = about.demands.map((key) => voice.context.week.demands.find((d) => d.key === key));
  const [title, other] = items.map((d) => `“${d?.title ?? ''}”`);
  const [time] = items.map((d) => (d ? writtenTime(d) : ''));
  const [first, second] = items.map((d) => (d ? whenSaid(d) : ''));
  const [day, place] = about.days.map((n) => dayName(voice, n));
  switch (about.is) {
    case 'strayed':
      return {
        message: `${title} is on ${day}, but its place is in ${place}’s column.`,
        remedy: `Move it to ${day}, or change its day in the agenda.`,
      };
    case 'out of order':
      return {
        message: `${day}: ${title} ${first} is ${mm(voice, about.mm)} above ${other} ${second}.`,
        remedy: 'Change their places.',
      };
    case 'off its hour':
      return {
        message: `${title} is ${mm(voice, about.mm)} ${about.below ? 'below' : 'above'} its hour, ${time}, and there is room nearer to it.`,
        remedy: 'Move it nearer to its hour.',
      };
    case 'says another time':
      return {
        message: `${title} is at ${time}, and its sticker says ${about.says ? `“${about.says}”` : '0 words of it'}.`,
        remedy: 'Write it again, and let it stand where its time is.',
      };
    case 'says other words':
      return {
        message: `The sticker for ${title} says ${about.says ? `“${about.says}”` : 'nothing'}: 0 of its ${about.words} words.`,
        remedy: 'Write it again.',
      };
  }
}
