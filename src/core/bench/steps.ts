import type { Context, Placement } from '../spread/placement';
import { footprint, isWriting, pieceIndex } from '../spread/placement';
import { TIP } from '../spread/writing';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import { traits } from '../kit/kinds';
import { contains, inset } from '../measure/rect';
import { constraintsOf } from './constraints';
import type { Cut } from './cuts';
import { asDragged, inOrder } from './in-order';
import { workOrder } from './orders/registry';
import type { WorkPlan } from './plan';
import { USUAL_PLAN } from './plan';
import type { Edge, Part, Step, Work } from './step';
import { pieceKeyOf, whiteOutKey } from './step-key';
import { partedCut, partedRefs, stillToWhiteOut } from './what-is-done';
import { isNearBinding } from './near-binding';
import type { WhiteOut } from './white-out';
import { tapeLength } from './white-out';

type Unit = readonly Placement[];

/** The steps in their order, and what keeps them in it. */
export interface Worked {
  readonly steps: readonly Step[];
  readonly edges: readonly Edge[];
}

/** The steps alone, see `workOf`. */
export const stepsOf = (
  context: Context,
  placements: readonly Placement[],
  whiteOut: readonly WhiteOut[],
  cuts: readonly Cut[],
  plan?: WorkPlan,
): Step[] => [...workOf(context, placements, whiteOut, cuts, plan).steps];

/**
 * The order of work (handbook 4): what must come before what (`constraints.ts`), else as its owner dragged it, else
 * as the chosen order ranks it. An item's base with what is on it is one stack, built on the backing sheet (R2); what
 * can't be lifted again comes as late as it may (R1).
 */
export function workOf(
  context: Context,
  placements: readonly Placement[],
  whiteOut: readonly WhiteOut[],
  cuts: readonly Cut[],
  plan: WorkPlan = USUAL_PLAN,
): Worked {
  const pieces = pieceIndex(context);
  const pieceOf = (p: Placement): Piece => pieces.get(pieceKey(p)) as Piece;
  const units = unitsOf(
    placements.filter((p) => !isWriting(p)),
    pieceOf,
  );
  const order = workOrder(plan.order);
  const done = new Set(context.ticked);
  const all = [
    ...whiteOutSteps(context, whiteOut),
    ...units.flatMap((unit) => [...writtenFirst(context, unit), ...unitSteps(unit, done)]),
    ...cuts.flatMap((cut, i) => cutSteps(cut, i, done)),
    ...writeSteps(context, placements),
  ].map((step) => workOn(step, placements, pieceOf));
  const ranked = withCutsWhereTheyServe(all)
    .map((work) => ({ work, rank: order.rank(work, context.manner) }))
    .sort((a, b) => compared(a.rank, b.rank));
  const byKey = new Map(ranked.map(({ work }) => [work.step.key, work]));
  const edges = constraintsOf(
    all.map((w) => w.step),
    placements,
    whiteOut,
  );
  const dragged = asDragged([...byKey.keys()], plan.sequence);
  // without tape what needs none goes first
  const waits = (key: string): boolean => plan.tapeOut && byKey.get(key)?.step.do === 'white-out' && !done.has(key);
  const wanted = [...dragged.filter((key) => !waits(key)), ...dragged.filter(waits)];
  const steps = inOrder(wanted, edges).map((key, i) => {
    const work = byKey.get(key) as Work;
    return { n: i + 1, ...work.step, group: order.groupOf(work) };
  });
  return { steps, edges };
}

function compared(a: readonly number[], b: readonly number[]): number {
  for (let i = 0; i < Math.max(a.length, b.length); i++) {
    const by = (a[i] ?? 0) - (b[i] ?? 0);
    if (by) return by;
  }
  return 0;
}

type Unnumbered = Omit<Step, 'n' | 'group'>;

const LAST = ['matte-permanent', 'vinyl', 'clear'];

function partOf(p: Placement, piece: Piece | undefined): Part {
  if (piece && LAST.includes(piece.finish)) return 'permanent';
  return piece?.kind === 'banner' ? 'banner' : p.role;
}

/** Where a step stands in the work: by its first sticker, or by what it is. */
function workOn(step: Unnumbered, placements: readonly Placement[], pieceOf: (p: Placement) => Piece): Work {
  const { about } = step;
  const none = { page: 0, day: -1, layer: 0, y: 0, x: 0 };
  if (about.is === 'white-out') return { step, part: 'white-out', ...none, page: about.page };
  if (about.is === 'write') return { step, part: 'ink', ...none, day: about.day ?? -1 };
  const id =
    about.is === 'cut' ? about.cut.pieces[0]?.placement : about.is === 'write first' ? about.placement : step.refs[0];
  const p = placements.find((q) => q.id === id);
  if (!p) return { step, part: 'day', ...none };
  const { page, day, layer, y, x } = p;
  return { step, part: partOf(p, pieceOf(p)), page, day: day ?? -1, layer, y, x };
}

/** A cut belongs to the first of the stickers it makes. */
function withCutsWhereTheyServe(all: readonly Work[]): Work[] {
  const first = new Map<string, Work>();
  for (const work of all) if (work.step.about.is === 'lay') for (const id of work.step.refs) first.set(id, work);
  return all.map((work) => {
    const { about } = work.step;
    const user = about.is === 'cut' ? first.get(about.cut.pieces[0]?.placement ?? '') : undefined;
    return user ? { ...user, step: work.step } : work;
  });
}

const whiteOutSteps = (context: Context, list: readonly WhiteOut[]): Unnumbered[] =>
  context.book.pages.flatMap((_, page) => {
    const here = list.map((w, i) => ({ w, i })).filter(({ w }) => w.page === page);
    if (!here.length) return [];
    const ofPage = here.map(({ w }) => w);
    const step = (key: string, own: typeof here, what: readonly WhiteOut[]): Unnumbered[] =>
      own.length
        ? [
            {
              do: 'white-out',
              key,
              refs: own.map(({ i }) => `white:${i}`),
              about: { is: 'white-out', page, count: what.length, mm: tapeLength(what) },
            },
          ]
        : [];
    const key = context.ticked.find((k) => k.startsWith(`white-out:${page}:`));
    if (key === undefined) return step(whiteOutKey(page, ofPage), here, ofPage);
    const left = stillToWhiteOut(context.ticked, page, ofPage);
    if (!left.length) return step(key, here, ofPage);
    const open = here.filter(({ w }) => stillToWhiteOut(context.ticked, page, [w]).length > 0);
    const settled = here.filter((h) => !open.includes(h));
    return [
      ...step(
        key,
        settled,
        settled.map(({ w }) => w),
      ),
      ...step(whiteOutKey(page, left), open, left),
    ];
  });

/** What was cut stays cut; another part of the same sticker is another cut. */
const cutSteps = (whole: Cut, i: number, done: ReadonlySet<string>): Unnumbered[] =>
  partedCut(whole, done).map(({ key, cut }) => ({ do: 'cut', key, refs: [`cut:${i}`], about: { is: 'cut', cut } }));

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

/** What lies stays as it was laid; what comes onto it later is laid by itself. */
function unitSteps(unit: Unit, ticked: ReadonlySet<string>): Unnumbered[] {
  const step = (key: string | null, refs: readonly string[]): Unnumbered => {
    const work = refs.length > 1 ? 'stack' : 'place';
    return { do: work, key: key ?? pieceKeyOf(work, refs), refs, about: { is: 'lay' } };
  };
  const { done, left } = partedRefs(
    'lay',
    unit.map((p) => p.id),
    ticked,
  );
  return [...done.map(({ key, things }) => step(key, things)), ...(left.length ? [step(null, left)] : [])];
}

/** Texts near the binding, written on the backing sheet where that is the way (handbook P3). */
const isWrittenFirst = ({ book, ways }: Context, p: Placement): boolean =>
  ways.nearBinding === 'written first' && !isWriting(p) && isNearBinding(book, p);

const writtenFirst = (context: Context, unit: Unit): Unnumbered[] =>
  unit
    .filter((p) => isWrittenFirst(context, p))
    .map((p) => {
      const refs = [`text:${p.id}`];
      return { do: 'write', key: pieceKeyOf('write', refs), refs, about: { is: 'write first', placement: p.id } };
    });

function writeSteps(context: Context, placements: readonly Placement[]): Unnumbered[] {
  const days = [null, 0, 1, 2, 3, 4, 5, 6];
  return days.flatMap((day): Unnumbered[] => {
    const here = placements.filter((p) => p.text && p.day === day && !isWrittenFirst(context, p));
    if (!here.length) return [];
    const byRef = new Map(here.map((p) => [isWriting(p) ? p.id : `text:${p.id}`, p]));
    const step = (key: string | null, refs: readonly string[]): Unnumbered => {
      const own = refs.map((ref) => byRef.get(ref) as Placement);
      const paper = own.filter(isWriting).map((p) => p.id);
      const pens = [...new Set(own.flatMap((p) => p.ink ?? []))];
      const about = { is: 'write', day, texts: own.length, pens, paper } as const;
      return { do: 'write', key: key ?? pieceKeyOf('write', refs), refs, about };
    };
    const { done, left } = partedRefs('write', [...byRef.keys()], context.ticked);
    return [...done.map(({ key, things }) => step(key, things)), ...(left.length ? [step(null, left)] : [])];
  });
}
