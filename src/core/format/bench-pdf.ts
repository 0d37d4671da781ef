import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb } from 'pdf-lib';
import type { Context, Placement } from '../spread/placement';
import type { OpenPlace } from '../spread/open-places';
import { openPlaces } from '../spread/open-places';
import { footprint, isWriting } from '../spread/placement';
import { CAUTIONS } from '../bench/cautions';
import { worthKeeping } from '../kit/offcut';
import { pageName } from '../bench/measure-from';
import type { Bench } from '../bench/bench';
import { sayStep } from '../bench/say-step';
import { voiceOf } from '../spread/voice';
import { tapeLength } from '../bench/white-out';
import { ruled } from '../measure/fraction';
import { spokenWeek } from '../week/day-names';
import { FAINT, FRAME, Paper, STOP } from './pdf/paper';

/** The files of the two shipped fonts, WOFF or TrueType. */
export interface FontFiles {
  readonly plain: Uint8Array;
  readonly heading: Uint8Array;
}

/**
 * The bench sheet for printing at 100 %: each page as an outline with the number of every step at its place, then
 * white-out, cuts and the order of work with boxes to tick. The same spread gives the same bytes.
 */
export async function benchPdf(context: Context, bench: Bench, files: FontFiles): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  const title = `${context.book.name}, ${spokenWeek(context.week.days)} (${context.week.week})`;
  document.setTitle(title);
  document.setProducer('Hobnail');
  document.setCreator('Hobnail');
  document.setCreationDate(new Date(0)); // a fixed moment, so that the same spread gives the same bytes
  document.setModificationDate(new Date(0));
  const fonts = {
    plain: await document.embedFont(files.plain, { subset: true }),
    heading: await document.embedFont(files.heading, { subset: true }),
  };
  const paper = new Paper(document, fonts, title);
  const open = openPlaces(context, bench.placements);
  context.book.pages.forEach((_, page) => drawPage(paper, context, bench, page, open));
  paper.turn();
  paper.heading('Bench sheet');
  paper.paragraph(
    `${title}. ${bench.placements.filter((p) => !isWriting(p)).length} pieces, ${bench.cuts.length} stickers to cut, ${bench.steps.length} steps.`,
  );
  whiteOutList(paper, context, bench);
  cutList(paper, context, bench);
  orderOfWork(paper, context, bench);
  return document.save();
}

function drawPage(paper: Paper, context: Context, bench: Bench, page: number, open: readonly OpenPlace[]): void {
  const { width, height } = context.book.pages[page] as { width: number; height: number };
  paper.turn(width, height);
  const { x: ox, y: oy } = paper.room;
  paper.text(`${pageName(context.book, page)} at 100 %: the numbers are the steps`, ox, oy - 3, 9, undefined, FAINT);
  paper.rect(ox, oy, width, height, FRAME, 0.8);
  const numbers = new Map(bench.steps.flatMap((s) => s.refs.map((r) => [r, s.n] as const)));
  for (const w of bench.whiteOut.filter((o) => o.page === page))
    paper.rect(ox + w.x, oy + w.y, Math.max(w.w, 0.4), Math.max(w.h, 0.4), STOP, 0.1, rgb(0.93, 0.75, 0.79));
  for (const place of open.filter((o) => o.page === page)) {
    paper.rect(ox + place.x, oy + place.y, place.w, place.h, FAINT, 0.3);
    paper.text(
      `open: ${place.demands
        .map((d) => d.title)
        .join(', ')
        .slice(0, 24)}`,
      ox + place.x + 0.8,
      oy + place.y + 3,
      6,
      undefined,
      FAINT,
    );
  }
  const here = bench.placements.filter((p) => p.page === page);
  for (const p of [...here].sort((a, b) => a.layer - b.layer))
    drawPlacement(paper, p, ox, oy, numbers.get(p.id) ?? 0, stacked(p, here));
}

/** Overlays that share their base's step need no number of their own. */
const stacked = (p: Placement, all: readonly Placement[]): boolean =>
  p.layer > 0 &&
  all.some(
    (q) =>
      q.layer < p.layer &&
      q.items.length > 0 &&
      Math.abs(q.x + q.w / 2 - p.x - p.w / 2) < q.w / 2 &&
      Math.abs(q.y + q.h / 2 - p.y - p.h / 2) < q.h / 2,
  );

function drawPlacement(paper: Paper, p: Placement, ox: number, oy: number, n: number, quiet: boolean): void {
  const f = footprint(p);
  paper.rect(ox + f.x, oy + f.y, f.w, f.h, quiet ? FAINT : FRAME, quiet ? 0.3 : 0.5);
  const name = isWriting(p) ? `“${(p.text ?? '').slice(0, 20)}”` : p.code;
  if (!quiet) paper.text(`${n}  ${name}`, ox + f.x + 0.8, oy + f.y + Math.min(f.h - 0.8, 3), f.h < 6 ? 5.5 : 6.5);
}

function whiteOutList(paper: Paper, context: Context, bench: Bench): void {
  if (!bench.whiteOut.length) return;
  const unit = context.book.unit;
  paper.heading('White-out');
  paper.paragraph(CAUTIONS['white-out'] ?? '', { size: 8.5, color: STOP });
  paper.paragraph(
    `${ruled(tapeLength(bench.whiteOut), unit)} of tape in all (${(tapeLength(bench.whiteOut) / 1000).toFixed(2)} m). Shaded on the page maps; places are from the page’s left and top edges.`,
  );
  context.book.pages.forEach((_, page) => {
    const here = bench.whiteOut.filter((w) => w.page === page);
    if (!here.length) return;
    const places = here
      .filter((w) => Math.max(w.w, w.h) >= 1)
      .map(
        (w) =>
          `${ruled(Math.max(w.w, w.h), unit)} ${w.w >= w.h ? 'across' : 'down'} at ${ruled(w.x, unit)}, ${ruled(w.y, unit)}`,
      );
    paper.paragraph(`${pageName(context.book, page)}: ${ruled(tapeLength(here), unit)}.`, { tick: true });
    paper.paragraph(`${places.join(' · ')}.`, { size: 7.5 });
  });
}

function cutList(paper: Paper, context: Context, bench: Bench): void {
  if (!bench.cuts.length) return;
  const unit = context.book.unit;
  paper.heading('Cuts');
  paper.paragraph(CAUTIONS.cut ?? '', { size: 8.5, color: STOP });
  const voice = voiceOf(context, bench.placements);
  for (const step of bench.steps) {
    if (step.about.is !== 'cut') continue;
    const kept = step.about.cut.left
      .filter(worthKeeping)
      .map((o) =>
        o.rows ? `${o.rows} ${o.rows === 1 ? 'row' : 'rows'}` : `${ruled(o.w, unit)} × ${ruled(o.h, unit)}`,
      );
    paper.paragraph(`${step.n}. ${sayStep(step, voice)}${kept.length ? ` Keep ${kept.join(' and ')}.` : ''}`, {
      tick: true,
    });
  }
}

function orderOfWork(paper: Paper, context: Context, bench: Bench): void {
  paper.heading('Order of work');
  paper.paragraph(CAUTIONS.place ?? '', { size: 8.5, color: STOP });
  const voice = voiceOf(context, bench.placements);
  for (const step of bench.steps.filter((s) => s.do !== 'cut'))
    paper.paragraph(`${step.n}. ${sayStep(step, voice)}`, { tick: true });
}
