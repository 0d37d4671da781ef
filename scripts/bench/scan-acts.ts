import { readFileSync } from 'node:fs';
import { printedKit } from '../../demo/scanner-service/demo-sheets';
import type { Knobs } from '../../demo/scanner-service/device';
import type { PrintedSheet } from '../../demo/scanner-service/sheet';
import { readKit } from '../../src/core/format/kit-csv';
import type { Piece } from '../../src/core/kit/kit';
import type { FoundPiece, ReadSheet } from '../../src/core/scan/found';

/** Clicks and keys, a typed word counted as one: what each correction takes on the scanning screen. */
const ACTS = {
  /** choose the picture, and see it read */
  sheet: 1,
  /** name the kit, and add it */
  kit: 3,
  /** point to a design that is marked as doubtful, and say that it is right as it is */
  doubt: 2,
  /** point to it, and pick its kind */
  kind: 3,
  rows: 2,
  words: 2,
  /** draw one, and say which it is a copy of */
  missed: 3,
  invented: 2,
  /** point to its copies, and make them one design */
  copies: 3,
} as const;
type Act = keyof typeof ACTS;

type ReadBack = (sheet: PrintedSheet, knobs: Knobs) => Promise<{ read: ReadSheet }>;
type Matched = (sheet: PrintedSheet, read: ReadSheet) => (FoundPiece | null)[];

/** How many acts make the demo kit of six sheets right, as a section of docs/scan.md. */
export async function actsOfAKit(readBack: ReadBack, matched: Matched, knobs: Knobs): Promise<string> {
  const kit = readKit(readFileSync('demo/kits/rockpool.kit.csv', 'utf8'), 'rockpool.kit.csv', 'rockpool');
  const sheets = printedKit(kit);
  const pieces = new Map(kit.pieces.map((p) => [p.code, p]));
  const counts = new Map<Act, number>([['kit', 1]]);
  const add = (act: Act, n = 1): unknown => counts.set(act, (counts.get(act) ?? 0) + n);
  for (const sheet of sheets) {
    add('sheet');
    const { read } = await readBack(sheet, knobs);
    const found = matched(sheet, read);
    add('invented', read.pieces.length - found.filter(Boolean).length);
    for (const code of new Set(sheet.stickers.map((s) => s.design))) {
      const mine = sheet.stickers.flatMap((s, i) => (s.design === code ? [found[i] ?? null] : []));
      add('missed', mine.filter((p) => p === null).length);
      const first = mine.find((p) => p !== null);
      if (first) count(pieces.get(code) as Piece, first, mine, read, add);
    }
  }
  const all = [...counts].reduce((sum, [act, n]) => sum + n * ACTS[act], 0);
  const said = [...counts].filter(([, n]) => n > 0).map(([act, n]) => `${act} ${n} × ${ACTS[act]}`);
  return `## A full kit of six sheets\n\nThe Rockpool kit (${kit.pieces.reduce((n, p) => n + p.count, 0)} stickers, ${kit.pieces.length} designs, ${sheets.length} sheets) as a flatbed scan: ${all} acts make it right, with the words and meanings that are printed on it typed in (${said.join(', ')}). A quarter of an hour leaves ${(900 / all).toFixed(1)} s for each. Reckoned from what was read and what an act takes on the screen, each design by itself though many can be told at once; nobody was timed.\n`;
}

function count(
  piece: Piece,
  first: FoundPiece,
  copies: readonly (FoundPiece | null)[],
  read: ReadSheet,
  add: (act: Act) => unknown,
): void {
  const isKind = first.kind === piece.kind;
  if (!isKind) add('kind');
  else if (first.doubts.length) add('doubt');
  if (first.rows !== piece.rows) add('rows');
  if (piece.words) add('words');
  if (piece.icon) add('words');
  const there = copies.filter((c) => c !== null);
  const alike = there.every((c) => c.design === first.design);
  if (!alike || read.pieces.filter((p) => p.design === first.design).length !== there.length) add('copies');
}
