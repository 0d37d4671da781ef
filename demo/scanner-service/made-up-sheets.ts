import { outline } from '../../src/core/art/outlines';
import type { Hex } from '../../src/core/color/color';
import type { Kind, Shape } from '../../src/core/kit/kinds';
import { traits } from '../../src/core/kit/kinds';
import { own } from '../../src/core/measure/own';
import { hashOf, randomFrom } from '../../src/core/measure/random';
import type { Printed, PrintedSheet } from './sheet';
import { KISS_CUT } from './sheet';

type Random = () => number;
const pick = <T>(random: Random, from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
const between = (random: Random, low: number, high: number): number => low + random() * (high - low);
const tenth = (mm: number): number => Math.round(mm * 10) / 10;

const INKS: readonly Hex[] = [
  '#c2543d', '#2f6f73', '#8a9a5b', '#d9a441', '#3d4f7c', '#a4506c', '#5b7f95', '#e3b7a0', '#7a5c99', '#c98b2b', '#466b3f', '#b7cbd6',
]; // prettier-ignore
const PALES: readonly Hex[] = ['#f3d9c8', '#d8e6df', '#f0e3b8', '#dfd6ea', '#cfe0ea', '#f2cfd3'];

/** How a face is printed, by what it is made of. */
type Face = (w: number, h: number, random: Random, id: string) => string;
const FACES: Readonly<Record<string, Face>> = {
  plain: (w, h, random) => ground(w, h, pick(random, INKS)),
  pale: (w, h, random) => ground(w, h, pick(random, PALES)),
  dots: (w, h, random) => {
    const dot = pick(random, INKS);
    const step = between(random, 3, 6);
    let out = ground(w, h, pick(random, PALES));
    for (let y = step / 2; y < h; y += step)
      for (let x = step / 2; x < w; x += step) out += `<circle cx="${x}" cy="${y}" r="${step / 4}" fill="${dot}"/>`;
    return out;
  },
  stripes: (w, h, random) => {
    const ink = pick(random, INKS);
    const step = between(random, 2.4, 5);
    let out = ground(w, h, pick(random, PALES));
    for (let x = -h; x < w; x += step) out += `<path d="M${x} 0l${h} ${h}h${step / 2}l${-h} ${-h}z" fill="${ink}"/>`;
    return out;
  },
  framed: (w, h, random) =>
    ground(w, h, pick(random, PALES)) +
    `<rect x="1" y="1" width="${w - 2}" height="${h - 2}" fill="none" stroke="${pick(random, INKS)}" stroke-width=".5"/>`,
  fade: (w, h, random, id) =>
    `<linearGradient id="${id}g" x2="0" y2="1"><stop stop-color="${pick(random, INKS)}"/><stop offset="1" stop-color="${pick(random, PALES)}"/></linearGradient><rect width="${w}" height="${h}" fill="url(#${id}g)"/>`,
  leaves: (w, h, random) => {
    let out = ground(w, h, pick(random, INKS));
    const leaf = pick(random, PALES);
    for (let i = 0; i < (w * h) / 45; i++)
      out += `<ellipse transform="translate(${random() * w} ${random() * h}) rotate(${random() * 180})" rx="${between(random, 1, 2.6)}" ry=".8" fill="${leaf}"/>`;
    return out;
  },
  white: (w, h) => ground(w, h, '#ffffff'),
  /** unprinted, of the backing's own color: only the knife's line shows it */
  bare: (w, h) => ground(w, h, '#f7f5f1'),
  written: (w, h, random) =>
    ground(w, h, '#ffffff') +
    `<path d="M2 ${h / 2}h${w - 4}" stroke="${pick(random, INKS)}" stroke-width=".35" stroke-dasharray=".8 .6"/>`,
  foil: (w, h, random, id) => {
    const [deep, light] = pick(random, [
      ['#a8842c', '#fff3c4'],
      ['#8d8f94', '#ffffff'],
      ['#b06f5e', '#ffe6dc'],
    ] as const);
    return `<linearGradient id="${id}f" x2="1" y2="1"><stop stop-color="${deep}"/><stop offset=".35" stop-color="${light}"/><stop offset=".5" stop-color="${deep}"/><stop offset=".8" stop-color="${light}"/><stop offset="1" stop-color="${deep}"/></linearGradient><rect width="${w}" height="${h}" fill="url(#${id}f)"/>`;
  },
};

const faceNamed = (look: string): Face => {
  const face = own(FACES, look);
  if (!face) throw new RangeError(`no such face: ${look}`);
  return face;
};

const ground = (w: number, h: number, color: Hex): string => `<rect width="${w}" height="${h}" fill="${color}"/>`;

/** A list with a box to tick in each row. */
function listFace(w: number, h: number, rows: number, random: Random): string {
  const ink = pick(random, INKS);
  const pitch = h / rows;
  let out = ground(w, h, pick(random, [...PALES, '#ffffff']));
  for (let i = 0; i < rows; i++) {
    const y = i * pitch;
    out += `<rect x="1.4" y="${y + pitch / 2 - 1.2}" width="2.4" height="2.4" fill="#fff" stroke="${ink}" stroke-width=".35"/>`;
    out += `<path d="M5.4 ${y + pitch - 1}H${w - 1.6}" stroke="${ink}" stroke-width=".2"/>`;
  }
  return out;
}

/** A design of a made-up kit: its looks are drawn once, its copies are alike. */
interface Design {
  readonly name: string;
  readonly kind: Kind;
  readonly shape: Shape;
  readonly rows: number;
  readonly w: number;
  readonly h: number;
  readonly copies: number;
  readonly look: string;
  readonly seed: number;
}

const OUTLINED = (d: Design): string => outline(d.shape, d.w, d.h);

function printed(d: Design, x: number, y: number, id: string): Printed {
  const random = randomFrom(d.seed);
  const face = d.rows ? listFace(d.w, d.h, d.rows, random) : faceNamed(d.look)(d.w, d.h, random, id);
  return {
    design: d.name,
    kind: d.kind,
    shape: d.shape,
    rows: d.rows,
    x: tenth(x),
    y: tenth(y),
    w: d.w,
    h: d.h,
    outline: OUTLINED(d),
    face: `<clipPath id="${id}"><path d="${OUTLINED(d)}"/></clipPath><g clip-path="url(#${id})">${face}</g>`,
    ...(d.look === 'foil' ? { foil: true as const } : {}),
  };
}

/** A face as it would be on a sticker of 20 x 10 mm: to tell whether two are the same. */
const faceOf = (look: string, seed: number): string => faceNamed(look)(20, 10, randomFrom(seed), '');

/** A sort of sheet: what lies on it, how near, and on what backing. */
interface Sort {
  readonly kinds: readonly Kind[];
  readonly looks: readonly string[];
  readonly copies: readonly [number, number];
  /** mm between stickers; 0: only the knife's line parts them */
  readonly gap: number;
  readonly backing: Hex;
  readonly designs: number;
  /** darkness of the knife's line */
  readonly line?: number;
}

/** Sizes that sheets come in, mm. From memory. */
const PAPERS = [
  [127, 178],
  [140, 216],
  [114, 171],
] as const;
const PRINTS = ['plain', 'pale', 'dots', 'stripes', 'framed', 'fade', 'leaves'];

export const SORTS: Readonly<Record<string, Sort>> = {
  boxes: { kinds: ['full-box', 'half-box', 'third-box'], looks: PRINTS, copies: [1, 3], gap: 2, backing: '#f6f4ef', designs: 9 },
  touching: { kinds: ['full-box', 'half-box', 'header', 'quarter-box'], looks: PRINTS, copies: [2, 4], gap: 0, backing: '#f6f4ef', designs: 8 },
  'white on white': { kinds: ['label', 'quarter-box', 'circle', 'half-box'], looks: ['bare', 'bare', 'white', 'written'], copies: [2, 5], gap: 2.5, backing: '#f7f5f1', designs: 8, line: 0.4 },
  shapes: { kinds: ['circle', 'teardrop', 'flag', 'check-flag', 'label', 'date-dot'], looks: PRINTS, copies: [3, 6], gap: 2, backing: '#f6f4ef', designs: 12 },
  lists: { kinds: ['checklist', 'habit-tracker', 'checklist'], looks: ['pale', 'framed'], copies: [1, 3], gap: 2, backing: '#f6f4ef', designs: 6 },
  'colored backing': { kinds: ['half-box', 'label', 'circle', 'header'], looks: [...PRINTS, 'white'], copies: [2, 4], gap: 2, backing: '#b9c9c4', designs: 10 },
  kraft: { kinds: ['quarter-box', 'flag', 'square'], looks: [...PRINTS, 'white', 'written'], copies: [2, 4], gap: 2, backing: '#b08d63', designs: 9 },
  foil: { kinds: ['header', 'circle', 'banner', 'label'], looks: ['foil', 'foil', 'plain', 'pale'], copies: [1, 4], gap: 2, backing: '#f6f4ef', designs: 9 },
  strips: { kinds: ['washi', 'bottom-washi', 'date-cover', 'header'], looks: PRINTS, copies: [1, 3], gap: 1.5, backing: '#f6f4ef', designs: 9 },
  mixed: { kinds: ['full-box', 'checklist', 'circle', 'label', 'header', 'flag', 'square'], looks: [...PRINTS, 'white', 'foil'], copies: [1, 4], gap: 1.2, backing: '#f1efe8', designs: 12 },
}; // prettier-ignore

/**
 * A sheet of a kit that nobody sells, made up from a seed.
 * @throws RangeError for a sort that is not there
 */
export function madeUpSheet(sortName: string, seed: number): PrintedSheet {
  const sort = new Map(Object.entries(SORTS)).get(sortName);
  if (!sort) throw new RangeError(`no such sort of sheet: ${sortName}`);
  const random = randomFrom(hashOf(`${sortName} ${seed}`));
  const wide = sort.kinds.includes('bottom-washi');
  const [width, height] = wide ? [178, 216] : pick(random, PAPERS);
  // a kit's stickers of one kind are cut with one die
  const sizes = new Map(sort.kinds.map((kind) => [kind, between(random, 0.85, 1.15)]));
  const faces = new Map<string, string>();
  const designs = Array.from({ length: sort.designs }, (_, i): Design => {
    const kind = pick(random, sort.kinds);
    const { usual, shape } = traits(kind);
    const list = kind === 'checklist';
    const round = kind === 'circle' || kind === 'date-dot' || kind === 'square';
    const scale = sizes.get(kind) ?? 1;
    const w = tenth(usual[0] * scale);
    const look = pick(random, sort.looks);
    const rows = list ? Math.floor(between(random, 4, 9)) : 0;
    const name = `${kind} ${i}`;
    const seed = Math.floor(random() * 1e9);
    // two that look the same are one design
    const same = `${kind} ${rows || faceOf(look, seed)}`;
    if (!faces.has(same)) faces.set(same, name);
    return {
      name: list ? name : (faces.get(same) as string),
      kind,
      shape,
      rows,
      w,
      h: round ? w : tenth(usual[1] * (list ? 0.8 + rows / 30 : scale)),
      copies: Math.floor(between(random, sort.copies[0], sort.copies[1] + 1)),
      look,
      seed,
    };
  });
  const margin = 5;
  const stickers: Printed[] = [];
  let [x, y, tall] = [margin, margin, 0];
  for (const d of designs)
    for (let copy = 0; copy < d.copies; copy++) {
      if (x > margin && x + d.w > width - margin) [x, y, tall] = [margin, y + tall + Math.max(sort.gap, 0), 0];
      if (d.w > width - 2 * margin || y + d.h > height - margin) continue;
      stickers.push(printed(d, x, y, `s${stickers.length}`));
      x += d.w + sort.gap;
      tall = Math.max(tall, d.h);
    }
  return {
    name: `${sortName} ${seed}`,
    sort: sortName,
    width,
    height,
    backing: sort.backing,
    kissCut: { ...KISS_CUT, ...(sort.line ? { opacity: sort.line } : {}) },
    stickers,
  };
}
