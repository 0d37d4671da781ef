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
import { STEP_KINDS, stepKind } from './kinds/registry';
import type { ToDo, Unnumbered } from './kinds/step-kind';
import type { WhiteOut } from './white-out';

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
  const order = workOrder(plan.order);
  const done = new Set(context.ticked);
  const stickers = placements.filter((p) => !isWriting(p));
  const work: ToDo = { context, placements, stacks: stacksOf(stickers, pieceOf), whiteOut, cuts, done };
  const all = STEP_KINDS.flatMap((kind) => kind.stepsOf(work)).map((step) => workOn(step, placements, pieceOf));
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

const LAST = ['matte-permanent', 'vinyl', 'clear'];

function partOf(p: Placement, piece: Piece | undefined): Part {
  if (piece && LAST.includes(piece.finish)) return 'permanent';
  return piece?.kind === 'banner' ? 'banner' : p.role;
}

/** Where a step stands in the work: where its kind says, or where the sticker does that it is about. */
function workOn(step: Unnumbered, placements: readonly Placement[], pieceOf: (p: Placement) => Piece): Work {
  const { part, by, page = 0, day = -1 } = stepKind(step.about).standsAt(step);
  const p = part === undefined ? placements.find((q) => q.id === by) : undefined;
  if (!p) return { step, part: part ?? 'day', page, day, layer: 0, y: 0, x: 0 };
  return { step, part: partOf(p, pieceOf(p)), page: p.page, day: p.day ?? -1, layer: p.layer, y: p.y, x: p.x };
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

/** An item's base with the overlays that lie wholly on it; all else alone. */
function stacksOf(placements: readonly Placement[], pieceOf: (p: Placement) => Piece): Placement[][] {
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
