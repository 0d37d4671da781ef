import type { Context, Placement } from '../spread/placement';
import { isWriting, pieceIndex } from '../spread/placement';
import type { OpenPlace } from '../spread/open-places';
import { openPlaces } from '../spread/open-places';
import { writtenText } from '../week/demand';
import type { WhiteOut } from '../bench/white-out';
import { BLACK, WHITE } from '../spread/ink';
import type { PictureAt } from '../art/draw-piece';
import { drawPiece } from '../art/draw-piece';
import { laidSticker } from './laid-sticker';
import { esc, num } from '../art/svg';
import type { Book, Mark } from '../book/book';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import type { Letters } from './letters';
import { lettersAsPaths } from './text-as-path';
import { writtenOn } from './written';

/** Printed ink on the page. */
export const PRINT = '#b9b3a6';
export const PAPER_COLOR = '#fffdf9';

/**
 * The pages side by side, to scale: one user unit is one mm, and so is the drawing when printed at 100 %.
 * @param letters draw the lettering as outlines, where given: then every viewer shows the same
 * @param pictureAt the address of a scanned sticker's picture; each is drawn once and pointed to
 */
export function spreadSvg(
  context: Context,
  placements: readonly Placement[],
  whiteOut: readonly WhiteOut[],
  letters: Letters | null = null,
  pictureAt?: PictureAt,
): string {
  const { pages } = context.book;
  const width = pages.reduce((sum, p) => sum + p.width, 0);
  const height = Math.max(...pages.map((p) => p.height));
  const places = openPlaces(context, placements);
  let x = 0;
  const drawn = pages.map((page, i) => {
    const here = placements.filter((p) => p.page === i);
    const out = whiteOut.filter((o) => o.page === i);
    const drawing = pageSvg(context, i, here, placements, out, places, inlineFace);
    const group = `<g transform="translate(${num(x)} 0)">${drawing}</g>`;
    x += page.width;
    return group;
  });
  const svg = `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${num(width)}mm" height="${num(height)}mm" viewBox="0 0 ${num(width)} ${num(height)}"><title>${esc(`${context.book.name}, ${context.week.week}`)}</title>${picturesSvg(context, placements, pictureAt)}${drawn.join('')}</svg>\n`;
  return letters ? lettersAsPaths(svg, letters) : svg;
}

/** How a sticker's face is drawn: all of it, in its own mm. */
export type FaceSvg = (piece: Piece, p: Placement) => string;

/** Drawn where it lies; a picture is pointed to. */
const inlineFace: FaceSvg = (piece, p) =>
  piece.picture ? `<use href="#${esc(pictureId(piece))}"/>` : drawPiece(piece, p.id);

/** One page with what is printed on it, whited out and laid on it. */
export const pageSvg = (
  context: Context,
  page: number,
  here: readonly Placement[],
  around: readonly Placement[],
  whiteOut: readonly WhiteOut[],
  places: readonly OpenPlace[],
  face: FaceSvg,
): string => {
  const { width, height } = context.book.pages[page] as Book['pages'][number];
  return `<rect width="${num(width)}" height="${num(height)}" fill="${PAPER_COLOR}" stroke="#d8d2c4" stroke-width=".3"/>${marksSvg(context.book, page)}${whiteOutSvg(whiteOut)}${placesSvg(places.filter((p) => p.page === page))}${placementsSvg(context, here, around, face)}`;
};

/** The pictures of scanned stickers that lie on the spread, each once. */
function picturesSvg(context: Context, placements: readonly Placement[], pictureAt?: PictureAt): string {
  const pieces = pieceIndex(context);
  const shown = new Set(placements.map((p) => pieces.get(pieceKey(p))).filter((p) => p?.picture));
  const drawn = [...shown].map(
    (p) => `<g id="${esc(pictureId(p as Piece))}">${drawPiece(p as Piece, '', pictureAt)}</g>`,
  );
  return drawn.length ? `<defs>${drawn.join('')}</defs>` : '';
}

const pictureId = (piece: Piece): string => `picture-${piece.picture}-${num(piece.width)}-${num(piece.height)}`;

/** What is printed on one page. */
export const marksSvg = (book: Book, page: number): string =>
  book.marks
    .filter((m) => m.page === page)
    .map(markSvg)
    .join('');

/** Correction tape over what would show; a little wider than the marks, as tape is. */
export const whiteOutSvg = (list: readonly WhiteOut[]): string =>
  list
    .map(
      (o) =>
        `<rect x="${num(o.x - 0.2)}" y="${num(o.y - 0.2)}" width="${num(o.w + 0.4)}" height="${num(o.h + 0.4)}" fill="${PAPER_COLOR}"/>`,
    )
    .join('');

/** Empty places kept for what is written in afterwards, in pencil. */
export const placesSvg = (places: readonly OpenPlace[]): string =>
  places
    .map(
      (p) =>
        `<g class="open-place"><rect x="${num(p.x + 0.4)}" y="${num(p.y)}" width="${num(p.w - 0.8)}" height="${num(p.h)}" rx="1" fill="none" stroke="${PENCIL}" stroke-width=".3" stroke-dasharray="1.1 1.1"/>${p.demands.map((d, i) => `<text x="${num(p.x + 1.6)}" y="${num(p.y + 3.4 + (i * (p.h - 2)) / p.demands.length)}" font-family="Caveat, cursive" font-size="3.2" fill="${PENCIL}">${esc(cut(writtenText(d), p.w))}</text>`).join('')}</g>`,
    )
    .join('');

const PENCIL = '#8d877b';
/** Letters of that size on a mm. From memory. */
const LETTERS = 0.72;
const cut = (text: string, w: number): string =>
  [...text].length > w * LETTERS ? `${[...text].slice(0, Math.floor(w * LETTERS) - 1).join('')}…` : text;

function markSvg(m: Mark): string {
  const place = `x="${num(m.x)}" y="${num(m.y)}" width="${num(m.w)}" height="${num(m.h)}"`;
  switch (m.kind) {
    case 'box':
      return `<rect x="${num(m.x + 0.15)}" y="${num(m.y + 0.15)}" width="${num(m.w - 0.3)}" height="${num(m.h - 0.3)}" fill="none" stroke="${PRINT}" stroke-width=".3"/>`;
    case 'circle':
      return `<ellipse cx="${num(m.x + m.w / 2)}" cy="${num(m.y + m.h / 2)}" rx="${num(m.w / 2 - 0.15)}" ry="${num(m.h / 2 - 0.15)}" fill="none" stroke="${PRINT}" stroke-width=".3"/>`;
    case 'label':
      return `<rect ${place} rx=".6" fill="${PRINT}" fill-opacity=".45"/>`;
    default:
      return `<rect ${place} fill="${PRINT}"/>`;
  }
}

function placementsSvg(
  context: Context,
  placements: readonly Placement[],
  around: readonly Placement[],
  face: FaceSvg,
): string {
  const pieces = pieceIndex(context);
  return [...placements]
    .sort((a, b) => a.layer - b.layer)
    .map((p) => {
      const piece = pieces.get(pieceKey(p));
      if (isWriting(p))
        return `<g id="${p.id}" transform="translate(${num(p.x)} ${num(p.y)})">${handSvg(context, p, around)}</g>`;
      if (!piece) return '';
      const laid = laidSticker(piece, p);
      const shown = `<svg width="${num(p.w)}" height="${num(p.h)}" viewBox="${laid.viewBox}" overflow="${laid.overflow}">${face(piece, p)}</svg>`;
      return `<g id="${p.id}" transform="${laid.transform}">${shown}${handSvg(context, p, around)}</g>`;
    })
    .join('');
}

/** What is written on a placement, line by line at the owner's hand. */
export function handSvg(context: Context, p: Placement, around: readonly Placement[]): string {
  const written = writtenOn(context, p, around);
  if (!written) return '';
  const color = p.ink?.startsWith('white') ? WHITE : BLACK;
  const level = p.turn % 90 ? ` transform="rotate(${num(-p.turn)} ${num(p.w / 2)} ${num(p.h / 2)})"` : '';
  return `<g${level} font-family="Caveat, cursive" font-weight="500" font-size="${num(written.size)}" fill="${color}">${(written.dots ?? []).map((d) => `<circle cx="${num(d.x)}" cy="${num(d.y)}" r=".55"/>`).join('')}${(written.strikes ?? []).map((s) => `<rect x="${num(s.x)}" y="${num(s.y - 0.2)}" width="${num(s.w)}" height=".4"/>`).join('')}${written.lines.map((l) => `<text x="${num(l.x)}" y="${num(l.y)}"${l.anchor === 'middle' ? ' text-anchor="middle"' : ''}${l.squeeze ? ` textLength="${num(l.squeeze)}" lengthAdjust="spacingAndGlyphs"` : ''}>${esc(l.text)}</text>`).join('')}</g>`;
}
