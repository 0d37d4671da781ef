import type { Demand } from '../week/demand';
import { sortMinute, spokenTime } from '../week/demand';
import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { freeStretches } from '../spread/free-room';
import { hoursOf, yOfMinute } from '../book/hours';
import { HAIR } from '../measure/length';
import { intersect } from '../measure/rect';
import type { Finding, Rule, View } from './finding';
import { at, dayName, mm } from './say';

/** D2: items run down their own day's column by time. */
export const d2TimeOrder: Rule = {
  code: 'D2',
  title: 'Items run down the day by time',
  check(view) {
    const carried = view.context.week.demands.flatMap((d) => {
      const p = view.carriers.get(d.key);
      return p && d.kind !== 'band' ? [{ d, p }] : [];
    });
    const over = view.placements.filter((p) => p.layer > 0);
    const strayed = carried
      .filter(({ d, p }) => p.day !== null && p.day !== d.day)
      .map(({ d, p }): Finding => ({
        rule: 'D2',
        severity: 'fix',
        ...at(p),
        placements: [p.id],
        message: `“${d.title}” is on ${dayName(view, d.day)}, but its place is in ${dayName(view, p.day as number)}’s column.`,
        remedy: `Move it to ${dayName(view, d.day)}, or change its day in the agenda.`,
      }));
    const days = [0, 1, 2, 3, 4, 5, 6].map((day) =>
      carried.filter(({ d, p }) => d.day === day && p.day === day && d.start !== null && !d.list),
    );
    const swapped = days.flatMap((items) => {
      const down = [...items].sort((a, b) => a.p.y - b.p.y);
      return down.slice(1).flatMap((later, i): Finding[] => {
        const above = down[i] as { d: Demand; p: typeof later.p };
        if (sortMinute(above.d) <= sortMinute(later.d)) return [];
        return [
          {
            rule: 'D2',
            severity: 'fix',
            ...at(above.p),
            placements: [above.p.id, later.p.id],
            message: `${dayName(view, later.d.day)}: “${above.d.title}” at ${spokenTime(above.d.start as number)} stands ${mm(view, later.p.y - above.p.y)} above “${later.d.title}” at ${spokenTime(later.d.start as number)}.`,
            remedy: 'Change their places.',
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

/**
 * An item this far from its printed hour is hard to read there; with its time written on it, only this far. mm. From
 * memory.
 */
const OFF = 12;
const OFF_WRITTEN = 25;

/** In a book with hour lines an item stands at its hour, unless what is there leaves no room for it. */
function offItsHour(view: View, over: readonly Placement[], d: Demand, p: Placement): Finding[] {
  const hours = hoursOf(view.context.book, d.day);
  if (!hours || d.start === null || d.list || p.day !== d.day) return [];
  const wanted = yOfMinute(hours, d.start);
  const off = p.y - wanted;
  if (Math.abs(off) <= (saysTime(over, p, spokenTime(d.start)) ? OFF_WRITTEN : OFF)) return [];
  const [from, to] = off > 0 ? [wanted - p.h, p.y] : [p.y + p.h, wanted + p.h];
  const free = freeStretches(view.draft, view.context, d.day).some(
    (s) => Math.min(s.to, to) - Math.max(s.from, from) >= p.h - HAIR,
  );
  if (!free) return [];
  return [
    {
      rule: 'D2',
      severity: 'look',
      ...at(p),
      placements: [p.id],
      message: `“${d.title}” stands ${mm(view, Math.abs(off))} ${off > 0 ? 'below' : 'above'} its hour, ${spokenTime(d.start)}, and there is room nearer to it.`,
      remedy: 'Move it nearer to its hour.',
    },
  ];
}

/** On the piece itself, or in a circle that lies on it. */
const saysTime = (over: readonly Placement[], p: Placement, time: string): boolean =>
  p.text?.includes(time) === true || laidOver(over, p).some((q) => q.text === time);

const laidOver = (over: readonly Placement[], p: Placement): Placement[] =>
  over.filter((q) => q.page === p.page && q.layer > p.layer && intersect(footprint(p), footprint(q)) !== null);

/** A time or a title that changed after its sticker was written. */
function saysOtherwise(view: View, over: readonly Placement[], d: Demand, p: Placement): Finding[] {
  if (p.items.length !== 1 || p.day !== d.day || view.pieceOf(p)?.kind === 'checklist') return [];
  const time = d.start === null ? '' : spokenTime(d.start);
  const said = [p.text ?? '', ...laidOver(over, p).map((q) => q.text ?? view.pieceOf(q)?.words ?? '')].join(' ').trim();
  const words = d.title.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  const where = { ...at(p), placements: [p.id] };
  if (time && !` ${said} `.includes(` ${time} `)) {
    return [
      {
        rule: 'D2',
        severity: 'fix',
        ...where,
        message: `“${d.title}” is at ${time}, and its sticker says ${said ? `“${said}”` : '0 words of it'}.`,
        remedy: 'Write it anew, and let it stand where its time is.',
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
          message: `The sticker for “${d.title}” says ${said ? `“${said}”` : 'nothing'}: 0 of its ${words.length} words.`,
          remedy: 'Write it anew.',
        },
      ];
}
