import type { Deed, HowLetIn } from '../../edit/deed';
import { inkFor } from '../../spread/ink';
import { TICK_WIDTH } from '../../spread/writing';
import { matchDemands } from '../../spread/placement';
import type { Placement } from '../../spread/placement';
import { hoursOf } from '../../book/hours';
import { apply } from '../../edit/change';
import { arrangeRest } from '../../edit/rearrange';
import { stackOf } from '../../edit/stack';
import type { Piece } from '../../kit/kit';
import { shortened } from '../../measure/hand';
import { tidy } from '../../measure/length';
import { dayAfter, longDay } from '../../week/day-names';
import type { Demand } from '../../week/demand';
import { writtenText } from '../../week/demand';
import { letIn, letInAs } from '../../repair/let-in';
import { asEdit, asPatch, withPatch } from '../remedy';
import type { Case, Idea, Remedy } from '../remedy';
import { altered, involved, pieceOf, reached, singleBoxes } from './case';
import { daysOf, lowerBases, toItsHour } from './spacing';

/** Items that a finding says have no place. */
const missingOf = (c: Case, placed: ReadonlyMap<string, Placement>): Demand[] =>
  c.context.week.demands.filter((d) => !placed.has(d.key) && c.finding.about.demands?.includes(d.key));

/** True for an item that stands on the very day the agenda has it, so that the agenda may move it. */
const isOnItsDay = (c: Case, d: Demand): boolean => d.aspect === 'item' && d.on === c.context.week.days[d.day];

/** The spread without what carries some items, and without what lies on it. */
function without(c: Case, placed: ReadonlyMap<string, Placement>, items: readonly Demand[]): Placement[] {
  const gone = new Set(items.flatMap((d) => stackOf(c.placements, placed.get(d.key)?.id ?? '').map((p) => p.id)));
  return c.placements.filter((p) => !gone.has(p.id));
}

/** What has no place is let in: as the day is, without its pictures, without its box. */
export const letThemIn: Idea = (c) => {
  const placed = matchDemands(c.placements, c.context.week.demands);
  const open = missingOf(c, placed);
  return open.slice(0, 4).flatMap((d): Remedy[] => {
    const attempt = (without: (p: Placement) => boolean, how: HowLetIn): Remedy[] => {
      const left = c.placements.filter((p) => p.locked || p.day !== d.day || !without(p));
      if (how !== 'as it is' && left.length === c.placements.length) return [];
      const repair = letIn(c.context, left, d.key);
      if (!repair) return [];
      return reached(c, { do: 'let in', title: d.title, moved: repair.moved, how }, apply(left, repair.change));
    };
    return [
      ...attempt(() => false, 'as it is'),
      ...attempt((p) => p.role === 'finish', 'for a picture'),
      ...attempt((p) => p.role === 'box', 'for the box'),
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
        return repair ? reached(c, { do: 'one list', count: n, title: d.title }, apply(left, repair.change)) : [];
      });
      const beside = [d.day + 1, d.day - 1]
        .filter((day) => day >= 0 && day < 7 && d.kind !== 'band')
        .flatMap((day): Remedy[] => {
          const repair = letInAs(c.context, c.placements, [{ ...d, day }]);
          const inAgenda = isOnItsDay(c, d);
          return repair
            ? asEdit({ do: 'let in beside', title: d.title, moved: repair.moved, day }, repair.change).map((r) =>
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
      const after = (deed: (moved: number) => Deed, left: readonly Placement[]): Remedy[] => {
        const repair = letIn(c.context, left, d.key);
        return repair ? reached(c, deed(repair.moved), apply(left, repair.change)) : [];
      };
      const lower = lowerBases(c, d.day).flatMap((left, i) =>
        after((moved) => ({ do: 'lower bases', count: i + 1, title: d.title, moved }), left),
      );
      const box = singleBoxes(c).find((p) => p.day === d.day && p.turn === 0);
      const off = box ? tidy(box.h * MOST_TRIM) : 0;
      const trimmed = box
        ? after(
            (moved) => ({ do: 'trim the box', mm: off, title: d.title, moved }),
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
              const deed: Deed = {
                do: 'send on',
                title: d.title,
                to: iso,
                nextWeek: to === null,
                letIn: missing?.title ?? null,
              };
              return reached(c, deed, second ? apply(away, second.change) : away).map((r) => ({
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
        return toItsHour({ ...c, placements: left }).flatMap(({ change }) => {
          if (!change || !sent.change) return [];
          const deed: Deed = { do: 'both', first: sent.change.deed, then: change.deed };
          return reached(c, deed, apply(left, change)).map((r) => ({ ...r, patch: sent.patch }));
        });
      })
    : [];

/** What has no hour and no place is put off to the first day of the next week. */
export const putOff: Idea = (c) => {
  const placed = matchDemands(c.placements, c.context.week.demands);
  const to = dayAfter(c.context.week.days[6] as string);
  return missingOf(c, placed)
    .filter((d) => d.kind !== 'band' && d.kind !== 'appointment' && d.start === null && isOnItsDay(c, d))
    .slice(0, 1)
    .map((d) =>
      asPatch(
        { do: 'put off', title: d.title, to },
        {
          moved: { uid: d.uid, on: d.on, to },
        },
      ),
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
        ? altered({ do: 'note in sidebar', title: d.title }, p, {
            items: [...p.items, d.uid],
            text: [...lines, said].join('\n'),
            ink: inkFor(piece),
          })
        : [];
    });
}

/** A day's loose things to do become the rows of one list, which takes less of its column. */
export const oneList: Idea = (c) =>
  (c.finding.about.days ?? []).flatMap((day) => {
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
        return repair ? reached(c, { do: 'one list', count: n, title: null }, apply(left, repair.change)) : [];
      });
  });

/** What is open is arranged round all that lies there; first with what it is about taken off. */
export const arrangeOpen: Idea = (c) => {
  const asIs = asEdit({ do: 'arrange', what: 'open' }, arrangeRest(c.context, c.placements));
  const gone = involved(c);
  if (!gone.length) return asIs;
  const left = c.placements.filter((p) => !gone.includes(p));
  const rest = arrangeRest(c.context, left);
  return [...asIs, ...(rest ? reached(c, { do: 'arrange', what: 'open without it' }, apply(left, rest)) : [])];
};
