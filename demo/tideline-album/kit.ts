import type { Hex } from '../../src/core/color/color';
import { blankPiece } from '../../src/core/kit/blank-piece';
import type { Kind } from '../../src/core/kit/kinds';
import { shortOf } from '../../src/core/kit/kinds';
import type { Kit, Piece } from '../../src/core/kit/kit';
import type { Metal } from './papers';
import { foil, list, wash, washi } from './papers';
import type { Painter, Photograph } from './photographs';
import { PHOTOGRAPHS } from './photographs';

/** A design, and who paints it; without one it is drawn as all pieces are that have no picture. */
export interface Painted {
  readonly piece: Piece;
  readonly paint: Painter | null;
}

const NAME = 'tideline-album';
const COLORS: Readonly<Record<Photograph, readonly [Hex, Hex]>> = {
  dawn: ['#7a6f99', '#f4c690'],
  ripples: ['#c2ad8c', '#8b7a66'],
  rows: ['#5e8a3e', '#5c4030'],
  rain: ['#41566a', '#f3b765'],
  lights: ['#182742', '#f6c667'],
  fog: ['#c9d1d3', '#3d4448'],
  weed: ['#2b7a78', '#7d6a25'],
  frost: ['#4f7560', '#f4fbff'],
};
/** Paper colors that go with the photographs. */
const TINTS: readonly Hex[] = ['#6f8fa3', '#c9836b', '#7c9a76', '#b59a63'];

/** The third demo kit: photographs, foil, watercolor and washi, all painted by our own code, in 138 stickers. */
export function tidelineAlbum(): Painted[] {
  const codes = new Map<string, number>();
  const design = (
    kind: Kind,
    sheet: number,
    count: number,
    size: readonly [number, number],
    [color, accent]: readonly [Hex, Hex],
    paint: Painter | null,
    rest: Partial<Piece> = {},
  ): Painted => {
    const short = shortOf(kind);
    const nth = (codes.get(short) ?? 0) + 1;
    codes.set(short, nth);
    const piece = blankPiece(kind, {
      kit: NAME,
      code: `${short}-${nth}`,
      count,
      width: size[0],
      height: size[1],
      sheet,
      ...(paint ? { shape: 'rect' as const } : {}),
      color,
      accent,
      ...rest,
    });
    return { piece, paint };
  };
  const photographs = Object.keys(PHOTOGRAPHS) as Photograph[];
  const metals: readonly Metal[] = ['gold', 'silver', 'rose-gold'];
  const shown = {
    gold: ['#c69b3c', '#f8e7a6'],
    silver: ['#b3b7bc', '#f6f7f8'],
    'rose-gold': ['#d39a88', '#ffe3d8'],
  } as const;
  const pale = (tint: Hex): readonly [Hex, Hex] => [mixedWithPaper(tint), tint];
  return [
    ...photographs.map((name) =>
      design('full-box', 1, 1, [38.1, 48.3], COLORS[name], PHOTOGRAPHS[name](), { motif: name, writable: 'no' }),
    ),
    ...(['dawn', 'rain', 'weed', 'rows'] as const).map((name) =>
      design('half-box', 2, 1, [38.1, 24.1], COLORS[name], PHOTOGRAPHS[name](), { motif: name, writable: 'no' }),
    ),
    ...metals.map((metal) =>
      design('header', 2, metal === 'gold' ? 8 : 3, [38.1, 6.4], shown[metal], foil(metal), {
        foil: metal,
        finish: 'glossy',
      }),
    ),
    ...TINTS.map((tint) => design('checklist', 2, 2, [38.1, 48.3], pale(tint), list(tint, 6), { rows: 6 })),
    ...TINTS.map((tint) => design('quarter-box', 3, 4, [38.1, 12], pale(tint), wash(tint))),
    ...TINTS.map((tint) => design('half-box', 3, 2, [38.1, 24.1], pale(tint), wash(tint))),
    ...TINTS.map((tint) => design('label', 3, 5, [38.1, 9], pale(tint), wash(tint))),
    ...(
      [
        ['#8fb3bd', '#2b7a78'],
        ['#e7c9a0', '#c9836b'],
        ['#b9c7a4', '#5e8a3e'],
      ] as const
    ).map(([color, leaf]) => design('washi', 4, 1, [130, 15], [color, leaf], washi(color, leaf))),
    design('bottom-washi', 4, 2, [160, 13], ['#7a6f99', '#f4c690'], washi('#7a6f99', '#f4c690')),
    ...(['laundry', 'groceries', 'birthday', 'dog', 'garden', 'choir', 'dinner', 'vet'] as const).map((icon, i) =>
      design('icon', 5, 3, [9, 9], [TINTS[i % TINTS.length] as Hex, '#fffdf8'], null, { icon }),
    ),
    ...Array.from({ length: 31 }, (_, i) =>
      design('date-dot', 5, 1, [8, 8], ['#fffdf8', '#41566a'], null, { words: String(i + 1) }),
    ),
  ];
}

export const kitOf = (painted: readonly Painted[]): Kit => ({ name: NAME, pieces: painted.map((p) => p.piece) });

const mixedWithPaper = (tint: Hex): Hex =>
  `#${[1, 3, 5]
    .map((i) => Math.round(255 - (255 - parseInt(tint.slice(i, i + 2), 16)) * 0.35))
    .map((n) => n.toString(16).padStart(2, '0'))
    .join('')}`;
