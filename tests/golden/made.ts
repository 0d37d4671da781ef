import { ICONS } from '../../src/core/art/icons';
import { arrange } from '../../src/core/arrange/arrange';
import { drawPiece } from '../../src/core/art/draw-piece';
import { LETTER_WIDTHS } from '../../src/core/art/letter-widths';
import { MOTIFS } from '../../src/core/art/motifs/registry';
import { USUAL_PLAN } from '../../src/core/bench/plan';
import { benchOf } from '../../src/core/bench/bench';
import { mixDays } from '../../src/core/compare/mix';
import { benchPdf } from '../../src/core/format/bench-pdf';
import { spreadSvg } from '../../src/core/format/spread-svg';
import { KIND_NAMES, SHAPES, traits } from '../../src/core/kit/kinds';
import { MAKEABLE } from '../../src/core/make/makeable';
import { blank, missingFor } from '../../src/core/make/missing';
import { hashOf, randomFrom } from '../../src/core/measure/random';
import { remediesFor } from '../../src/core/remedy/remedies';
import { review, viewOf } from '../../src/core/review/review';
import { readSheet } from '../../src/core/scan/read-sheet';
import type { Context, Placement } from '../../src/core/spread/placement';
import { printParts } from '../../src/server/print-parts';
import { corpus } from '../corpus';
import { demoKit, demoSpread, piece } from '../fixtures';
import { blankPicture, frame, paint } from '../pictures';
import { readPrint } from '../read-print';
import { kitCorpus, laidOut } from '../kit-corpus';

/** What is held to the golden files: a name, and a mark for all that was made under it. */
export type Golden = Readonly<Record<string, string>>;

/** One week in so many of the corpus of odd kits. */
const EVERY = 5;

/** Trying remedies takes longest: of one week in so many. */
const REMEDIED = 6;

/** mm, and dots to the mm */
const SHEET = { w: 110, h: 120 };
const DOTS = 8;

const mark = (made: unknown): string => hashOf(typeof made === 'string' ? made : JSON.stringify(made)).toString(36);

/** Numbers to a hundredth: what is less is nobody's. */
const rounded = (made: unknown): string =>
  JSON.stringify(made, (_, value: unknown) => (typeof value === 'number' ? Math.round(value * 100) / 100 : value));

/** A sheet that is drawn here, dot by dot: touching, pale, small and large stickers, under uneven light, with grain. */
export function scans(): Golden {
  const random = randomFrom(11);
  const picture = blankPicture(SHEET.w * DOTS, SHEET.h * DOTS, '#f2eee6');
  const put = (x: number, y: number, w: number, h: number, color: string) => {
    const px = { x: x * DOTS, y: y * DOTS, w: w * DOTS, h: h * DOTS };
    paint(picture, px, color);
    frame(picture, px, '#b9b2a4', 1);
  };
  const colors = ['#c2543d', '#2f6f73', '#e4f3ef', '#f6d9c8', '#17344a', '#e0a35a'];
  for (let row = 0; row < 7; row++)
    for (let x = 5; x < SHEET.w - 16;) {
      const w = 6 + Math.floor(random() * 20);
      const color = colors[Math.floor(random() * colors.length)] as string;
      if (x + w < SHEET.w - 4) put(x, 6 + row * 16, w, 5 + Math.floor(random() * 8), color);
      x += w + (random() < 0.4 ? 0 : 3);
    }
  for (let i = 0; i < picture.data.length; i += 4) {
    const shade = 1 - (0.12 * ((i / 4) % picture.width)) / picture.width;
    const grain = (random() - 0.5) * 5;
    for (let c = 0; c < 3; c++) picture.data[i + c] = Math.max(0, Math.min(255, picture.data[i + c]! * shade + grain));
  }
  const { pieces, ...sheet } = readSheet({ ...picture, scale: DOTS });
  return {
    sheet: mark(rounded([sheet.width, sheet.height, sheet.backing])),
    ...Object.fromEntries(pieces.map((p, i) => [`sticker ${i}`, mark(rounded(p))])),
  };
}

/** The print of the demo's week, page by page, as an independent reader finds it. */
export async function prints(): Promise<Golden> {
  const { context, placements } = demoSpread();
  const pages = readPrint(await benchPdf(context, benchOf(context, placements), printParts()));
  return Object.fromEntries(pages.map((page, i) => [`page ${i}`, mark(rounded(page))]));
}

/** Every motif, kind, outline and icon, and each design of the demo's kits, as drawn. */
export function drawings(): Golden {
  const drawn = Object.entries({
    motif: Object.keys(MOTIFS).map((motif) => [motif, piece({ kind: 'full-box', height: 48.3, motif })] as const),
    kind: KIND_NAMES.map((kind) => {
      const [width, height] = traits(kind).usual;
      return [kind, piece({ kind, width, height, words: 'to do', icon: 'heart', rows: 5, foil: 'gold' })] as const;
    }),
    outline: SHAPES.map((shape) => [shape, piece({ shape, height: 20 })] as const),
    icon: Object.keys(ICONS).map((icon) => [icon, piece({ kind: 'icon', width: 9, height: 9, icon })] as const),
    ...Object.fromEntries(
      ['rockpool', 'night-almanac', 'stash'].map((kit) => [kit, demoKit(kit).pieces.map((p) => [p.code, p] as const)]),
    ),
  }).flatMap(([what, pieces]) => pieces.map(([name, p]) => [`${what} ${name}`, mark(drawPiece(p, 'g'))] as const));
  return { 'widths of letters': mark(LETTER_WIDTHS), ...Object.fromEntries(drawn) };
}

/** What lies beside it: the same week of another seed, day about, and what would be made for it. */
function compared(context: Context, placements: readonly Placement[]): unknown {
  const other = arrange({ ...context, seed: context.seed + 1 });
  const from = context.week.days.map((_, day) => day % 2);
  const mixed = mixDays(context, placements, [placements, other], from, { do: 'lay out', from: 'several' });
  return [mixed, missingFor(context), MAKEABLE.map((kind) => blank(context, kind))];
}

/** What is made of a week: its layout, what the review says of it, the order of work, its picture. */
function madeOf(context: Context, placements: readonly Placement[], remedied: boolean): string {
  const view = viewOf(context, placements);
  const findings = review(view);
  const bench = benchOf(context, placements, view.whiteOut, USUAL_PLAN);
  // it is no matter in which order the constraints are told
  const edges = bench.edges.map((e) => JSON.stringify(e)).sort();
  return [
    rounded(placements),
    rounded(findings),
    rounded(findings.slice(0, remedied ? 1 : 0).map((f) => remediesFor(context, placements, f))),
    rounded(remedied ? compared(context, placements) : []),
    rounded({ ...bench, edges }),
    spreadSvg(context, placements, view.whiteOut),
  ]
    .map(mark)
    .join(' ');
}

/** Weeks over all schools, books and sorts of kits. */
export function weeks(): Golden {
  const odd = kitCorpus(EVERY).map(
    (w, i) => [`${i} ${w.sort}, ${w.book}, ${w.manner}`, w.context, laidOut(w)] as const,
  );
  const usual = corpus().map((w) => [w.name, w.context, w.placements] as const);
  return Object.fromEntries(
    [...odd, ...usual].map(([name, c, placements], i) => [name, madeOf(c, placements, i % REMEDIED === 0)]),
  );
}
