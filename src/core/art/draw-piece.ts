import { hashOf, randomFrom } from '../measure/random';
import { mix } from '../color/color';
import type { Piece } from '../kit/kit';
import { wholeOf } from '../kit/ledger';
import type { Rect } from '../measure/rect';
import type { Kind } from '../kit/kinds';
import { CREAM, DISC, fieldOf, rowsOf, hides } from './grounds';
import { iconNamed } from './icon-named';
import { broken, fittingSize, lettering } from './lettering';
import { motifOf } from './motifs/registry';
import { outline } from './outlines';
import { box, colorPen, esc, num, put, rimPen } from './svg';
import type { Tones } from './tones';
import { legible, tonesOf } from './tones';

interface Canvas {
  readonly piece: Piece;
  readonly w: number;
  readonly h: number;
  readonly t: Tones;
  readonly random: () => number;
  /** clips a drawing to the piece's outline */
  readonly clip: (drawing: string, inset?: number) => string;
}

/** A roll is drawn only so far, mm; its pattern goes on in the same way. */
const DRAWN_ROLL = 400;

/** How far a piece's drawing runs, mm. */
export const drawnWidth = (piece: Pick<Piece, 'width'>): number => Math.min(piece.width, DRAWN_ROLL);

/**
 * The part of a piece's drawing that shows a cut: far along a roll it looks as it does near its beginning. In the
 * drawing's own mm.
 */
export function shownCut(piece: Piece, cut: Rect | null): Rect {
  if (!cut) return wholeOf(piece);
  return piece.width > DRAWN_ROLL ? { ...cut, x: cut.x % (DRAWN_ROLL / 2) } : cut;
}

/**
 * A sticker's printed face as SVG, in mm, its top-left corner at 0, 0: drawn only from what its kit says of it.
 * @param id unique on the page; it names the clip
 * @param pictureAt the address of a picture, for pieces that were scanned
 */
export function drawPiece(piece: Piece, id: string, pictureAt: PictureAt = ofThisHouse): string {
  if (piece.picture)
    return `<image href="${esc(pictureAt(piece.picture))}" width="${num(piece.width)}" height="${num(piece.height)}" preserveAspectRatio="none"/>`;
  const w = drawnWidth(piece);
  const h = piece.height;
  let clips = 0;
  const clip = (drawing: string, inset = 0): string => {
    const name = `${id}-${clips++}`;
    return `<clipPath id="${name}"><path d="${outline(piece.shape, w, h, inset)}"/></clipPath><g clip-path="url(#${name})">${drawing}</g>`;
  };
  const canvas: Canvas = {
    piece,
    w,
    h,
    t: tonesOf(piece.color, piece.accent),
    random: randomFrom(hashOf(piece.motif + piece.kind)),
    clip,
  };
  return (PAINTERS[piece.kind] ?? base)(canvas);
}

/** Where a picture is found by its hash. */
export type PictureAt = (hash: string) => string;
const ofThisHouse: PictureAt = (hash) => `/pictures/${hash}`;

type Painter = (c: Canvas) => string;

const pictured = (c: Canvas): string => motifOf(c.piece.motif).fill(c.w, c.h, c.t, c.random);

/** A box with a scene or pattern up to its edge, and a fine line inside it. */
const scene: Painter = (c) =>
  c.clip(
    pictured(c) +
      `<path d="${outline(c.piece.shape, c.w, c.h, 0.9)}" fill="none" stroke="#fffdf8" stroke-width=".45" stroke-opacity=".85"/>`,
  );

/** A plain ground to write on: its pattern is only a breath along the edges. */
const base: Painter = (c) => {
  const { w, h, t } = c;
  const breath = c.piece.motif ? `<g opacity=".2">${pictured(c)}</g>` : '';
  const field = `<path d="${outline(c.piece.shape, w, h, Math.min(1.1, h / 8))}" fill="${fieldOf(t)}"/>`;
  const edge = `<path d="${outline(c.piece.shape, w, h, Math.min(1.1, h / 8))}" fill="none" stroke="${t.accent}" stroke-width=".35"/>`;
  return c.clip(box(0, 0, w, h, t.color) + breath + field + edge);
};

const header: Painter = (c) => {
  const { w, h, t, piece } = c;
  const ground = piece.motif
    ? pictured(c)
    : box(0, 0, w, h, t.color) + box(0, 0.55, w, 0.22, t.soft) + box(0, h - 0.77, w, 0.22, t.soft);
  if (!piece.words) return c.clip(ground);
  const size = fittingSize(piece.words, 'Pacifico', w - 12, h * 0.98);
  const ink = legible(t.color, t.accent);
  const dots = [-1, 1]
    .map((s) =>
      [0, 1, 2].map((i) => colorPen.disc(w / 2 + s * (w / 2 - 2 - i * 1.5), h / 2, 0.5 - i * 0.1, ink, 0.8)).join(''),
    )
    .join('');
  return c.clip(ground + dots) + lettering(piece.words, 'Pacifico', size, w / 2, h / 2, ink);
};

const checklist: Painter = (c) => {
  const { w, h, t, piece } = c;
  const rows = Math.max(1, piece.rows);
  const pitch = h / rows;
  let out = box(0, 0, w, h, rowsOf(t)[0]) + box(0, 0, 4.8, h, t.color);
  for (let i = 0; i < rows; i++) {
    const y = i * pitch;
    if (i % 2)
      out += `<rect x="4.8" y="${num(y)}" width="${num(w - 4.8)}" height="${num(pitch)}" fill="${t.color}" fill-opacity=".45"/>`;
    out +=
      `<path d="M6 ${num(y + pitch - 1.3)}H${num(w - 1.6)}" stroke="${t.accent}" stroke-width=".18" stroke-dasharray=".7 .5"/>` +
      tick(piece.motif, 2.4, y + pitch / 2, Math.min(1.35, pitch * 0.22), t.accent);
  }
  return c.clip(`${out}<path d="M4.8 0V${num(h)}" stroke="${t.accent}" stroke-width=".25"/>`);
};

/** The small shape to tick: it differs by motif. */
function tick(motif: string, x: number, y: number, r: number, color: string): string {
  const shapes = new Map([
    ['bubbles', outline('circle', 2 * r, 2 * r)],
    ['stars', outline('circle', 2 * r, 2 * r)],
    ['shell', outline('heart', 2 * r, 2 * r)],
    ['diamonds', `M${num(r)} 0L${num(2 * r)} ${num(r)} ${num(r)} ${num(2 * r)} 0 ${num(r)}z`],
  ]);
  return `<path transform="translate(${num(x - r)} ${num(y - r)})" d="${shapes.get(motif) ?? outline('rounded', 2 * r, 2 * r)}" fill="#fffdf8" stroke="${color}" stroke-width=".4"/>`;
}

const checkFlag: Painter = (c) => base(c) + tick(c.piece.motif, 3.4, c.h / 2, 1.7, c.t.accent);

const little: Painter = (c) => {
  const { w, h, t, piece } = c;
  const tile = Math.min(11, h);
  const ground =
    box(0, 0, w, h, mix(t.color, '#fffdf8', 0.35)) +
    box(0, 0, tile, h, t.accent) +
    colorPen.line(`M${num(tile + 1)} ${num(h - 1.4)}H${num(w - 2)}`, t.accent, 0.2);
  return (
    c.clip(
      ground + `<path d="${outline(piece.shape, w, h, 0.5)}" fill="none" stroke="${t.accent}" stroke-width=".4"/>`,
    ) + pictogram(piece.icon, tile / 2, h / 2, tile * 0.7, legible(t.accent, '#fffdf8', t.color), 1.9)
  );
};

function pictogram(meaning: string, x: number, y: number, size: number, color: string, weight: number): string {
  const paths = iconNamed(meaning) ?? ['M12 5a7 7 0 1 0 .01 0'];
  return `<g transform="translate(${num(x - size / 2)} ${num(y - size / 2)}) scale(${Math.round((size / 24) * 10000) / 10000})" fill="none" stroke="${color}" stroke-width="${num(weight)}" stroke-linecap="round" stroke-linejoin="round">${paths.map((d) => `<path d="${d}"/>`).join('')}</g>`;
}

const icon: Painter = ({ piece, w, h, t }) => {
  const r = Math.min(w, h) / 2;
  return (
    colorPen.disc(w / 2, h / 2, r, '#ffffff') +
    colorPen.disc(w / 2, h / 2, r - 0.45, t.accent) +
    pictogram(piece.icon, w / 2, h / 2, r * 1.36, legible(t.accent, t.color), 1.9)
  );
};

const script: Painter = ({ piece, w, h, t }) => {
  const size = fittingSize(piece.words, 'Pacifico', w - 1.6, h);
  return lettering(
    piece.words,
    'Pacifico',
    size,
    w / 2,
    h / 2,
    t.color,
    ' stroke="#fffdf8" stroke-width="1.1" stroke-linejoin="round" paint-order="stroke"',
  );
};

const deco: Painter = ({ piece, w, h, t }) => {
  const motif = motifOf(piece.motif);
  const size = Math.min(w, h);
  const draw = motif.figure ?? motifOf('').figure;
  if (!draw) return '';
  const stretch = (figure: string): string =>
    `<g transform="translate(${num(w / 2)} ${num(h / 2)}) scale(${num(w / size)} ${num(h / size)}) translate(${num(-w / 2)} ${num(-h / 2)})">${put(figure, w / 2, h / 2, size * 0.92)}</g>`;
  const plain = (figure: string): string => put(figure, w / 2, h / 2, Math.min(w, h * 1.25) * 0.92);
  const lay = w > h * 1.6 || h > w * 1.6 ? stretch : plain;
  return lay(draw(rimPen(4.8, '#e4ddcd'), t)) + lay(draw(rimPen(4, '#ffffff'), t)) + lay(draw(colorPen, t));
};

/** Tape; one without a pattern is plain, as what is written on it must be read. */
const washi: Painter = (c) =>
  `<g opacity="${num(hides(c.piece.opacity))}">${c.clip((c.piece.motif ? pictured(c) : box(0, 0, c.w, c.h, c.t.color)) + box(0, 0, c.w, 0.4, c.t.accent) + box(0, c.h - 0.4, c.w, 0.4, c.t.accent))}</g>`;

const dateCover: Painter = (c) =>
  c.clip(
    pictured(c) +
      `<path d="${outline(c.piece.shape, c.w, c.h, 0.7)}" fill="none" stroke="#fffdf8" stroke-width=".4"/>` +
      colorPen.disc(c.w / 2, c.h / 2, Math.min(4.9, c.h / 2 - 0.6), CREAM, DISC),
  );

const dateDot: Painter = ({ piece, w, h, t }) => {
  const r = Math.min(w, h) / 2;
  const size = fittingSize(piece.words, 'Fraunces', r * 1.3, r * 1.75);
  return (
    colorPen.disc(w / 2, h / 2, r, t.color) +
    `<circle cx="${num(w / 2)}" cy="${num(h / 2)}" r="${num(r - 0.5)}" fill="none" stroke="${t.accent}" stroke-width=".4"/>` +
    lettering(piece.words, 'Fraunces', size, w / 2, h / 2, legible(t.color, t.accent))
  );
};

const banner: Painter = (c) => {
  const { piece, w, h, t } = c;
  const tail = h * 0.42;
  const fold = `<path d="M0 ${num(h * 0.24)}H${num(tail)}V${num(h)}H0l${num(h * 0.2)} ${num(-h * 0.37)}z" fill="${t.deep}"/><path d="M${num(w)} ${num(h * 0.24)}H${num(w - tail)}V${num(h)}H${num(w)}l${num(-h * 0.2)} ${num(-h * 0.37)}z" fill="${t.deep}"/>`;
  const face = `<svg x="${num(tail * 0.55)}" y="0" width="${num(w - tail * 1.1)}" height="${num(h * 0.82)}">${box(0, 0, w, h, t.color)}<g opacity=".22">${pictured(c)}</g></svg>`;
  const rule = [0.06, 0.76]
    .map(
      (y) =>
        `<path d="M${num(tail * 0.55 + 1)} ${num(h * y)}H${num(w - tail * 0.55 - 1)}" stroke="${t.accent}" stroke-width=".4" stroke-dasharray="1.2 .8"/>`,
    )
    .join('');
  return (
    fold +
    face +
    rule +
    lettering(
      piece.words,
      'Pacifico',
      fittingSize(piece.words, 'Pacifico', w - tail * 1.5, h * 0.86),
      w / 2,
      h * 0.41,
      legible(t.color, t.accent),
    )
  );
};

const DAY_LETTERS = ['M', 'T', 'W', 'T', 'F', 'S', 'S'];

const habitTracker: Painter = (c) => {
  const { w, h, t, piece } = c;
  const top = h * 0.4;
  const shapes = DAY_LETTERS.map((letter, i) => {
    const x = (w / 7) * (i + 0.5);
    const r = Math.min(w / 17, h * 0.23);
    return (
      `<circle cx="${num(x)}" cy="${num(h * 0.68)}" r="${num(r)}" fill="#fffdf8" stroke="${t.accent}" stroke-width=".4"/>` +
      lettering(letter, 'Figtree', r * 0.95, x, h * 0.68, mix(t.accent, '#fffdf8', 0.35))
    );
  }).join('');
  const title = piece.words
    ? lettering(
        piece.words,
        'Pacifico',
        fittingSize(piece.words, 'Pacifico', w - 6, top * 1.15),
        w / 2,
        top * 0.55,
        legible(t.color, t.accent),
      )
    : '';
  return base(c) + title + shapes;
};

const weekTracker: Painter = (c) => {
  const { w, h, t, piece } = c;
  const top = Math.min(8, h * 0.17);
  const pitch = (h - top) / 7;
  const rows = DAY_LETTERS.map((letter, i) => {
    const y = top + pitch * i;
    return (
      (i % 2 ? '' : `<rect x="0" y="${num(y)}" width="${num(w)}" height="${num(pitch)}" fill="${t.color}"/>`) +
      colorPen.disc(3.4, y + pitch / 2, Math.min(2, pitch * 0.38), t.accent) +
      lettering(letter, 'Figtree', 2.3, 3.4, y + pitch / 2, legible(t.accent, '#fffdf8')) +
      `<path d="M7 ${num(y + pitch - 1.1)}H${num(w - 2)}" stroke="${t.accent}" stroke-width=".2"/>`
    );
  }).join('');
  const ink = legible(t.accent, t.color, '#fffdf8');
  const ground = box(0, 0, w, h, mix(t.color, '#fffdf8', 0.6)) + rows + box(0, 0, w, top, t.accent);
  return (
    c.clip(ground) +
    (piece.words
      ? lettering(piece.words, 'Pacifico', fittingSize(piece.words, 'Pacifico', w - 8, top * 1.05), w / 2, top / 2, ink)
      : '')
  );
};

const quoteBox: Painter = (c) => {
  const { w, h, t, piece } = c;
  const lines = broken(piece.words, 12);
  const size = Math.min(
    ...lines.map((l) => fittingSize(l, 'Sacramento', w * 0.74, 11)),
    (h * 0.62) / Math.max(1, lines.length) / 0.82,
  );
  const panel = `<path d="${outline('rounded', w - 6, h - 6)}" transform="translate(3 3)" fill="${t.dark ? t.deep : '#fffdf8'}" fill-opacity=".9"/><path d="${outline('rounded', w - 7.4, h - 7.4)}" transform="translate(3.7 3.7)" fill="none" stroke="${t.accent}" stroke-width=".35"/>`;
  const ink = legible(t.dark ? t.deep : '#fffdf8', t.accent, t.color);
  return (
    c.clip(pictured(c) + panel) +
    lines
      .map((l, i) => lettering(l, 'Sacramento', size, w / 2, h / 2 + (i - (lines.length - 1) / 2) * size * 0.86, ink))
      .join('')
  );
};

const PAINTERS: Readonly<Partial<Record<Kind, Painter>>> = {
  'full-box': scene,
  'double-box': scene,
  checklist,
  'check-flag': checkFlag,
  header,
  little,
  icon,
  script,
  deco,
  'bottom-washi': washi,
  washi,
  overlay: washi,
  extender: washi,
  'date-cover': dateCover,
  'date-dot': dateDot,
  banner,
  'habit-tracker': habitTracker,
  'week-tracker': weekTracker,
  'quote-box': quoteBox,
};
