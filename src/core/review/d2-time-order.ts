import type { Demand } from '../week/demand';
import { sortMinute, spokenTime } from '../week/demand';
import type { Placement } from '../arrange/spread';
import { footprint } from '../arrange/spread';
import { hoursOf, yOfMinute } from '../book/hours';
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
    const strayed = carried.filter(({ d, p }) => p.day !== null && p.day !== d.day).map(({ d, p }): Finding => ({
      rule: 'D2', severity: 'fix', ...at(p), placements: [p.id],
      message: `“${d.title}” is on ${dayName(view, d.day)}, but its place is in ${dayName(view, p.day as number)}’s column.`,
      remedy: `Move it to ${dayName(view, d.day)}, or change its day in the agenda.`,
    }));
    const days = [0, 1, 2, 3, 4, 5, 6].map((day) => carried.filter(({ d, p }) => d.day === day && p.day === day && d.start !== null && !d.list));
    const swapped = days.flatMap((items) => {
      const down = [...items].sort((a, b) => a.p.y - b.p.y);
      return down.slice(1).flatMap((later, i): Finding[] => {
        const above = down[i] as { d: Demand; p: typeof later.p };
        if (sortMinute(above.d) <= sortMinute(later.d)) return [];
        return [{
          rule: 'D2', severity: 'fix', ...at(above.p), placements: [above.p.id, later.p.id],
          message: `${dayName(view, later.d.day)}: “${above.d.title}” at ${spokenTime(above.d.start as number)} stands ${mm(view, later.p.y - above.p.y)} above “${later.d.title}” at ${spokenTime(later.d.start as number)}.`,
          remedy: 'Change their places.',
        }];
      });
    });
    return [...strayed, ...swapped, ...carried.flatMap(({ d, p }) => offItsHour(view, d, p))];
  },
};

/** An item this far from its printed hour is hard to read there; with its time written on it, only this far. mm. From memory. */
const OFF = 12;
const OFF_WRITTEN = 25;

/** In a book with hour lines an item stands at its hour. */
function offItsHour(view: View, d: Demand, p: Placement): Finding[] {
  const hours = hoursOf(view.context.book, d.day);
  if (!hours || d.start === null || d.list || p.day !== d.day) return [];
  const off = p.y - yOfMinute(hours, d.start);
  if (Math.abs(off) <= (saysTime(view, p, spokenTime(d.start)) ? OFF_WRITTEN : OFF)) return [];
  return [{
    rule: 'D2', severity: 'look', ...at(p), placements: [p.id],
    message: `“${d.title}” stands ${mm(view, Math.abs(off))} ${off > 0 ? 'below' : 'above'} its hour, ${spokenTime(d.start)}.`,
    remedy: 'Make room at its hour.',
  }];
}

/** On the piece itself, or in a circle that lies on it. */
const saysTime = (view: View, p: Placement, time: string): boolean =>
  p.text?.includes(time) === true || view.placements.some((q) => q.text === time && q.page === p.page && q.layer > p.layer && intersect(footprint(p), footprint(q)) !== null);
