import type { Context, Placement } from '../spread/placement';
import { footprint, pieceIndex } from '../spread/placement';
import { TIP } from '../spread/writing';
import type { Piece } from '../kit/kit';
import { isRoll, pieceKey } from '../kit/kit';
import { traits } from '../kit/kinds';
import { ruled } from '../measure/fraction';
import { contains, inset, intersect } from '../measure/rect';
import { longDay } from '../week/day-names';
import type { Cut } from './cuts';
import { fillsColumn, measuredFrom, pageName } from './measure-from';
import { isNearBinding } from './near-binding';
import type { WhiteOut } from './white-out';
import { tapeLength } from './white-out';

export interface Step {
  readonly n: number;
  readonly do: 'white-out' | 'cut' | 'stack' | 'place' | 'write';
  /** placement ids; `white:` and `cut:` with a number into those lists; `text:` with a placement id */
  readonly refs: readonly string[];
  readonly say: string;
}

type Unit = readonly Placement[];

/**
 * The order of work (handbook 4): white-out, knife, then pieces from the floor up, ink last. What lies lower comes
 * before what lies on it (B4); an item's base with what is on it is one stack, built on the backing sheet (R2);
 * what can't be lifted again comes as late as it may (R1). A topological order (Kahn, 1962), ties by the order of work.
 */
export function stepsOf(
  context: Context,
  placements: readonly Placement[],
  whiteOut: readonly WhiteOut[],
  cuts: readonly Cut[],
): Step[] {
  const pieces = pieceIndex(context);
  const pieceOf = (p: Placement): Piece => pieces.get(pieceKey(p)) as Piece;
  const steps = [
    ...whiteOutSteps(context, whiteOut),
    ...cuts.map((cut, i) => ({ do: 'cut' as const, refs: [`cut:${i}`], say: sayCut(context, cut, pieces) })),
    ...inOrder(unitsOf(placements, pieceOf), pieceOf).flatMap((unit) => [
      ...writtenFirst(context, unit),
      unitStep(context, unit, pieceOf),
    ]),
    ...writeSteps(context, placements),
  ];
  return steps.map((step, i) => ({ n: i + 1, ...step }));
}

function whiteOutSteps(context: Context, list: readonly WhiteOut[]) {
  return context.book.pages.flatMap((_, page) => {
    const here = list.map((w, i) => ({ w, i })).filter(({ w }) => w.page === page);
    if (!here.length) return [];
    return [
      {
        do: 'white-out' as const,
        refs: here.map(({ i }) => `white:${i}`),
        say: sayWhiteOut(
          context,
          here.map(({ w }) => w),
        ),
      },
    ];
  });
}

/** What is to be whited out on one page; its step is ticked by these words. */
export const sayWhiteOut = ({ book }: Pick<Context, 'book'>, ofPage: readonly WhiteOut[]): string =>
  `White out ${ofPage.length} ${ofPage.length === 1 ? 'place' : 'places'} on the ${pageName(book, ofPage[0]?.page ?? 0)}, ${ruled(tapeLength(ofPage), book.unit)} of tape in all.`;

function sayCut(context: Context, cut: Cut, pieces: ReadonlyMap<string, Piece>): string {
  const piece = pieces.get(pieceKey(cut)) as Piece;
  const unit = context.book.unit;
  const parts = cut.pieces.map((r) => {
    const rows = piece.kind === 'checklist' ? Math.round(r.h / (piece.height / Math.max(1, piece.rows))) : 0;
    if (rows)
      return `${rows} ${rows === 1 ? 'row' : 'rows'}${r.w < piece.width - 0.05 ? `, ${ruled(r.w, unit)} wide` : ''}`;
    return `${ruled(r.w, unit)} × ${ruled(r.h, unit)}`;
  });
  const copy = piece.count > 1 ? `, copy ${cut.copy}` : '';
  return `Cut ${traits(piece.kind).label} ${cut.code}${copy} (${isRoll(piece) ? 'roll' : `sheet ${piece.sheet}`}): ${parts.join(' and ')}.`;
}

/** An item's base with the overlays that lie wholly on it; all else alone. */
function unitsOf(placements: readonly Placement[], pieceOf: (p: Placement) => Piece): Unit[] {
  const overlays = placements.filter(
    (p) =>
      p.layer > 0 &&
      p.role === 'day' &&
      p.items.length === 0 &&
      (traits(pieceOf(p).kind).overlay || traits(pieceOf(p).kind).carriesItem),
  );
  const onBase = new Map<string, Placement[]>();
  const stacked = new Set<string>();
  for (const over of overlays) {
    const base = placements.find(
      (p) =>
        p.page === over.page &&
        p.layer < over.layer &&
        p.role === 'day' &&
        p.items.length > 0 &&
        contains(inset(footprint(p), -TIP), footprint(over)),
    );
    if (!base) continue;
    onBase.set(base.id, [...(onBase.get(base.id) ?? []), over]);
    stacked.add(over.id);
  }
  return placements
    .filter((p) => !stacked.has(p.id))
    .map((p) => [p, ...(onBase.get(p.id) ?? []).sort((a, b) => a.layer - b.layer)]);
}

const ROLE_ORDER = ['base', 'sidebar', 'box', 'day', 'finish'] as const;

function inOrder(units: readonly Unit[], pieceOf: (p: Placement) => Piece): Unit[] {
  const head = (u: Unit): Placement => u[0] as Placement;
  const fixed = (u: Unit): number => (['matte-permanent', 'vinyl', 'clear'].includes(pieceOf(head(u)).finish) ? 1 : 0);
  const banner = (u: Unit): number => (pieceOf(head(u)).kind === 'banner' ? 2.5 : ROLE_ORDER.indexOf(head(u).role));
  const before = (a: Unit, b: Unit): number =>
    fixed(a) - fixed(b) ||
    banner(a) - banner(b) ||
    head(a).page - head(b).page ||
    (head(a).day ?? -1) - (head(b).day ?? -1) ||
    head(a).layer - head(b).layer ||
    head(a).y - head(b).y ||
    head(a).x - head(b).x;
  const sorted = [...units].sort(before);
  const under = new Map(sorted.map((u) => [u, sorted.filter((v) => v !== u && lies(v, u))]));
  const done = new Set<Unit>();
  const order: Unit[] = [];
  while (order.length < sorted.length) {
    const next =
      sorted.find((u) => !done.has(u) && (under.get(u) as Unit[]).every((v) => done.has(v))) ??
      (sorted.find((u) => !done.has(u)) as Unit);
    done.add(next);
    order.push(next);
  }
  return order;
}

/** True when some part of `a` lies under some part of `b`. */
const lies = (a: Unit, b: Unit): boolean =>
  a.some((p) =>
    b.some((q) => p.page === q.page && p.layer < q.layer && intersect(footprint(p), footprint(q)) !== null),
  );

function unitStep(context: Context, unit: Unit, pieceOf: (p: Placement) => Piece) {
  const [base, ...over] = unit as [Placement, ...Placement[]];
  const piece = pieceOf(base);
  const name = `${traits(piece.kind).label} ${piece.code}${piece.words ? ` “${piece.words}”` : ''}`;
  const page = pageName(context.book, base.page);
  const day =
    base.day === null ? page.charAt(0).toUpperCase() + page.slice(1) : longDay(context.week.days[base.day] as string);
  const where = fillsColumn(context.book, base)
    ? `${ruled(base.y, context.book.unit)} from the top of the page, edge to edge of the column`
    : measuredFrom(context.book, base);
  const refs = unit.map((p) => p.id);
  if (!over.length) return { do: 'place' as const, refs, say: `${day}: place ${name}, ${where}.` };
  const laid = over.map((p) => `${traits(pieceOf(p).kind).label} ${p.code}`).join(' and ');
  return {
    do: 'stack' as const,
    refs,
    say: `${day}: on its backing sheet lay ${laid} on ${name}; move the stack over, ${where}.`,
  };
}

/** Texts near the binding, written on the backing sheet where that is the way (handbook P3). */
const isWrittenFirst = ({ book, ways }: Context, p: Placement): boolean =>
  ways.nearBinding === 'written first' && isNearBinding(book, p);

const writtenFirst = (context: Context, unit: Unit) =>
  unit
    .filter((p) => isWrittenFirst(context, p))
    .map((p) => ({
      do: 'write' as const,
      refs: [`text:${p.id}`],
      say: `On its backing sheet write “${p.text?.replace(/\n/g, ', ')}”${p.ink ? ` with ${p.ink}` : ''}: its place is near the ${context.book.binding.kind}.`,
    }));

function writeSteps(context: Context, placements: readonly Placement[]) {
  const days = [null, 0, 1, 2, 3, 4, 5, 6];
  return days.flatMap((day) => {
    const here = placements.filter((p) => p.text && p.day === day && !isWrittenFirst(context, p));
    if (!here.length) return [];
    const pens = [...new Set(here.map((p) => p.ink).filter(Boolean))].join(', ');
    const name = day === null ? 'sidebar and strips' : longDay(context.week.days[day] as string);
    return [
      {
        do: 'write' as const,
        refs: here.map((p) => `text:${p.id}`),
        say: `Write ${name}: ${here.length} ${here.length === 1 ? 'text' : 'texts'}${pens ? ` with ${pens}` : ''}.`,
      },
    ];
  });
}
