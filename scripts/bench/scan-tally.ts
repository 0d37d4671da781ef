/** What was read of a sheet's picture, counted against what was printed. */
import type { Printed, PrintedSheet } from '../../demo/scanner-service/sheet';
import { difference } from '../../src/core/color/color';
import type { FoundPiece, ReadSheet } from '../../src/core/scan/found';

export const TRUTH_DPI = 150;

export interface Tally {
  sheets: number;
  pieces: number;
  found: number;
  /** a piece where no sticker is; how many of them are not marked to be looked at */
  invented: number;
  unmarked: number;
  /** a piece that is a part of one sticker */
  bits: number;
  /** a piece that is several stickers in one: these are counted as not found */
  unparted: number;
  sides: number;
  sizesRight: number;
  colors: number;
  colorsRight: number;
  designs: number;
  copiesRight: number;
  /** designs that are lists, those of which the rows are right, and others that were given rows */
  lists: number;
  rowsRight: number;
  falseRows: number;
  kindsRight: number;
  doubted: number;
  ms: number[];
}
export const empty = (): Tally => ({
  sheets: 0, pieces: 0, found: 0, invented: 0, unmarked: 0, bits: 0, unparted: 0, sides: 0, sizesRight: 0, colors: 0,
  colorsRight: 0, designs: 0, copiesRight: 0, lists: 0, rowsRight: 0, falseRows: 0, kindsRight: 0, doubted: 0, ms: [],
}); // prettier-ignore

export function sumOf(tallies: readonly Tally[]): Tally {
  const sum = empty();
  for (const t of tallies)
    for (const key of Object.keys(sum) as (keyof Tally)[])
      if (key === 'ms') sum.ms.push(...t.ms);
      else sum[key] += t[key];
  return sum;
}

/** Each printed sticker's nearest piece that nobody else has, or null. */
export function matched(sheet: PrintedSheet, { pieces }: Pick<ReadSheet, 'pieces'>): (FoundPiece | null)[] {
  const free = new Set(pieces);
  return sheet.stickers.map((s) => {
    const near = [...free].find(
      (p) =>
        Math.abs(p.x + p.w / 2 - s.x - s.w / 2) < 1.5 &&
        Math.abs(p.y + p.h / 2 - s.y - s.h / 2) < 1.5 &&
        Math.abs(p.w - s.w) < 2.5 &&
        Math.abs(p.h - s.h) < 2.5,
    );
    if (near) free.delete(near);
    return near ?? null;
  });
}

/** The sheet as it was drawn, RGB, at TRUTH_DPI. */
export interface Clean {
  readonly data: Buffer;
  readonly width: number;
}

/** The color that most of a sticker's pixels have; null where two share it about evenly, as on stripes. */
function trueColor(s: Printed, { data, width }: Clean): string | null {
  const px = (mm: number): number => Math.round((mm * TRUTH_DPI) / 25.4);
  const counts = new Map<number, number>();
  for (let y = px(s.y + 0.5); y < px(s.y + s.h - 0.5); y++)
    for (let x = px(s.x + 0.5); x < px(s.x + s.w - 0.5); x++) {
      const color = data.readUIntBE((y * width + x) * 3, 3);
      counts.set(color, (counts.get(color) ?? 0) + 1);
    }
  const [first, second] = [...counts].sort((p, q) => q[1] - p[1]);
  const all = [...counts.values()].reduce((sum, n) => sum + n, 0);
  if (!first || first[1] < all * 0.25 || (second && second[1] > first[1] * 0.6)) return null;
  return `#${first[0].toString(16).padStart(6, '0')}`;
}

const share = (p: FoundPiece, s: Printed): number =>
  (Math.max(0, Math.min(p.x + p.w, s.x + s.w) - Math.max(p.x, s.x)) *
    Math.max(0, Math.min(p.y + p.h, s.y + s.h) - Math.max(p.y, s.y))) /
  (p.w * p.h);

/** @param slack a side is right that is off by no more, mm */
export function count(
  sheet: PrintedSheet,
  read: ReadSheet,
  clean: Clean,
  { slack, ms }: { slack: number; ms: number },
  tally: Tally,
): void {
  const hits = matched(sheet, read);
  tally.sheets++;
  tally.ms.push(ms);
  tally.pieces += hits.length;
  for (const p of read.pieces.filter((q) => !hits.includes(q))) {
    const within = sheet.stickers.filter((s) => {
      const [x, y] = [s.x + s.w / 2, s.y + s.h / 2];
      return x > p.x && x < p.x + p.w && y > p.y && y < p.y + p.h;
    });
    if (within.length > 1) tally.unparted++;
    else if (sheet.stickers.some((s) => share(p, s) > 0.6)) tally.bits++;
    else tally.invented++;
    if (within.length < 2 && !p.doubts.length) tally.unmarked++;
  }
  hits.forEach((p, i) => {
    const s = sheet.stickers[i] as Printed;
    if (!p) return;
    tally.found++;
    tally.sides += 2;
    tally.sizesRight += [p.w - s.w, p.h - s.h].filter((e) => Math.abs(e) <= slack + 1e-9).length;
    tally.kindsRight += p.kind === s.kind ? 1 : 0;
    tally.doubted += p.doubts.length ? 1 : 0;
    const color = trueColor(s, clean);
    if (color === null) return;
    tally.colors++;
    tally.colorsRight += difference(color, p.color) < 3 ? 1 : 0;
  });
  for (const design of new Set(sheet.stickers.map((s) => s.design))) {
    const copies = hits.filter((_, i) => sheet.stickers[i]?.design === design);
    const [first] = copies;
    const alike = read.pieces.filter((p) => p.design === first?.design);
    const rows = sheet.stickers.find((s) => s.design === design)?.rows ?? 0;
    tally.designs++;
    tally.copiesRight +=
      first && copies.every((p) => p?.design === first.design) && alike.length === copies.length ? 1 : 0;
    if (rows) tally.lists++;
    if (rows) tally.rowsRight += first?.rows === rows ? 1 : 0;
    else tally.falseRows += copies.some((p) => p?.rows) ? 1 : 0;
  }
}

const HEAD = [
  'sheets',
  'stickers',
  'found',
  'invented',
  'of these unmarked',
  'bits',
  'unparted',
  'sizes right',
  'colors right',
  'copies right',
  "lists' rows right",
  'false rows',
  'kinds right',
  'to look at',
  'ms',
];

/** @param first what the first column is */
export const table = (first: string, rows: readonly string[]): string =>
  [`| ${[first, ...HEAD].join(' | ')} |`, `|${'---|'.repeat(HEAD.length + 1)}`, ...rows].join('\n');

export const percent = (part: number, all: number): string => (all ? ((100 * part) / all).toFixed(1) : '-');

export const row = (name: string, t: Tally): string =>
  `| ${[
    name,
    t.sheets,
    t.pieces,
    percent(t.found, t.pieces),
    t.invented,
    t.unmarked,
    t.bits,
    t.unparted,
    percent(t.sizesRight, t.sides),
    percent(t.colorsRight, t.colors),
    percent(t.copiesRight, t.designs),
    t.lists ? `${t.rowsRight} of ${t.lists}` : '-',
    t.falseRows,
    percent(t.kindsRight, t.found),
    percent(t.doubted, t.found),
    Math.round([...t.ms].sort((a, b) => a - b)[t.ms.length >> 1] as number),
  ].join(' | ')} |`;
