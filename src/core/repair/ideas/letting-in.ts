import { matchDemands } from '../../arrange/spread';
import type { Placement } from '../../arrange/spread';
import { apply } from '../../edit/change';
import { arrangeRest } from '../../edit/rearrange';
import { stackOf } from '../../edit/stack';
import { longDay } from '../../week/day-names';
import { letIn, letInAs } from '../let-in';
import { asEdit } from '../remedy';
import type { Idea, Remedy } from '../remedy';
import { between } from '../replace';
import { involved } from './case';

/** What has no place is let in: as the day is, without its pictures, without its box. */
export const letThemIn: Idea = (c) => {
  const open = c.context.week.demands.filter((d) => c.finding.message.includes(`“${d.title.slice(0, 40)}`) || (c.finding.rule === 'D1' && c.placements.some((p) => c.finding.placements.includes(p.id) && p.day === d.day)));
  return open.slice(0, 4).flatMap((d): Remedy[] => {
    const title = `“${d.title.slice(0, 30)}”`;
    const attempt = (without: (p: Placement) => boolean, how: string): Remedy[] => {
      const left = c.placements.filter((p) => p.locked || p.day !== d.day || !without(p));
      if (how && left.length === c.placements.length) return [];
      const repair = letIn(c.context, left, d.key);
      if (!repair) return [];
      return asEdit(`Let ${title} in${how}${repair.moved ? `, moving ${repair.moved}` : ''}`, between(c.placements, apply(left, repair.change), ''));
    };
    return [...attempt(() => false, ''), ...attempt((p) => p.role === 'finish', ' in place of a picture'), ...attempt((p) => p.role === 'box', ' in place of the full box')];
  });
};

/** The day's loose things to do become the rows of one list, with what has no place among them; or it stands on a neighbor day. */
export const otherWaysOut: Idea = (c) => {
  const placed = matchDemands(c.placements, c.context.week.demands);
  const open = c.context.week.demands.filter((d) => !placed.has(d.key) && c.finding.message.includes(`“${d.title.slice(0, 40)}`));
  return open.slice(0, 2).flatMap((d): Remedy[] => {
    const title = `“${d.title.slice(0, 30)}”`;
    const loose = c.context.week.demands.filter((o) => o.day === d.day && o.start === null && ['chore', 'to-do'].includes(o.kind) && placed.has(o.key) && !placed.get(o.key)?.locked && placed.get(o.key)?.items.length === 1);
    const rows = [2, 3, 4].flatMap((n): Remedy[] => {
      const some = loose.slice(0, n);
      if (d.start !== null || some.length < n) return [];
      const gone = new Set(some.flatMap((o) => stackOf(c.placements, placed.get(o.key)?.id ?? '').map((p) => p.id)));
      const left = c.placements.filter((p) => !gone.has(p.id));
      const repair = letInAs(c.context, left, [...some, d].map((o) => ({ ...o, list: 'to do' })));
      return repair ? asEdit(`Make ${title} and ${n} more one list`, between(c.placements, apply(left, repair.change), '')) : [];
    });
    const beside = [d.day + 1, d.day - 1].filter((day) => day >= 0 && day < 7 && d.kind !== 'band').flatMap((day): Remedy[] => {
      const repair = letInAs(c.context, c.placements, [{ ...d, day }]);
      return repair ? asEdit(`Let ${title} in on ${longDay(c.context.week.days[day] as string)} instead${repair.moved ? `, moving ${repair.moved}` : ''}`, repair.change) : [];
    });
    return [...rows, ...beside];
  });
};

/** A day's loose things to do become the rows of one list, which takes less of its column. */
export const oneList: Idea = (c) =>
  [0, 1, 2, 3, 4, 5, 6].filter((day) => c.finding.message.startsWith(longDay(c.context.week.days[day] as string))).flatMap((day) => {
    const placed = matchDemands(c.placements, c.context.week.demands);
    const loose = c.context.week.demands.filter((d) => d.day === day && d.start === null && !d.list && ['chore', 'to-do'].includes(d.kind) && placed.get(d.key)?.items.length === 1 && !placed.get(d.key)?.locked);
    return [loose.length, 3, 2].filter((n) => n >= 2 && n <= loose.length).flatMap((n) => {
      const some = loose.slice(0, n);
      const gone = new Set(some.flatMap((d) => stackOf(c.placements, placed.get(d.key)?.id ?? '').map((p) => p.id)));
      const left = c.placements.filter((p) => !gone.has(p.id));
      const repair = letInAs(c.context, left, some.map((d) => ({ ...d, list: 'to do' })));
      return repair ? asEdit(`Make ${n} things to do one list`, between(c.placements, apply(left, repair.change), '')) : [];
    });
  });

/** What is open is arranged round all that lies there; first with what it is about taken off. */
export const arrangeOpen: Idea = (c) => {
  const asIs = asEdit('Arrange what is open', arrangeRest(c.context, c.placements));
  const gone = involved(c);
  if (!gone.length) return asIs;
  const left = c.placements.filter((p) => !gone.includes(p));
  const rest = arrangeRest(c.context, left);
  return [...asIs, ...(rest ? asEdit('Take it off and arrange what is open', between(c.placements, apply(left, rest), '')) : [])];
};
