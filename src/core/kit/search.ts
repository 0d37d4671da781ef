import { formatHex, parse } from 'culori/fn';
import type { Hex } from '../color/color';
import { difference } from '../color/color';
import { traits } from './kinds';
import type { Piece } from './kit';

/** Colors this near (CIEDE2000) are what was asked for. */
const NEAR = 16;
/** mm */
const SIZE_SLACK = 1.5;

const haystacks = new WeakMap<Piece, string>();

function haystack(p: Piece): string {
  const known = haystacks.get(p);
  if (known !== undefined) return known;
  const text = [
    p.kit,
    p.code,
    p.kind,
    traits(p.kind).label,
    traits(p.kind).plural,
    p.words,
    p.icon,
    p.motif,
    p.foil === 'none' ? '' : `${p.foil} foil`,
    p.finish,
    p.color,
  ]
    .join(' ')
    .toLowerCase();
  haystacks.set(p, text);
  return text;
}

type Test = (p: Piece) => boolean;

/**
 * What a search asks of a piece: words of its kind, text, icon, motif, kit; a color by name or `#rrggbb`; a size such
 * as `38x12`.
 * All of it must hold.
 */
export function searchOf(query: string): Test {
  const sizes = [...query.matchAll(/(\d+(?:\.\d+)?)\s*[x×]\s*(\d+(?:\.\d+)?)/g)];
  const words = query
    .replace(/\d+(?:\.\d+)?\s*[x×]\s*\d+(?:\.\d+)?/g, ' ')
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean);
  const tests: Test[] = [
    ...sizes.map(
      ([, w, h]): Test =>
        (p) =>
          Math.abs(p.width - Number(w)) <= SIZE_SLACK && Math.abs(p.height - Number(h)) <= SIZE_SLACK,
    ),
    ...words.map((word): Test => {
      const color = colorOf(word);
      return (p) =>
        haystack(p).includes(word) ||
        (color !== null && Math.min(difference(color, p.color), difference(color, p.accent)) <= NEAR);
    }),
  ];
  return (p) => tests.every((t) => t(p));
}

function colorOf(word: string): Hex | null {
  const read = /^#[0-9a-f]{6}$|^[a-z]{3,}$/.test(word) ? parse(word) : undefined;
  return read ? (formatHex(read) ?? null) : null;
}
