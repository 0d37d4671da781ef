import { inkFor } from '../../spread/ink';
import { TICK_WIDTH } from '../../spread/writing';
import { matchDemands } from '../../spread/placement';
import type { Placement } from '../../spread/placement';
import { hoursOf } from '../../book/hours';
import { apply } from '../../edit/change';
import { arrangeRest } from '../../edit/rearrange';
import { stackOf } from '../../edit/stack';
import type { Piece } from '../../kit/kit';
import { ruled } from '../../measure/fraction';
import { shortened } from '../../measure/hand';
import { tidy } from '../../measure/length';
import { dayAfter, longDate, longDay } from '../../week/day-names';
import type { Demand } from '../../week/demand';
import { writtenText } from '../../week/demand';
import { letIn, letInAs } from '../../repair/let-in';
import { asEdit, asPatch, withPatch } from '../remedy';
import type { Case, Idea, Remedy } from '../remedy';
import { between } from '../../repair/replace';
import { altered, involved, pieceOf, singleBoxes } from './case';
import { daysOf, lowerBases, toItsHour } from './spacing';

/** Items that a finding says have no place. */
const missingOf = (c: Case, placed: ReadonlyMap<string, Placement>): Demand[] =>
  c.context.week.demands.filter((d) => !placed.has(d.key) && c.finding.message.includes(`“${d.title.slice(0, 40)}`));

/** True for an item that stands on the very day the agenda has it, so that the agenda may move it. */
const isOnItsDay = (c: Case, d: Demand): boolean => d.aspect === 'item' && d.on === c.context.week.days[d.day];

/** The spread without what carries some items, and without what lies on it. */
function without(c: Case, placed: ReadonlyMap<string, Placement>, items: readonly Demand[]): Placement[] {
  const gone = new Set(items.flatMap((d) => stackOf(c.placements, placed.get(d.key)?.id ?? '').map((p) => p.id)));
  return c.placements.filter((p) => !gone.has(p.id));
}

/** What has no place is let in: as the day is, without its pictures, without its box. */
export const letThemIn: Idea = (c) => {
  const open = c.context.week.demands.filter(
    (d) =>
      c.finding.message.includes(`“${d.title.slice(0, 40)}`) ||
      (c.finding.rule === 'D1' && c.placements.some((p) => c.finding.placements.includes(p.id) && p.day === d.day)),
  );
  return open.slice(0, 4).flatMap((d): Remedy[] => {
    const title = `“${d.title.slice(0, 30)}”`;
    const attempt = (without: (p: Placement) => boolean, how: string): Remedy[] => {
      const left = c.placements.filter((p) => p.locked || p.day !== d.day || !without(p));
      if (how && left.length === c.placements.length) return [];
      const repair = letIn(c.context, left, d.key);
      if (!repair) return [];
      return asEdit(
        `Let ${title} in${how}${repair.moved ? `, moving ${repair.moved}` : ''}`,
        between(c.placements, apply(left, repair.change), ''),
      );
    };
    return [
      ...attempt(() => false, ''),
      ...attempt((p) => p.role === 'finish', ' in place of a picture'),
      ...attempt((p) => p.role === 'box', ' in place of the full box'),
    ];
  });
};

/**
 * The day's loose things to do become the rows of one list, with what has no place among them; or it stands on a
 * neighbor day.
 */
export const otherWaysOut: Idea = (c) => {
  const placed = matchDemands(c.placements, c.context.week.demands);
  return missingOf(c, placed)
    .slice(0, 2)
    .flatMap((d): Remedy[] => {
      const title = `“${d.title.slice(0, 30)}”`;
      const loose = c.context.week.demands.filter(
        (o) =>
          o.day === d.day &&
          o.start === null &&
          ['chore', 'to-do'].includes(o.kind) &&
          placed.has(o.key) &&
          !placed.get(o.key)?.locked &&
          placed.get(o.key)?.items.length === 1,
      );
      const rows = [2, 3, 4].flatMap((n): Remedy[] => {
        const some = loose.slice(0, n);
        if (d.start !== null || some.length < n) return [];
        const left = without(c, placed, some);
        const repair = letInAs(
          c.context,
          left,
          [...some, d].map((o) => ({ ...o, list: 'to do' })),
        );
        return repair
          ? asEdit(`Make ${title} and ${n} more one list`, between(c.placements, apply(left, repair.change), ''))
          : [];
      });
      const beside = [d.day + 1, d.day - 1]
        .filter((day) => day >= 0 && day < 7 && d.kind !== 'band')
        .flatMap((day): Remedy[] => {
          const repair = letInAs(c.context, c.placements, [{ ...d, day }]);
          const label = `Let ${title} in on ${longDay(c.context.week.days[day] as string)} instead${repair?.moved ? `, moving ${repair.moved}` : ''}`;
          const inAgenda = isOnItsDay(c, d);
          return repair
            ? asEdit(label, repair.change).map((r) =>
                inAgenda
                  ? { ...r, patch: { moved: { uid: d.uid, on: d.on, to: c.context.week.days[day] as string } } }
                  : r,
              )
            : [];
        });
      return [...rows, ...beside];
    });
};

/**
 * A day without a place for something is given one: lower bases, a box trimmed by an eighth at most, a row of a list
 * in the sidebar.
 */
export const makeRoom: Idea = (c) => {
  const placed = matchDemands(c.placements, c.context.week.demands);
  return missingOf(c, placed)
    .filter((d) => d.kind !== 'band')
    .slice(0, 2)
    .flatMap((d): Remedy[] => {
      const title = `“${d.title.slice(0, 30)}”`;
      const after = (how: string, left: readonly Placement[]): Remedy[] => {
        const repair = letIn(c.context, left, d.key);
        return repair
          ? asEdit(
              `${how}, and let ${title} in${repair.moved ? `, moving ${repair.moved}` : ''}`,
              between(c.placements, apply(left, repair.change), ''),
            )
          : [];
      };
      const lower = lowerBases(c, d.day).flatMap((left, i) =>
        after(i === 0 ? 'Take a lower base for one item' : `Take lower bases for ${i + 1} items`, left),
      );
      const box = singleBoxes(c).find((p) => p.day === d.day && p.turn === 0);
      const off = box ? tidy(box.h * MOST_TRIM) : 0;
      const trimmed = box
        ? after(
            `Trim ${ruled(off, c.context.book.unit)} off the full box’s foot`,
            c.placements.map((p) =>
              p === box
                ? {
                    ...p,
                    h: tidy(p.h - off),
                    cut: { ...(p.cut ?? { x: 0, y: 0, w: p.w, h: p.h }), h: tidy(p.h - off) },
                  }
                : p,
            ),
          )
        : [];
      return [...lower, ...trimmed, ...noteInSidebar(c, d)];
    });
};

/**
 * Something of an overfull day that has no hour goes to a neighbor day or to the next week, in the agenda too; what
 * has no place is let in where it was.
 */
export const sendOneNextDoor: Idea = (c) => {
  const placed = matchDemands(c.placements, c.context.week.demands);
  const [missing] = missingOf(c, placed);
  return daysOf(c)
    .filter((day) => missing === undefined || missing.day === day)
    .flatMap((day) =>
      c.context.week.demands
        .filter(
          (d) =>
            d.day === day &&
            isOnItsDay(c, d) &&
            d.start === null &&
            d.list === null &&
            d.kind !== 'band' &&
            placed.get(d.key)?.items.length === 1,
        )
        .flatMap((d) => {
          const left = without(c, placed, [d]);
          if (c.placements.some((p) => p.locked && !left.includes(p))) return [];
          return [day + 1, day - 1, null]
            .filter((to) => to === null || (to >= 0 && to < 7))
            .flatMap((to): Remedy[] => {
              // null: the next week
              const repair = to === null ? null : letInAs(c.context, left, [{ ...d, day: to }]);
              if (!repair && to !== null) return [];
              const iso =
                to === null ? dayAfter(c.context.week.days[6] as string) : (c.context.week.days[to] as string);
              const patch = { moved: { uid: d.uid, on: d.on, to: iso } };
              const away = repair ? apply(left, repair.change) : left;
              const second = missing ? letIn(withPatch(c.context, patch), away, missing.key) : null;
              if (missing && !second) return [];
              const label = `Move “${d.title.slice(0, 30)}” to ${to === null ? 'next ' : ''}${longDay(iso)}${missing ? ` and let “${missing.title.slice(0, 30)}” in` : ''}`;
              return asEdit(label, between(c.placements, second ? apply(away, second.change) : away, '')).map((r) => ({
                ...r,
                patch,
              }));
            });
        }),
    );
};

/**
 * In a book with hour lines: one thing with no hour goes to a neighbor day, and the others come nearer to their
 * hours.
 */
export const fewerAtTheirHours: Idea = (c) =>
  daysOf(c).some((day) => hoursOf(c.context.book, day))
    ? sendOneNextDoor(c).flatMap((sent) => {
        const left = sent.change ? apply(c.placements, sent.change) : c.placements;
        return toItsHour({ ...c, placements: left }).flatMap(({ change, label }) =>
          change
            ? asEdit(
                `${sent.label}; ${label.charAt(0).toLowerCase()}${label.slice(1)}`,
                between(c.placements, apply(left, change), ''),
              ).map((r) => ({ ...r, patch: sent.patch }))
            : [],
        );
      })
    : [];

/** What has no hour and no place is put off to the first day of the next week. */
export const putOff: Idea = (c) => {
  const placed = matchDemands(c.placements, c.context.week.demands);
  const [first, last] = [c.context.week.days[0] as string, c.context.week.days[6] as string];
  const to = dayAfter(last);
  return missingOf(c, placed)
    .filter((d) => d.kind !== 'band' && d.kind !== 'appointment' && d.start === null && isOnItsDay(c, d))
    .slice(0, 1)
    .map((d) =>
      asPatch(`Put “${d.title.slice(0, 30)}” off to next ${longDay(first)}, ${longDate(to)}`, {
        moved: { uid: d.uid, on: d.on, to },
      }),
    );
};

/** A box may lose so much of its picture (handbook F1). From memory. */
const MOST_TRIM = 0.125;

/** On a free row of a list in the sidebar, with its day. */
function noteInSidebar(c: Case, d: Demand): Remedy[] {
  return c.placements
    .filter((p) => p.role === 'sidebar' && !p.locked && pieceOf(c, p)?.kind === 'checklist')
    .flatMap((p) => {
      const piece = pieceOf(c, p) as Piece;
      const rows = Math.round(p.h / (piece.height / Math.max(1, piece.rows)));
      const lines = p.text?.split('\n') ?? [];
      const said = shortened(
        `${longDay(c.context.week.days[d.day] as string).slice(0, 3)} ${writtenText(d)}`,
        p.w - TICK_WIDTH,
        p.h / Math.max(1, rows),
        c.context.options.hand,
      );
      return said && lines.length < rows
        ? altered(`Note “${d.title.slice(0, 30)}” in the sidebar`, p, {
            items: [...p.items, d.uid],
            text: [...lines, said].join('\n'),
            ink: inkFor(piece),
          })
        : [];
    });
}

/** A day's loose things to do become the rows of one list, which takes less of its column. */
export const oneList: Idea = (c) =>
  [0, 1, 2, 3, 4, 5, 6]
    .filter((day) => c.finding.message.startsWith(longDay(c.context.week.days[day] as string)))
    .flatMap((day) => {
      const placed = matchDemands(c.placements, c.context.week.demands);
      const loose = c.context.week.demands.filter(
        (d) =>
          d.day === day &&
          d.start === null &&
          !d.list &&
          ['chore', 'to-do'].includes(d.kind) &&
          placed.get(d.key)?.items.length === 1 &&
          !placed.get(d.key)?.locked,
      );
      return [loose.length, 3, 2]
        .filter((n) => n >= 2 && n <= loose.length)
        .flatMap((n) => {
          const some = loose.slice(0, n);
          const left = without(c, placed, some);
          const repair = letInAs(
            c.context,
            left,
            some.map((d) => ({ ...d, list: 'to do' })),
          );
          return repair
            ? asEdit(`Make ${n} things to do one list`, between(c.placements, apply(left, repair.change), ''))
            : [];
        });
    });

/** What is open is arranged round all that lies there; first with what it is about taken off. */
export const arrangeOpen: Idea = (c) => {
  const asIs = asEdit('Arrange what is open', arrangeRest(c.context, c.placements));
  const gone = involved(c);
  if (!gone.length) return asIs;
  const left = c.placements.filter((p) => !gone.includes(p));
  const rest = arrangeRest(c.context, left);
  return [
    ...asIs,
    ...(rest ? asEdit('Take it off and arrange what is open', between(c.placements, apply(left, rest), '')) : []),
  ];
};
