import type { Context, Placement } from '../spread/placement';
import { footprint, isWriting, pieceIndex } from '../spread/placement';
import { TIP } from '../spread/writing';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import { traits } from '../kit/kinds';
import { contains, inset, intersect } from '../measure/rect';
import type { Cut } from './cuts';
import { cutKey, pieceKeyOf, whiteOutKey } from './step-key';
import { isNearBinding } from './near-binding';
import type { WhiteOut } from './white-out';
import { tapeLength } from './white-out';

export interface Step {
  readonly n: number;
  /** names it, see `step-key.ts` */
  readonly key: string;
  readonly do: 'white-out' | 'cut' | 'stack' | 'place' | 'write';
  /**
   * ids of placements and writings; `white:` and `cut:` with a number into those lists; `text:` with the id of the
   * sticker it is written on
   */
  readonly refs: readonly string[];
  readonly about: StepAbout;
}

/** What a step is about, as data; `say-step.ts` puts it into words. */
export type StepAbout =
  | { readonly is: 'white-out'; readonly page: number; readonly count: number; readonly mm: number }
  | { readonly is: 'cut'; readonly cut: Cut }
  /** the piece or stack that its refs name, the base first */
  | { readonly is: 'lay' }
  | { readonly is: 'write first'; readonly placement: string }
  | {
      readonly is: 'write';
      readonly day: number | null;
      readonly texts: number;
      readonly pens: readonly string[];
      /** those of them that go straight onto the paper */
      readonly paper: readonly string[];
    };

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
  const stickers = placements.filter((p) => !isWriting(p));
  const steps = [
    ...whiteOutSteps(context, whiteOut),
    ...cuts.map(cutStep),
    ...inOrder(unitsOf(stickers, pieceOf), pieceOf).flatMap((unit) => [...writtenFirst(context, unit), unitStep(unit)]),
    ...writeSteps(context, placements),
  ];
  return steps.map((step, i) => ({ n: i + 1, ...step }));
}

type Unnumbered = Omit<Step, 'n'>;

const whiteOutSteps = (context: Context, list: readonly WhiteOut[]): Unnumbered[] =>
  context.book.pages.flatMap((_, page) => {
    const here = list.map((w, i) => ({ w, i })).filter(({ w }) => w.page === page);
    if (!here.length) return [];
    const ofPage = here.map(({ w }) => w);
    return [
      {
        do: 'white-out',
        key: whiteOutKey(page, ofPage),
        refs: here.map(({ i }) => `white:${i}`),
        about: { is: 'white-out', page, count: ofPage.length, mm: tapeLength(ofPage) },
      },
    ];
  });

const cutStep = (cut: Cut, i: number): Unnumbered => ({
  do: 'cut',
  key: cutKey(cut),
  refs: [`cut:${i}`],
  about: { is: 'cut', cut },
});

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
      sorted.find((u) => !done.has(u));
    if (!next) break;
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

function unitStep(unit: Unit): Unnumbered {
  const refs = unit.map((p) => p.id);
  const work = unit.length > 1 ? 'stack' : 'place';
  return { do: work, key: pieceKeyOf(work, refs), refs, about: { is: 'lay' } };
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
    const refs = here.map((p) => (isWriting(p) ? p.id : `text:${p.id}`));
    const paper = here.filter(isWriting).map((p) => p.id);
    const pens = [...new Set(here.flatMap((p) => p.ink ?? []))];
    return [
      {
        do: 'write',
        key: pieceKeyOf('write', refs),
        refs,
        about: { is: 'write', day, texts: here.length, pens, paper },
      },
    ];
  });
}
