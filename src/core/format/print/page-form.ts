import type { PDFRef } from 'pdf-lib';
import { esc } from '../../art/svg';
import { pieceKey } from '../../kit/kit';
import { openPlaces } from '../../spread/open-places';
import { isWriting, pieceIndex } from '../../spread/placement';
import { pageSvg } from '../spread-svg';
import type { Printing } from './sheet-of-work';

/** A page of the spread as it will be, as a form in its own mm. */
export function pageForm({ context, bench, forms, faceOf }: Printing, page: number): PDFRef {
  const { width, height } = context.book.pages[page] as { width: number; height: number };
  const index = pieceIndex(context);
  const here = bench.placements.filter((p) => p.page === page);
  for (const p of here) {
    const piece = isWriting(p) ? undefined : index.get(pieceKey(p));
    if (piece) forms.name(nameOf(p), faceOf(piece));
  }
  const svg = pageSvg(
    context,
    page,
    here,
    bench.placements,
    bench.whiteOut.filter((w) => w.page === page),
    openPlaces(context, bench.placements),
    (_, p) => `<use href="#${esc(nameOf(p))}"/>`,
  );
  return forms.form(svg, { x: 0, y: 0, w: width, h: height });
}

const nameOf = (p: { kit: string; code: string }): string => `face ${pieceKey(p)}`;
