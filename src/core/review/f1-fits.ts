import { at } from './where';
import type { Finding, Rule, Said, View } from './finding';
import type { Voice } from '../spread/voice';
import { mm, pieceName, sentence } from '../spread/voice';
import { openPaper, regionsOf, runsOfDays } from '../book/columns';
import type { Placement } from '../spread/placement';
import { isPenDate } from '../spread/dates-of';
import { footprint } from '../spread/placement';
import { lackingForBand } from '../manner/fit-book';
import { TOLERANCE } from '../measure/length';
import type { Rect } from '../measure/rect';
import { bottom, bounds, contains, inset, intersect, right } from '../measure/rect';
import { eachPlacement } from './each-placement';

/** F1: nothing wider than its place, nothing into the binding, nothing over its neighbor. */
export const f1Fits: Rule<Case> = {
  code: 'F1',
  title: 'Everything fits its place',
  say,
  check: (view) => [...outside(view), ...overlaps(view), ...noTopBand(view)],
};

type Alone = Pick<View, 'context' | 'pieceOf'>;

/** A piece that ends where a region begins belongs to it as well, mm. */
const TOUCHING = 0.5;

const outside = eachPlacement((view, p): Found[] => {
  const f = footprint(p);
  const page = view.context.book.pages[p.page];
  if (!page) return [];
  const paper = openPaper(view.context.book, p.page);
  if (!contains({ x: 0, y: 0, w: page.width, h: page.height }, f)) {
    return [finding(view, p, excess({ x: 0, y: 0, w: page.width, h: page.height }, f), 'off the page', 'stop')];
  }
  if (!contains(paper, f)) return [finding(view, p, excess(paper, f), 'in the binding', 'stop')];
  const place = placeOf(view, p);
  if (!place || contains(place, f)) return [];
  return [finding(view, p, excess(place, f), p.day === null ? 'out of its place' : 'out of its column', 'fix')];
});

function finding(
  view: Alone,
  p: Placement,
  by: { mm: number; edge: Edge },
  where: Where,
  severity: Finding['severity'],
): Found {
  return {
    rule: 'F1',
    severity,
    ...at(p),
    placements: [p.id],
    about: { is: where, mm: by.mm, edge: by.edge },
  };
}

function excess(place: Rect, f: Rect): { mm: number; edge: Edge } {
  const over: { mm: number; edge: Edge }[] = [
    { edge: 'left', mm: place.x - f.x },
    { edge: 'right', mm: right(f) - right(place) },
    { edge: 'top', mm: place.y - f.y },
    { edge: 'foot', mm: bottom(f) - bottom(place) },
  ];
  return over.reduce((a, b) => (b.mm > a.mm ? b : a));
}

/** The regions a placement may lie in: by its day, its role, and what it covers. */
function placeOf(view: Alone, p: Placement): Rect | null {
  const { book } = view.context;
  const kind = view.pieceOf(p)?.kind;
  const onPage = (r: { page: number }) => r.page === p.page;
  if (p.day !== null && (kind === 'date-cover' || kind === 'date-dot' || isPenDate(p))) {
    const header = regionsOf(book, 'date-header').find((r) => r.day === p.day && onPage(r));
    if (header || !isPenDate(p)) return header ?? null;
  }
  if (p.role === 'sidebar') return regionsOf(book, 'sidebar').find(onPage) ?? null;
  const touched = book.regions.filter((r) => onPage(r) && intersect(r, inset(footprint(p), -TOUCHING)));
  if (p.day === null) return touched.length ? bounds(touched) : openPaper(book, p.page);
  const bands = view.context.week.demands.filter(
    (d) => d.kind === 'band' && d.day <= (p.day as number) && d.lastDay >= (p.day as number),
  );
  const last = p.role === 'day' ? Math.max(p.day, ...bands.map((d) => d.lastDay)) : p.day;
  const days = Array.from({ length: last - p.day + 1 }, (_, i) => (p.day as number) + i);
  return runsOfDays(book, days).find(onPage)?.span ?? null;
}

function overlaps(view: View): Found[] {
  const found: Found[] = [];
  const rects = view.placements.map(footprint);
  view.placements.forEach((p, i) => {
    const own = rects[i] as Rect;
    for (let n = i + 1; n < rects.length; n++) {
      const q = view.placements[n] as Placement;
      const other = rects[n] as Rect;
      if (
        p.page !== q.page ||
        p.layer !== q.layer ||
        other.x >= own.x + own.w ||
        own.x >= other.x + other.w ||
        other.y >= own.y + own.h
      )
        continue;
      const shared = intersect(own, other);
      if (!shared) continue;
      const by = Math.min(shared.w, shared.h);
      const [upper, lower] = p.y <= q.y ? [p, q] : [q, p];
      if (by <= 2 * TOLERANCE) continue;
      found.push({
        rule: 'F1',
        severity: 'fix',
        ...at(lower),
        placements: [upper.id, lower.id],
        about: { is: 'touches', mm: by, across: shared.h > shared.w },
      });
    }
  });
  return found;
}

/** A top band is wanted, and the book's top leaves too little for it. */
function noTopBand(view: View): Found[] {
  const { ways, printed } = view.context;
  const lacking = ways.topBand ? lackingForBand(printed) : 0;
  const header = regionsOf(printed, 'date-header')[0];
  if (lacking === 0 || !header) return [];
  return [
    {
      rule: 'F1',
      severity: 'look',
      page: header.page,
      x: header.x,
      y: header.y,
      placements: [],
      about: { is: 'no top band', from: header.y, mm: lacking },
    },
  ];
}

type Found = Finding<Case>;

type Where = 'off the page' | 'in the binding' | 'out of its place' | 'out of its column';
type Edge = 'left' | 'right' | 'top' | 'foot';
type Case = { readonly mm: number } & (
  | { readonly is: Where; readonly edge: Edge }
  | { readonly is: 'touches'; readonly across: boolean }
  | { readonly is: 'no top band'; readonly from: number }
);

const WHERE: Readonly<Record<Where, string>> = {
  'off the page': 'over the edge of the page',
  'in the binding': 'into the binding',
  'out of its place': 'out of its place',
  'out of its column': 'out of its column',
};

function say({ about, placements: [id, other] }: Found, voice: Voice): Said {
  const by = mm(voice, about.mm);
  switch (about.is) {
    case 'touches':
      return {
        message: `${sentence(pieceName(voice, other))} touches ${pieceName(voice, id)} by ${by}.`,
        remedy: about.across
          ? `Move one of them ${by} aside, or trim it.`
          : `Lower it by ${by}, or trim one of the two.`,
      };
    case 'no top band':
      return {
        message: `No top band: this book’s date headers begin ${mm(voice, about.from)} from the top, ${by} too high for one.`,
        remedy: 'Leave the band out, or choose another manner for this book.',
      };
    default:
      return {
        message: `${sentence(pieceName(voice, id))} is ${by} ${WHERE[about.is]}, on its ${about.edge}.`,
        remedy: `Trim ${by} off its ${about.edge}, or move it.`,
      };
  }
}
