/**
 * The letters of a laid-out week as they are painted: the drawing is made three times (bare, with its letters, with its
 * letters over everything) and compared point by point. Nothing is asked of the pen's own reckoning.
 */
import sharp from 'sharp';
import { contrast } from '../../src/core/color/color';
import type { Letters } from '../../src/core/format/letters';
import { spreadSvg } from '../../src/core/format/spread-svg';
import { lettersAsPaths } from '../../src/core/format/text-as-path';
import type { Bench } from '../../src/core/bench/bench';
import { turned } from '../../src/core/measure/rect';
import type { Context, Placement } from '../../src/core/spread/placement';

/** px to the mm: a stroke of a pen is three wide */
const FINE = 8;
/** Channels may differ by so much before a point counts as inked, of 255. */
const INKED = 60;
/** Half the points of thin letters are their edges: contrast is told by the points within. */
const WITHIN = 0.75;

const HAND = /<g(?: transform="rotate[^"]*")? font-family="Caveat, cursive" font-weight="500"[^>]*>.*?<\/g>/gs;

interface Painted {
  /** WCAG 2 contrast of the letters with what is under them, inside of their strokes */
  readonly contrast: number;
  /** the share of their points that nothing covers */
  readonly seen: number;
}

/** Each written placement, by its id. */
export async function paintedLetters(
  context: Context,
  placements: readonly Placement[],
  bench: Bench,
  letters: Letters,
): Promise<Map<string, Painted>> {
  const svg = spreadSvg(context, placements, bench.whiteOut);
  const left = (page: number): number => context.book.pages.slice(0, page).reduce((sum, p) => sum + p.width, 0);
  const pages = new Map(placements.map((p) => [p.id, p.page]));
  const hands = [...svg.matchAll(/<g id="(p\d+)" transform="([^"]*)"(.*?)(?=<g id="p\d+"|$)/gs)].map(
    ([, id = '', transform, inner = '']) =>
      `<g transform="translate(${left(pages.get(id) ?? 0)} 0)"><g transform="${transform}">${inner.match(HAND)?.join('') ?? ''}</g></g>`,
  );
  const bare = svg.replace(HAND, '');
  const [below, drawn, above] = await Promise.all(
    [bare, svg, bare.replace('</svg>\n', `${hands.join('')}</svg>\n`)].map((s) => pixels(lettersAsPaths(s, letters))),
  );
  if (!below || !drawn || !above) throw new Error('nothing is drawn');
  const told = new Map<string, Painted>();
  for (const p of placements.filter((q) => q.text)) {
    const box = turned(p, p.turn);
    const found: { contrast: number; seen: boolean }[] = [];
    for (let y = Math.floor(box.y * FINE); y < (box.y + box.h) * FINE; y++)
      for (let x = Math.floor((left(p.page) + box.x) * FINE); x < (left(p.page) + box.x + box.w) * FINE; x++) {
        if (!differ(below, above, x, y)) continue;
        const isSeen = differ(below, drawn, x, y);
        found.push({ contrast: isSeen ? contrast(hexAt(below, x, y), hexAt(drawn, x, y)) : 1, seen: isSeen });
      }
    const seen = found.filter((f) => f.seen).sort((a, b) => a.contrast - b.contrast);
    told.set(p.id, {
      contrast: seen[Math.floor(seen.length * WITHIN)]?.contrast ?? 1,
      seen: found.length ? seen.length / found.length : 0,
    });
  }
  return told;
}

type Pixels = Awaited<ReturnType<typeof pixels>>;

async function pixels(svg: string) {
  // a user unit is a mm: what takes it for a px at 72 to the inch draws it so many times larger
  const inUnits = svg.replace(/(width|height)="([\d.]+)mm"/g, '$1="$2"');
  const { data, info } = await sharp(Buffer.from(inUnits), { density: FINE * 72, limitInputPixels: false })
    .flatten({ background: '#ffffff' })
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width };
}

const at = ({ width }: Pixels, x: number, y: number): number => 3 * (y * width + x);

const differ = (a: Pixels, b: Pixels, x: number, y: number): boolean =>
  [0, 1, 2].some((c) => Math.abs((a.data[at(a, x, y) + c] ?? 0) - (b.data[at(b, x, y) + c] ?? 0)) > INKED);

const hexAt = (of: Pixels, x: number, y: number): string =>
  `#${[0, 1, 2].map((c) => (of.data[at(of, x, y) + c] ?? 0).toString(16).padStart(2, '0')).join('')}`;
