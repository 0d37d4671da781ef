/**
 * How many acts it takes to put a read sheet right with what the screen offers: a click, a key, a text or a frame each
 * count one. Reckoned from truth and reading, not from a person at work, who also looks.
 */
import type { Printed, PrintedSheet } from '../../demo/scanner-service/sheet';
import { matched } from '../../scripts/bench/scan-tally';
import type { Kind } from '../../src/core/kit/kinds';
import type { FoundPiece, ReadSheet } from '../../src/core/scan/found';

/** Kinds that mostly carry printed words, which are typed. Common practice. */
const WORDED: ReadonlySet<Kind> = new Set<Kind>(['header', 'script', 'date-cover', 'date-dot']);

/** One sticker is chosen, and with it all of its size. */
const CHOOSE = 1;
const CHOOSE_ALL_OF_SIZE = 2;
const KEY = 1;
const TEXT = 1;
/** Drawn with a frame, its width and its height typed, its kind's key. */
const DRAW = 2 + TEXT + TEXT + KEY;
/** Columns, rows, Split. */
const SPLIT = 3;

const sizeOf = ({ w, h }: Printed): string => `${w.toFixed(1)} ${h.toFixed(1)}`;
const groups = <T>(all: readonly T[], key: (one: T) => string): T[][] =>
  [...new Set(all.map(key))].map((k) => all.filter((one) => key(one) === k));

interface Hit {
  readonly truth: Printed;
  readonly read: FoundPiece;
}

/** @param slack a side is right that is off by no more, mm */
export function actsToRight(sheet: PrintedSheet, read: Pick<ReadSheet, 'pieces'>, slack: number): number {
  const found = matched(sheet, read);
  const hits = found.flatMap((p, i): Hit[] => (p ? [{ truth: sheet.stickers[i] as Printed, read: p }] : []));
  const missing = sheet.stickers.filter((_, i) => !found[i]);
  const wrong = read.pieces.filter((p) => !found.includes(p));
  const used = wrong.some((p) => p.doubts.includes('used')) ? KEY : 0;
  const covers = (p: FoundPiece, s: Printed): boolean =>
    s.x + s.w / 2 > p.x && s.x + s.w / 2 < p.x + p.w && s.y + s.h / 2 > p.y && s.y + s.h / 2 < p.y + p.h;
  // a block that is several becomes a grid; what else is wrong is removed
  const blocks = wrong.filter((p) => missing.filter((s) => covers(p, s)).length > 1);
  const others = wrong.filter((p) => !blocks.includes(p) && !p.doubts.includes('used'));
  const undrawn = missing.filter((s) => !blocks.some((p) => covers(p, s)));
  // copies of what was drawn or read already are drawn and joined to it
  const drawn = groups(undrawn, (s) => s.design).reduce((n, copies) => n + DRAW + (copies.length - 1) * 2, 0);
  const kinds = groups(
    hits.filter((h) => h.read.kind !== h.truth.kind),
    (h) => `${sizeOf(h.truth)} ${h.truth.kind}`,
  ).length;
  const sides = groups(hits, (h) => sizeOf(h.truth)).map((of) =>
    (['w', 'h'] as const).some((side) => of.some((h) => Math.abs(h.read[side] - h.truth[side]) > slack))
      ? CHOOSE_ALL_OF_SIZE + TEXT + TEXT
      : 0,
  );
  const copies = groups(hits, (h) => h.truth.design).map((of) => {
    const alike = read.pieces.filter((p) => p.design === of[0]?.read.design);
    const right = of.every((h) => h.read.design === of[0]?.read.design) && alike.length === of.length;
    return right ? 0 : Math.min(of.length, 2) * CHOOSE + KEY;
  });
  const rows = groups(
    hits.filter((h) => h.truth.rows !== h.read.rows),
    (h) => `${sizeOf(h.truth)} ${h.truth.rows}`,
  ).length;
  // one frame round all of a size, their words in order
  const words = groups(
    hits.filter((h) => WORDED.has(h.truth.kind)),
    (h) => `${sizeOf(h.truth)} ${h.truth.kind}`,
  ).length;
  const sum = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0);
  return (
    used +
    blocks.length * (CHOOSE + SPLIT) +
    (others.length ? others.length * CHOOSE + KEY : 0) +
    drawn +
    kinds * (CHOOSE_ALL_OF_SIZE + KEY) +
    sum(sides) +
    sum(copies) +
    rows * (CHOOSE + TEXT) +
    words * (CHOOSE + TEXT)
  );
}
