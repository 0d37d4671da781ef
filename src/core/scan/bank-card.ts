import { PAPER } from '../measure/paper';
import type { Point, Quad } from './homography';
import { homography, mapped } from './homography';
import type { KnownLength } from './known-length';

const { width: LONG, height: SHORT } = PAPER.card;
/** A card's sides are as 1.586 to 1; so much off, it is something else. */
const SLACK = 0.13;

const apart = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y);

/** What a card (ISO/IEC 7810, ID-1) tells: sides and diagonals; its corners are those that its sides would meet in. */
export function cardLengths([a, b, c, d]: Quad): KnownLength[] {
  const lying = apart(a, b) + apart(d, c) >= apart(a, d) + apart(b, c);
  const [across, down] = lying ? [LONG, SHORT] : [SHORT, LONG];
  const diagonal = Math.hypot(LONG, SHORT);
  return [
    { from: a, to: b, mm: across },
    { from: d, to: c, mm: across },
    { from: a, to: d, mm: down },
    { from: b, to: c, mm: down },
    { from: a, to: c, mm: diagonal },
    { from: b, to: d, mm: diagonal },
  ];
}

/** The one of some four-sided things that is a card by its sides, once the sheet's perspective is undone; or null. */
export function cardAmong(things: readonly Quad[], sheet: Quad): Quad | null {
  const [a, b, , d] = sheet;
  const [w, h] = [apart(a, b), apart(a, d)];
  const flat = homography(sheet, [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: h },
    { x: 0, y: h },
  ]);
  const off = (quad: Quad): number => {
    const [p, q, r, s] = quad.map((c) => mapped(flat, c)) as unknown as Quad;
    const sides = [apart(p, q) + apart(s, r), apart(p, s) + apart(q, r)] as const;
    return Math.abs(Math.max(...sides) / Math.min(...sides) / (LONG / SHORT) - 1);
  };
  const [best] = things.map((quad) => ({ quad, off: off(quad) })).sort((x, y) => x.off - y.off);
  return best && best.off < SLACK ? best.quad : null;
}
