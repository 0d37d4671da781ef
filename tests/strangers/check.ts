/**
 * A check of a laid-out week with a geometry of its own: it reads what is handed out (the drawing, the steps) and asks
 * nothing of the review.
 */
import type { Bench } from '../../src/core/bench/bench';
import { twoEdges } from '../../src/core/bench/two-edges';
import { stackOf } from '../../src/core/edit/stack';
import { measuresOf } from '../../src/core/bench/measures';
import { sayStep } from '../../src/core/bench/say-step';
import type { Letters } from '../../src/core/format/letters';
import { spreadSvg } from '../../src/core/format/spread-svg';
import type { Context, Placement } from '../../src/core/spread/placement';
import { footprint, isWriting } from '../../src/core/spread/placement';
import { voiceOf } from '../../src/core/spread/voice';
import type { Demand } from '../../src/core/week/demand';
import { lengthIn } from './lengths';

export interface Fault {
  readonly is:
    | 'not drawn'
    | 'text lost'
    | 'word broken'
    | 'no letter'
    | 'too wide'
    | 'no step'
    | 'not said'
    | 'order'
    | 'off place'
    | 'out of its column'
    | 'cut too long'
    | 'half bare'
    | 'no date';
  readonly of: string;
}

/** mm that letters may run over their room */
const OVER = 0.3;

/** What is drawn of each placement, by its id: the lines of its texts, as they stand in the drawing. */
function drawnLines(svg: string): Map<string, { text: string; size: number; squeezed: number | null }[]> {
  const groups = [...svg.matchAll(/<g id="(p\d+)"(.*?)(?=<g id="p\d+"|$)/gs)];
  return new Map(
    groups.map(([, id, inner]) => {
      const hand = /<g[^>]*font-family="Caveat, cursive"[^>]*font-size="([\d.]+)"[^>]*>(.*?)<\/g>/s.exec(inner ?? '');
      const lines = [...(hand?.[2] ?? '').matchAll(/<text([^>]*)>([^<]*)<\/text>/g)].map(([, attributes, text]) => ({
        text: plain(text ?? ''),
        size: Number(hand?.[1]),
        squeezed: Number(/textLength="([\d.]+)"/.exec(attributes ?? '')?.[1] ?? NaN) || null,
      }));
      return [id as string, lines] as const;
    }),
  );
}

const plain = (xml: string): string =>
  xml
    .replace(/&lt;/g, '<')
    .replace(/&gt;/g, '>')
    .replace(/&quot;/g, '"')
    .replace(/&#39;/g, '’')
    .replace(/&amp;/g, '&');
const bare = (text: string): string => text.replace(/[\s-]|’/g, '').replaceAll("'", '');

/** All faults of a week as it would be handed out. */
export function faultsOf(
  context: Context,
  placements: readonly Placement[],
  bench: Bench,
  letters: Letters,
): readonly Fault[] {
  const faults: Fault[] = [];
  const say = (is: Fault['is'], of: string): void => void faults.push({ is, of });
  const lines = drawnLines(spreadSvg(context, placements, bench.whiteOut));
  const voice = voiceOf(context, placements);
  const said = bench.steps.map((s) => sayStep(s, voice, measuresOf(context, bench))).join('\n');
  const refs = new Set(bench.steps.flatMap((s) => s.refs.map((r) => r.replace('text:', ''))));
  for (const p of placements) {
    if (!refs.has(p.id)) say('no step', p.id);
    if (!p.text) continue;
    const drawn = lines.get(p.id);
    if (!drawn?.length) say('not drawn', p.text);
    const all = (drawn ?? []).map((l) => l.text);
    if (bare(all.join('')) !== bare(p.text.replaceAll(' / ', ' '))) say('text lost', `${p.text} → ${all.join('|')}`);
    all.slice(1).forEach((line, i) => {
      const [before, after] = [all[i]?.split(/\s+/).at(-1) ?? '', line.trim().split(/\s+/)[0] ?? ''];
      const isBroken = p.text?.includes(`${before}${after}`) && /\p{L}$/u.test(before) && /^\p{L}/u.test(after);
      const isWide = /[\u3000-\u9fff]/.test(before + after);
      if (isBroken && !isWide) say('word broken', all.join('|'));
    });
    for (const { text, size, squeezed } of drawn ?? []) {
      for (const letter of letters.lacking(text)) say('no letter', letter);
      const wide = squeezed ?? letters.outline(text, 'Caveat').width * size;
      if (wide > p.w + OVER && p.turn % 90 === 0) say('too wide', `${text}: ${wide.toFixed(1)} of ${p.w}`);
    }
    const asSaid = p.text.split('\n').join(', ').replace(/—+/g, '———');
    if (isWriting(p) && !said.replace(/—+/g, '———').includes(`“${asSaid}”`)) say('not said', asSaid);
  }
  return [
    ...faults,
    ...outOfOrder(context, placements),
    ...offPlace(context, bench),
    ...cutTooLong(context, bench),
    ...halfBare(context, placements, bench),
    ...undated(context, placements),
  ];
}

/** From when to when an item may be, minutes; null where nobody said. */
function spanOf({ start, part, list, kind }: Demand): readonly [from: number, to: number] | null {
  if (list || kind === 'band') return null;
  if (start !== null) return [start, start];
  return part === 'morning' ? [0, 12 * 60] : part === 'evening' ? [17 * 60, 24 * 60] : null;
}

/** Items that stand wholly above one that comes before them on their own day. */
function outOfOrder(context: Context, placements: readonly Placement[]): Fault[] {
  const known = context.week.demands.flatMap((d) => {
    const span = spanOf(d);
    const at = placements.find((p) => p.items.includes(d.uid) && p.day === d.day);
    return span && at ? [{ d, at, span }] : [];
  });
  return known.flatMap(({ d, at, span }) =>
    known
      .filter((o) => o.d.day === d.day && o.at.id !== at.id && o.at.page === at.page)
      .filter((o) => o.span[1] < span[0] && at.y + at.h <= o.at.y + 0.01)
      .map((o): Fault => ({ is: 'order', of: `${d.title} ${span.join('-')} over ${o.d.title} ${o.span.join('-')}` })),
  );
}

/** The spread without each of its items that has a place of its own, one at a time. */
export const takenOff = (context: Context, placements: readonly Placement[]) =>
  context.week.demands.flatMap((d) => {
    const all = placements.filter((p) => p.items.includes(d.uid));
    const [p] = all;
    if (d.kind === 'band' || d.list || !p || all.length > 1 || p.items.length > 1 || p.day !== d.day) return [];
    const gone = new Set(stackOf(placements, p.id).map((q) => q.id));
    return [{ without: placements.filter((q) => !gone.has(q.id)), key: d.key, title: d.title }];
  });

/** What a hand may be off: half a sixteenth or half a half millimeter, and what still counts as touching. */
const mayBeOff = (unit: 'in' | 'mm'): number => (unit === 'in' ? 25.4 / 32 : 0.25) + 0.36;

/** Lays the week by what the steps say, piece after piece, from where those that they name have come to lie. */
export function offPlace(context: Context, bench: Bench, worst: number[] = []): Fault[] {
  const faults: Fault[] = [];
  const { book } = context;
  const measures = measuresOf(context, bench);
  const voice = voiceOf(context, bench.placements);
  const lies = new Map<string, { x: number; y: number; p: Placement }>();
  for (const step of bench.steps.filter((s) => s.about.is === 'lay')) {
    const [base, ...over] = step.refs.map((id) => bench.placements.find((p) => p.id === id) as Placement);
    const edges = base && measures.get(base.id);
    if (!base || !edges) continue;
    const [downSaid = '', acrossSaid = ''] = sayStep(step, voice, measures).replace(/\.$/, '').split(', ').slice(-2);
    const ref = (from: object): { x: number; y: number; p: Placement } | undefined =>
      'placement' in from ? lies.get(from.placement as string) : undefined;
    const foot = footprint(base);
    const under = ref(edges.down.from);
    const mark = edges.down.from.is === 'mark' ? foot.y - twoEdges(context, base, [...lies.values()].map((l) => l.p), bench.whiteOut).down.mm : 0; // prettier-ignore
    const level = edges.down.from.is === 'level';
    const y = (under ? under.y + (level ? 0 : footprint(under.p).h) : mark) + lengthIn(downSaid);
    let x = foot.x;
    if (edges.across) {
      const { from, side } = edges.across;
      const beside = ref(from);
      const column =
        from.is === 'column' ? book.regions.find((r) => r.kind === 'day' && r.day === from.day) : undefined;
      const edge = beside
        ? side === 'left' ? beside.x + footprint(beside.p).w : beside.x
        : column ? (side === 'left' ? column.x : column.x + column.w) : side === 'left' ? 0 : (book.pages[base.page]?.width ?? 0); // prettier-ignore
      x = side === 'left' ? edge + lengthIn(acrossSaid) : edge - lengthIn(acrossSaid) - foot.w;
      if (column && (x < column.x - 0.4 || x + foot.w > column.x + column.w + 0.4)) faults.push({ is: 'out of its column', of: acrossSaid }); // prettier-ignore
    }
    for (const p of [base, ...over])
      lies.set(p.id, { x: x + footprint(p).x - foot.x, y: y + footprint(p).y - foot.y, p });
    const off = Math.max(Math.abs(x - foot.x), Math.abs(y - foot.y));
    worst.push(off);
    if (off > mayBeOff(book.unit)) faults.push({ is: 'off place', of: `${off.toFixed(2)} mm: ${sayStep(step, voice, measures)}` }); // prettier-ignore
  }
  return faults;
}

/** Parts of stickers that are said to be longer than the sticker is. */
function cutTooLong(context: Context, bench: Bench): Fault[] {
  const voice = voiceOf(context, bench.placements);
  return bench.steps.flatMap((step): Fault[] => {
    const piece = step.about.is === 'cut' ? voice.pieceOf(step.about.cut) : undefined;
    if (!piece) return [];
    const said = sayStep(step, voice);
    const parts = [...said.matchAll(/([\d./ ]+ (?:in|mm)) × ([\d./ ]+ (?:in|mm))/g)].map(([, w = '', h = '']) => ({ w: lengthIn(w.trim()), h: lengthIn(h.trim()) })); // prettier-ignore
    const isOver = parts.some(({ w, h }) => w > piece.width + 0.06 || h > piece.height + 0.06 || w <= 0 || h <= 0);
    return isOver ? [{ is: 'cut too long', of: said }] : [];
  });
}

/** Shapes that hide all of their rectangle but a hair at its corners. */
const FULL = ['rect', 'rounded', 'scalloped'];

/** Printed frames and labels of headers and strips of which some shows and some is gone: looked at point by point. */
function halfBare(context: Context, placements: readonly Placement[], bench: Bench): Fault[] {
  const voice = voiceOf(context, placements);
  const { book } = context;
  const small = book.regions.filter((r) => r.kind === 'date-header' || r.kind.endsWith('strip'));
  const isIn = (x: number, y: number, r: { x: number; y: number; w: number; h: number }, by = 0.06): boolean =>
    x >= r.x - by && x <= r.x + r.w + by && y >= r.y - by && y <= r.y + r.h + by;
  return book.marks.flatMap((m): Fault[] => {
    const home = small.find((r) => r.page === m.page && isIn(m.x + m.w / 2, m.y + m.h / 2, r));
    if (!home || m.kind !== 'box') return [];
    const over = [
      ...placements.flatMap((p) => {
        const piece = p.page === m.page && p.turn % 90 === 0 ? voice.pieceOf(p) : undefined;
        const hides = piece && piece.opacity >= 0.9 && piece.kind !== 'banner' && FULL.includes(piece.shape);
        return hides ? [footprint(p)] : [];
      }),
      ...bench.whiteOut.filter((w) => w.page === m.page),
    ];
    const points = Array.from({ length: 40 }, (_, i) => (i + 0.5) / 40).flatMap((t) => [
      [m.x + t * m.w, m.y + 0.15], [m.x + t * m.w, m.y + m.h - 0.15],
      [m.x + 0.15, m.y + t * m.h], [m.x + m.w - 0.15, m.y + t * m.h],
    ] as const); // prettier-ignore
    const shows = points.filter(([x, y]) => !over.some((r) => isIn(x, y, r))).length / points.length;
    return shows > 0.05 && shows < 0.95 ? [{ is: 'half bare', of: `${home.id}, ${shows.toFixed(2)} shows` }] : [];
  });
}

/** Days of a book without dates that show none, or another one. */
function undated(context: Context, placements: readonly Placement[]): Fault[] {
  if (context.book.dated) return [];
  const voice = voiceOf(context, placements);
  return context.week.days.flatMap((iso, day): Fault[] => {
    const wanted = String(Number(iso.slice(8)));
    const isShown = placements.some((p) => {
      const said = voice.pieceOf(p)?.kind === 'date-dot' ? voice.pieceOf(p)?.words : p.text;
      return p.day === day && p.role === 'base' && said?.trim().split(' ').at(-1) === wanted;
    });
    return isShown ? [] : [{ is: 'no date', of: `${iso} of ${context.book.name}` }];
  });
}
