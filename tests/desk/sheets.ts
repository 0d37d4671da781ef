/**
 * Sheets as a maker prints them on a machine of her own, drawn without a look at the first generator
 * (demo/scanner-service): print that runs over the knife's line and misses it, a knife that wanders, titles and maker's
 * lines on the paper, places whose sticker was used up. Lengths in mm. Sizes and habits: common practice, from memory.
 */
import type { Kind, Shape } from '../../src/core/kit/kinds';
import { hashOf, randomFrom } from '../../src/core/measure/random';
import type { Printed, PrintedSheet } from '../../demo/scanner-service/sheet';
import { word, wordIn } from './words';

type Random = () => number;
const between = (r: Random, low: number, high: number): number => low + r() * (high - low);
const pick = <T>(r: Random, from: readonly T[]): T => from[Math.floor(r() * from.length)] as T;
const shuffled = <T>(r: Random, from: readonly T[]): T[] =>
  from
    .map((value) => ({ value, at: r() }))
    .sort((p, q) => p.at - q.at)
    .map(({ value }) => value);

/** How a maker's sheet is made. */
export interface DeskSheet extends PrintedSheet {
  /** print beyond the cut is still there: the paper between the stickers was not taken off */
  readonly isWhole: boolean;
  /** the whole sheet without any device, RGB; mm of `Printed` are the knife's */
  readonly svg: string;
}

/** A sticker to be laid: its truth without a place, and its print, which may reach `BLEED` beyond. */
interface Design {
  readonly design: string;
  readonly kind: Kind;
  readonly shape: Shape;
  readonly rows: number;
  readonly w: number;
  readonly h: number;
  readonly copies: number;
  /** print from -BLEED to w + BLEED; within the outline it covers all */
  readonly print: string;
}

/** Print reaches so far beyond the knife's line. */
const BLEED = 1;

const THEMES = [
  ['#e2725b', '#f4c095', '#fbe8d3', '#6b8f71', '#31572c'],
  ['#355070', '#6d597a', '#b56576', '#e56b6f', '#eaac8b'],
  ['#a3b18a', '#588157', '#3a5a40', '#dad7cd', '#bc6c25'],
  ['#cdb4db', '#ffc8dd', '#ffafcc', '#bde0fe', '#5e7ce2'],
  ['#264653', '#2a9d8f', '#e9c46a', '#f4a261', '#e76f51'],
] as const;
type Theme = (typeof THEMES)[number];

const rect = (x: number, y: number, w: number, h: number, fill: string, more = ''): string =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}" ${more}/>`;
const over = (w: number, h: number, fill: string): string => rect(-BLEED, -BLEED, w + 2 * BLEED, h + 2 * BLEED, fill);

/** A landscape with its horizon, sun and hills. */
function scene(r: Random, [a, b, c, d, e]: Theme, w: number, h: number): string {
  const line = h * between(r, 0.45, 0.7);
  const hill = (top: number, fill: string): string =>
    `<path d="M${-BLEED} ${top}C${w * 0.3} ${top - h * 0.16} ${w * 0.6} ${top + h * 0.1} ${w + BLEED} ${top - h * 0.06}V${h + BLEED}H${-BLEED}z" fill="${fill}"/>`;
  return `${over(w, h, c)}<circle cx="${w * between(r, 0.25, 0.75)}" cy="${line * 0.55}" r="${Math.min(w, h) * 0.14}" fill="${b}"/>${hill(line, d)}${hill(line + h * 0.13, e)}${rect(-BLEED, h * 0.9, w + 2 * BLEED, h * 0.1 + BLEED, a)}`;
}

/** Sprigs strewn about, upon a ground. */
function sprigs(r: Random, theme: Theme, w: number, h: number): string {
  let out = over(w, h, pick(r, [theme[2], theme[1], '#ffffff']));
  for (let i = 0; i < (w * h) / 30; i++) {
    const turn = r() * 360;
    out += `<g transform="translate(${between(r, 0, w)} ${between(r, 0, h)}) rotate(${turn})"><path d="M0 0h5" stroke="${theme[4]}" stroke-width=".3"/>${[1, 2.4, 3.8].map((x) => `<ellipse cx="${x}" cy="${x % 2 > 1 ? 0.8 : -0.8}" rx="1" ry=".5" fill="${pick(r, theme)}"/>`).join('')}</g>`;
  }
  return out;
}

const check = (theme: Theme, w: number, h: number, step: number): string => {
  let out = over(w, h, '#ffffff');
  for (let x = -BLEED; x < w + BLEED; x += 2 * step)
    out += `<rect x="${x}" y="${-BLEED}" width="${Math.min(step, w + BLEED - x)}" height="${h + 2 * BLEED}" fill="${theme[1]}" fill-opacity=".55"/>`;
  for (let y = -BLEED; y < h + BLEED; y += 2 * step)
    out += `<rect x="${-BLEED}" y="${y}" width="${w + 2 * BLEED}" height="${Math.min(step, h + BLEED - y)}" fill="${theme[1]}" fill-opacity=".55"/>`;
  return out;
};

function patterned(r: Random, theme: Theme, w: number, h: number): string {
  const way = Math.floor(r() * 4);
  if (way === 0) return sprigs(r, theme, w, h);
  if (way === 1) return check(theme, w, h, between(r, 1.5, 3));
  if (way === 2) return over(w, h, pick(r, theme));
  let out = over(w, h, theme[2]);
  const step = between(r, 3, 5);
  for (let y = 0; y < h + step; y += step)
    for (let x = (Math.round(y / step) % 2) * (step / 2); x < w + step; x += step)
      out += `<path d="M${x} ${y - 0.8}l.8 .8l-.8 .8l-.8 -.8z" fill="${theme[0]}"/>`;
  return out;
}

/** The knife's way: nominal outline as points every millimeter or less, from the corner 0, 0. */
function knife(shape: Shape, w: number, h: number): [number, number][] {
  const points: [number, number][] = [];
  const arc = (cx: number, cy: number, rx: number, ry: number, from: number, to: number): void => {
    const n = Math.max(4, Math.ceil((Math.max(rx, ry) * Math.abs(to - from)) / 0.7));
    for (let i = 0; i <= n; i++) {
      const t = from + ((to - from) * i) / n;
      points.push([cx + rx * Math.cos(t), cy + ry * Math.sin(t)]);
    }
  };
  if (shape === 'circle') arc(w / 2, h / 2, w / 2, h / 2, 0, 2 * Math.PI);
  else if (shape === 'notched') points.push([0, 0], [w, 0], [w - h * 0.35, h / 2], [w, h], [0, h]);
  else if (shape === 'pointed') points.push([0, 0], [w - h * 0.5, 0], [w, h / 2], [w - h * 0.5, h], [0, h]);
  else if (shape === 'heart') {
    for (let i = 0; i <= 60; i++) {
      const t = (2 * Math.PI * i) / 60;
      const x = 16 * Math.sin(t) ** 3;
      const y = 13 * Math.cos(t) - 5 * Math.cos(2 * t) - 2 * Math.cos(3 * t) - Math.cos(4 * t);
      points.push([w / 2 + (x / 32) * w, h / 2 - ((y + 2.5) / 29) * h]);
    }
  } else if (shape === 'free') {
    const bumps = 5 + (Math.round(w * h) % 3);
    for (let i = 0; i <= 90; i++) {
      const t = (2 * Math.PI * i) / 90;
      const k = 0.9 + 0.1 * Math.cos(bumps * t);
      points.push([w / 2 + (w / 2) * k * Math.cos(t), h / 2 + (h / 2) * k * Math.sin(t)]);
    }
    const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
    const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    return points.map(([x, y]) => [((x - x0) / (x1 - x0)) * w, ((y - y0) / (y1 - y0)) * h]);
  } else {
    const round = shape === 'rounded' ? Math.min(2, h * 0.3) : 0.3;
    arc(w - round, round, round, round, -Math.PI / 2, 0);
    arc(w - round, h - round, round, round, 0, Math.PI / 2);
    arc(round, h - round, round, round, Math.PI / 2, Math.PI);
    arc(round, round, round, round, Math.PI, 1.5 * Math.PI);
  }
  return points;
}

const pathOf = (points: readonly (readonly [number, number])[]): string =>
  `M${points.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}z`;

/** A motor that slips a little: the way wanders slowly, by 0.3 mm at the most, most often by a third of that. */
function wandered(r: Random, points: readonly [number, number][], most: number): [number, number][] {
  const [a, b, p, q] = [between(r, 0.1, 1) * most, between(r, 0.1, 1) * most, r() * 7, r() * 7];
  let [long, before] = [0, points[0] as [number, number]];
  return points.map((at) => {
    long += Math.hypot(at[0] - before[0], at[1] - before[1]);
    before = at;
    return [at[0] + 0.5 * a * Math.sin(long / 9 + p), at[1] + 0.5 * b * Math.sin(long / 11 + q)];
  });
}

type Maker = (r: Random, theme: Theme) => Design[];
const straight = { shape: 'rect', rows: 0 } as const;
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const WORDS = [
  'trash',
  'bills',
  'laundry',
  'choir',
  'allotment',
  'vet',
  'ferry',
  'day off',
  'groceries',
  'nap',
  'walk the dogs',
  'late shift',
];

/** A list as makers draw it: a band with a word, a margin, rows with something to tick, a foot. */
function list(r: Random, theme: Theme, i: number): Design {
  const rows = 4 + Math.floor(r() * 5);
  const pitch = between(r, 4.2, 5.6);
  const [head, top, foot] = [r() < 0.7 ? between(r, 5, 8) : 0, between(r, 0.8, 2.5), between(r, 0.8, 3)];
  const [w, h] = [38, Math.round((head + top + rows * pitch + foot) * 10) / 10];
  const mark = Math.floor(r() * 4);
  let print = over(w, h, pick(r, ['#ffffff', theme[2]]));
  if (head)
    print += `${rect(-BLEED, -BLEED, w + 2 * BLEED, head + BLEED, theme[0])}<g>${wordIn(pick(r, WORDS), w, head, '#ffffff', 'script')}</g>`;
  for (let k = 0; k < rows; k++) {
    const y = head + top + (k + 0.5) * pitch;
    const m = Math.min(2.8, pitch * 0.55);
    const tick =
      mark === 0
        ? `<rect x="2" y="${y - m / 2}" width="${m}" height="${m}" fill="none" stroke="${theme[4]}" stroke-width=".3"/>`
        : mark === 1
          ? `<circle cx="${2 + m / 2}" cy="${y}" r="${m / 2}" fill="${theme[1]}"/>`
          : mark === 2
            ? `<path transform="translate(2 ${y - m / 2}) scale(${m / 10})" d="M5 9C-4 2 3 -2 5 2C7 -2 14 2 5 9" fill="${theme[0]}"/>`
            : `<circle cx="${2 + m / 2}" cy="${y}" r="${m / 2}" fill="none" stroke="${theme[3]}" stroke-width=".35"/>`;
    print += tick;
    if (mark % 2 === 0)
      print += `<path d="M6 ${y + pitch * 0.36}H${w - 2.5}" stroke="${theme[4]}" stroke-opacity=".5" stroke-width=".18"/>`;
  }
  return { design: `list ${i}`, kind: 'checklist', shape: 'rect', rows, w, h, copies: 1 + Math.floor(r() * 2), print };
}

/** What lies on a sort of sheet. */
const MAKERS: Readonly<Record<string, Maker>> = {
  scenes: (r, theme) =>
    Array.from({ length: 6 }, (_, i) => ({
      ...straight,
      design: `scene ${i}`,
      kind: 'full-box',
      w: 38,
      h: 48,
      copies: 1,
      print: i % 3 === 2 ? sprigs(r, theme, 38, 48) : scene(r, theme, 38, 48),
    })),
  covers: (r, theme) => {
    const [w, h] = [38, between(r, 10.5, 12.5)];
    const ground = pick(r, theme);
    const cover = (text: string): Design => ({
      ...straight,
      design: text,
      kind: 'date-cover',
      w,
      h,
      copies: 1,
      print: over(w, h, ground) + wordIn(text, w, h, '#ffffff', 'bold'),
    });
    const header = (text: string): Design => ({
      ...straight,
      design: `h ${text}`,
      kind: 'header',
      w,
      h: 6.4,
      copies: 2,
      print: over(w, 6.4, theme[2]) + wordIn(text, w, 6.4, theme[4], 'script'),
    });
    return [...DAYS.map(cover), ...['today', 'to do', 'evening'].map(header)];
  },
  dots: (r, theme) =>
    Array.from({ length: 31 }, (_, i) => ({
      design: `dot ${i + 1}`,
      kind: 'date-dot' as const,
      shape: 'circle' as const,
      rows: 0,
      w: 8.5,
      h: 8.5,
      copies: 1,
      print: over(8.5, 8.5, theme[i % 2 ? 1 : 3]) + wordIn(`${i + 1}`, 8.5, 8.5, '#2b2b2b', 'plain'),
    })),
  'framed halves': (r, theme) =>
    theme.slice(0, 4).map((color, i) => ({
      ...straight,
      design: `half ${i}`,
      kind: 'half-box' as const,
      w: 38,
      h: 24,
      copies: 2 + Math.floor(r() * 2),
      print: over(38, 24, color) + rect(1.2, 1.2, 35.6, 21.6, '#ffffff'),
    })),
  lists: (r, theme) => Array.from({ length: 4 }, (_, i) => list(r, theme, i)),
  washi: (r) =>
    Array.from({ length: 7 }, (_, i) => {
      const h = pick(r, [5, 8, 10, 15]);
      return { ...straight, design: `strip ${i}`, kind: 'washi' as const, w: -1, h, copies: 1, print: `strip ${i}` };
    }),
  labels: (r, theme) =>
    shuffled(r, WORDS)
      .slice(0, 8)
      .map((text, i) => ({
        design: text,
        kind: 'label' as const,
        shape: 'rounded' as const,
        rows: 0,
        w: 38,
        h: 11.5,
        copies: 1 + (i % 3),
        print: over(38, 11.5, pick(r, [theme[2], '#ffffff', theme[1]])) + wordIn(text, 38, 11.5, theme[4]),
      })),
  flags: (r, theme) =>
    Array.from({ length: 6 }, (_, i) => {
      const shape = i % 2 ? ('notched' as const) : ('pointed' as const);
      return {
        design: `flag ${i}`,
        kind: 'flag' as const,
        shape,
        rows: 0,
        w: 38,
        h: 9.6,
        copies: 3,
        print: patterned(r, theme, 38, 9.6),
      };
    }),
  icons: (r, theme) =>
    Array.from({ length: 12 }, (_, i) => {
      const [w, h] = [between(r, 8.5, 16), between(r, 8, 15)].map((n) => Math.round(n * 10) / 10) as [number, number];
      const print = `${over(w, h, '#ffffff')}<ellipse cx="${w / 2}" cy="${h / 2}" rx="${w * 0.34}" ry="${h * 0.32}" fill="${pick(r, theme)}"/><circle cx="${w * 0.4}" cy="${h * 0.42}" r="${h * 0.09}" fill="#333"/><path d="M${w * 0.35} ${h * 0.6}q${w * 0.15} ${h * 0.1} ${w * 0.3} 0" fill="none" stroke="#333" stroke-width=".4"/>`;
      return {
        design: `icon ${i}`,
        kind: 'icon' as const,
        shape: 'free' as const,
        rows: 0,
        w,
        h,
        copies: 1 + Math.floor(r() * 2),
        print,
      };
    }),
  scripts: (r, theme) =>
    shuffled(r, WORDS)
      .slice(0, 9)
      .map((text) => ({
        design: text,
        kind: 'script' as const,
        shape: 'rounded' as const,
        rows: 0,
        w: 17 + text.length,
        h: 8,
        copies: 1,
        print:
          over(17 + text.length, 8, '#ffffff') +
          wordIn(text, 17 + text.length, 8, pick(r, ['#222', theme[4], theme[0]]), 'script'),
      })),
  quarters: (r, theme) =>
    Array.from({ length: 6 }, (_, i) => ({
      ...straight,
      design: `quarter ${i}`,
      kind: 'quarter-box' as const,
      w: 38,
      h: 12,
      copies: 2,
      print: patterned(r, theme, 38, 12),
    })),
  hearts: (r, theme) =>
    Array.from({ length: 5 }, (_, i) => ({
      design: `heart ${i}`,
      kind: 'deco' as const,
      shape: 'heart' as const,
      rows: 0,
      w: 13 + i,
      h: 12 + i,
      copies: 2,
      print: patterned(r, theme, 13 + i, 12 + i),
    })),
  squares: (r, theme) =>
    Array.from({ length: 10 }, (_, i) => ({
      ...straight,
      design: `square ${i}`,
      kind: 'square' as const,
      w: 18,
      h: 18,
      copies: 2,
      print: patterned(r, theme, 18, 18),
    })),
};

/** A sort of sheet: what is on it, its paper, and what its maker and its owner did; `gap` is between the prints, mm. */
interface Sort {
  readonly of: readonly string[];
  readonly paper: string;
  readonly liner: string;
  readonly isWhole: boolean;
  readonly title: boolean;
  readonly used: number;
  readonly gap: number;
}
const usual: Sort = { of: [], paper: '#fdfdfb', liner: '#efe9dc', isWhole: true, title: true, used: 0, gap: 1 };

export const DESK_SORTS: Readonly<Record<string, Sort>> = {
  scenes: { ...usual, of: ['scenes'] },
  covers: { ...usual, of: ['covers'], title: false },
  dots: { ...usual, of: ['dots'] },
  'framed halves': { ...usual, of: ['framed halves'], isWhole: false, liner: '#f6f4ee', title: false },
  lists: { ...usual, of: ['lists'], isWhole: false, liner: '#f4f2ec', title: false },
  'lists, whole': { ...usual, of: ['lists'] },
  washi: { ...usual, of: ['washi'], title: false },
  labels: { ...usual, of: ['labels'] },
  flags: { ...usual, of: ['flags', 'quarters'], isWhole: false, liner: '#e4e9ec' },
  icons: { ...usual, of: ['icons', 'scripts'] },
  'used up': { ...usual, of: ['labels', 'quarters', 'hearts'], used: 0.3 },
  'used up, weeded': { ...usual, of: ['quarters', 'flags', 'labels'], isWhole: false, liner: '#f3f1ea', used: 0.3 },
  tinted: { ...usual, of: ['labels', 'framed halves'], paper: '#dfe8e3' },
  kraft: { ...usual, of: ['labels', 'flags'], paper: '#c19a6b', liner: '#d8c3a0', isWhole: false },
  grid: { ...usual, of: ['squares'], gap: 0, title: false },
  mixed: { ...usual, of: ['scenes', 'covers', 'hearts', 'quarters', 'lists'] },
};

const SIZES = [
  [100, 150],
  [105, 148],
  [120, 180],
  [127, 178],
  [140, 210],
] as const;

/** Fits designs row by row; those of a kind stay together. What does not fit is not printed. */
function laidOut(
  r: Random,
  designs: readonly Design[],
  width: number,
  height: number,
  sort: Sort,
  gap: number,
): { d: Design; x: number; y: number }[] {
  const margin = between(r, 4, 8);
  const top = margin + (sort.title ? 9 : 0);
  const floor = height - margin - (sort.title ? 5 : 0);
  const laid: { d: Design; x: number; y: number }[] = [];
  let [x, y, tall, last] = [margin, top, 0, designs[0]?.h ?? 0];
  for (const d of designs)
    for (let copy = 0; copy < d.copies; copy++) {
      if (x > margin && (x + d.w > width - margin || Math.abs(d.h - last) > 6))
        [x, y, tall] = [margin, y + tall + gap, 0];
      if (y + d.h > floor || x + d.w > width - margin) continue;
      laid.push({ d, x, y });
      last = d.h;
      x += d.w + gap;
      tall = Math.max(tall, d.h);
    }
  return laid;
}

/** What a knife leaves: a shaded flank and a lit one, here and there hardly to be seen. */
function cutLine(r: Random, d: string): string {
  const strength = between(r, 0.22, 0.5);
  const broken = `${between(r, 9, 30).toFixed(1)} ${between(r, 0, 0.5).toFixed(2)}`;
  return `<path d="${d}" transform="translate(.05 .05)" fill="none" stroke="#fff" stroke-opacity="${strength * 0.8}" stroke-width=".13"/><path d="${d}" fill="none" stroke="#3a3733" stroke-opacity="${strength}" stroke-width=".12" stroke-dasharray="${broken}"/>`;
}

/**
 * A sheet of a maker who never was, from a seed.
 * @throws RangeError for a sort that is not there
 */
export function deskSheet(sortName: string, seed: number): DeskSheet {
  const sort = new Map(Object.entries(DESK_SORTS)).get(sortName);
  if (!sort) throw new RangeError(`no such sort of sheet: ${sortName}`);
  const r = randomFrom(hashOf(`desk ${sortName} ${seed}`));
  const [width, height] = pick(r, SIZES);
  const theme = pick(r, THEMES);
  const designs = sort.of.flatMap((name) => (new Map(Object.entries(MAKERS)).get(name) as Maker)(r, theme));
  const wide = designs.map((d) => (d.w > 0 ? d : stripped(r, theme, d, width)));
  // where the print lies off the knife: one sheet, one slip
  const slip = [between(r, -0.9, 0.9), between(r, -0.9, 0.9)].map((n) => (sort.gap ? n : n * 0.3)) as [number, number];
  const paper = sort.isWhole ? sort.paper : sort.liner;
  // a maker fills her sheet
  const gap = sort.gap && between(r, 0.4, 1.8) + (sort.isWhole ? 2 * BLEED : 1);
  const laid = laidOut(r, [...wide, ...wide], width, height, sort, gap);
  const stickers: Printed[] = [];
  const prints: string[] = [];
  const cuts: string[] = [];
  laid.forEach(({ d, x, y }, i) => {
    const [px, py] = [x + between(r, -0.1, 0.1), y + between(r, -0.1, 0.1)];
    const way = wandered(r, knife(d.shape, d.w, d.h), sort.gap ? 0.3 : 0.1);
    const path = pathOf(way);
    const at = `translate(${px.toFixed(3)} ${py.toFixed(3)})`;
    const isUsed = r() < sort.used;
    const shown = `<g transform="translate(${slip[0].toFixed(2)} ${slip[1].toFixed(2)})">${d.print}</g>`;
    const bled = `<clipPath id="b${i}">${bleedOf(d, slip)}</clipPath>`;
    const clip = `<clipPath id="c${i}"><path d="${path}"/></clipPath>`;
    if (sort.isWhole) prints.push(`<g transform="${at}">${bled}<g clip-path="url(#b${i})">${shown}</g></g>`);
    else if (!isUsed)
      prints.push(
        `<g transform="${at}">${clip}<path d="${path}" fill="${sort.paper}"/><path d="${path}" transform="translate(.12 .14)" fill="none" stroke="#000" stroke-opacity=".2" stroke-width=".2"/><g clip-path="url(#c${i})"><path d="${path}" fill="${sort.paper}"/>${shown}</g></g>`,
      );
    if (isUsed && sort.isWhole) prints.push(`<path transform="${at}" d="${path}" fill="${sort.liner}"/>`);
    cuts.push(`<g transform="${at}" ${isUsed && !sort.isWhole ? 'opacity=".35"' : ''}>${cutLine(r, path)}</g>`);
    if (isUsed) return;
    const face = `${clip}<g clip-path="url(#c${i})"><path d="${path}" fill="${sort.paper}"/>${shown}</g>`;
    stickers.push({
      design: d.design,
      kind: d.kind,
      shape: d.shape,
      rows: d.rows,
      x: px,
      y: py,
      w: d.w,
      h: d.h,
      face,
      outline: path,
    });
  });
  const ink = pick(r, [theme[4], '#555555', theme[0]]);
  const title = sort.title
    ? word(pick(r, ['Rockpool functional', 'Night Almanac no. 4', 'Tideline Album']), 6, 10, 5, ink, 'bold') +
      word('made by hand in a harbor town - for your own use', 6, height - 3.5, 2.2, ink)
    : '';
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"><rect width="${width}" height="${height}" fill="${paper}"/>${title}${prints.join('')}${cuts.join('')}</svg>`;
  return {
    name: `${sortName} ${seed}`,
    sort: sortName,
    width,
    height,
    backing: paper,
    kissCut: { color: '#6f6a60', opacity: 0.3, width: 0.12 },
    stickers,
    isWhole: sort.isWhole,
    svg,
  };
}

/** A strip as long as the sheet is wide, but for its margins. */
function stripped(r: Random, theme: Theme, d: Design, width: number): Design {
  const w = width - 2 * 8;
  return { ...d, w, print: patterned(r, theme, w, d.h) };
}

/** Where ink was laid: over the whole outline and `BLEED` beyond, as far as the print slipped. */
function bleedOf({ shape, w, h }: Design, [dx, dy]: readonly [number, number]): string {
  const k = (n: number): number => (n + 2 * BLEED) / n;
  if (shape === 'rect' || shape === 'rounded')
    return `<rect x="${dx - BLEED}" y="${dy - BLEED}" width="${w + 2 * BLEED}" height="${h + 2 * BLEED}"/>`;
  return `<path transform="translate(${dx - BLEED} ${dy - BLEED}) scale(${k(w)} ${k(h)})" d="${pathOf(knife(shape, w, h))}"/>`;
}
