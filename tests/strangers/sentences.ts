/**
 * The numbers in what the review says, held against the week by a geometry of its own: no sentence tells a length that
 * is not there, counts what nobody has, or tells two lengths apart with the same words.
 */
import type { Finding } from '../../src/core/review/finding';
import { sayFinding } from '../../src/core/review/say';
import type { Context, Placement } from '../../src/core/spread/placement';
import { footprint } from '../../src/core/spread/placement';
import { voiceOf } from '../../src/core/spread/voice';
import type { Piece } from '../../src/core/kit/kit';
import { lengthIn } from './lengths';

export interface Slip {
  readonly is: 'told alike' | 'not there' | 'miscounted';
  readonly said: string;
}

/** Half a sixteenth of an inch, and a hair. mm */
const ROUNDED = 25.4 / 32 + 0.05;
const LENGTH = /(?:\d+ )?(?:\d+\/\d+|\d+(?:\.\d+)?) (?:in|mm)\b/g;

type Check = (said: { message: string; mm: readonly number[] }, f: Finding, of: Laid) => Slip['is'] | null;
interface Laid {
  readonly context: Context;
  readonly placements: readonly Placement[];
}

/** What is no more than a gap, and as such not said. mm */
const GAP = 3.1;

/** Two lengths that are told as two, though a ruler shows one. */
const twice: Check = ({ message }) => {
  const told = message.match(/(?:just (?:under|over) )?(?:\d+ )?(?:\d+\/\d+|\d+(?:\.\d+)?) (?:in|mm)\b/g) ?? [];
  return told.length > 1 && new Set(told).size === 1 ? 'told alike' : null;
};

const near = (a: number, b: number, by = ROUNDED): boolean => Math.abs(a - b) <= by;

const CHECKS: ReadonlyMap<string, readonly Check[]> = new Map<string, readonly Check[]>([
  ['D3', [twice, ({ mm }, f, of) => {
    const bare = longestFree(of, f.about.days?.[0] ?? 0);
    return (mm.length > 1 ? near(mm[0] ?? 0, bare, 2) : bare <= GAP) ? null : 'not there';
  }]],
  ['D5', [twice]],
  ['F4', [twice]],
  ['F1', [({ mm }, f, of) => (near(mm[0] ?? 0, outBy(f, of)) ? null : 'not there')]],
  ['B2', [({ mm: [w = 0, h = 0] }, f, { context: { book } }) => (book.regions.some((r) => r.kind === 'bottom-strip' && r.page === f.page && w <= r.w + ROUNDED && h <= r.h + ROUNDED) ? null : 'not there')]],
  ['K2', [({ message }, _, { context }) => {
    const has = / the kit “[^”]*” has (\d+)(?! that fit)/.exec(message)?.[1];
    const kinds = new Map<string, number>();
    for (const p of context.kit.pieces) kinds.set(p.kind, (kinds.get(p.kind) ?? 0) + p.count);
    return has === undefined || has === '0' || [...kinds.values()].includes(Number(has)) ? null : 'miscounted';
  }]],
  ['P3', [({ message }, _, { placements }) => (Number(/^\d+/.exec(message)?.[0] ?? 0) <= placements.filter((p) => p.text).length ? null : 'miscounted')]],
  ['K3', [({ message }, _, { context, placements }) => {
    const left = Number(/still has (\d+) full box/.exec(message)?.[1] ?? NaN);
    const boxes = context.kit.pieces.filter((p) => p.kind === 'full-box');
    const laid = (b: Piece): number => new Set(placements.filter((p) => p.code === b.code).map((p) => p.copy)).size;
    const whole = boxes.reduce((sum, b) => sum + b.count - laid(b), 0);
    return Number.isNaN(left) || left === whole ? null : 'miscounted';
  }]],
]); // prettier-ignore

/** What a piece stands over the date header and the column of its day, mm; 0 where it stands in one of them. */
function outBy({ about, placements: [id, other] }: Finding, { context, placements }: Laid): number {
  const box = (of: string | undefined) => {
    const p = placements.find((q) => q.id === of);
    return p ? { ...footprint(p), p } : null;
  };
  const [a, b] = [box(id), box(other)];
  if (about.is === 'no top band') return context.printed.regions.find((r) => r.kind === 'date-header')?.y ?? NaN;
  if (!a) return NaN;
  if (about.is === 'touches' && b)
    return Math.min(
      Math.min(a.x + a.w, b.x + b.w) - Math.max(a.x, b.x),
      Math.min(a.y + a.h, b.y + b.h) - Math.max(a.y, b.y),
    );
  const places = context.book.regions.filter((r) => r.page === a.p.page && 'day' in r && r.day === a.p.day);
  const over = places.map((r) => Math.max(r.x - a.x, a.x + a.w - r.x - r.w, r.y - a.y, a.y + a.h - r.y - r.h));
  return Math.max(0, Math.min(...over));
}

/** The longest run down a day's column in which nothing lies, by steps of a quarter millimeter. */
function longestFree({ context, placements }: Laid, day: number): number {
  const column = context.book.regions.find((r) => r.kind === 'day' && r.day === day);
  if (!column) return 0;
  const there = placements
    .filter((p) => p.page === column.page)
    .map(footprint)
    .filter((r) => r.x < column.x + column.w - 0.3 && r.x + r.w > column.x + 0.3);
  let [longest, run] = [0, 0];
  for (let y = column.y; y < column.y + column.h; y += 0.25) {
    run = there.some((r) => r.y < y + 0.2 && r.y + r.h > y + 0.05) ? 0 : run + 0.25;
    longest = Math.max(longest, run);
  }
  return longest;
}

/** Sentences of the review that say what is not so. */
export function slipsIn(context: Context, placements: readonly Placement[], findings: readonly Finding[]): Slip[] {
  const voice = voiceOf(context, placements);
  return findings.flatMap((f) => {
    const { message } = sayFinding(f, voice);
    const mm = (message.match(LENGTH) ?? []).map(lengthIn);
    return (CHECKS.get(f.rule) ?? []).flatMap((check): Slip[] => {
      const is = check({ message, mm }, f, { context, placements });
      return is ? [{ is, said: `${f.rule} ${message}` }] : [];
    });
  });
}
