import { openPaper, regionsOf, runsOfDays } from '../book/columns';
import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { lackingForBand } from '../manner/fit-book';
import { HAIR } from '../measure/length';
import type { Rect } from '../measure/rect';
import { bottom, bounds, contains, inset, intersect, right } from '../measure/rect';
import { eachPlacement } from './each-placement';
import type { Finding, Rule, View } from './finding';
import { at, mm, pieceName, sentence } from './say';

/** F1: nothing wider than its place, nothing into the binding, nothing over its neighbor. */
export const f1Fits: Rule = {
  code: 'F1',
  title: 'Everything fits its place',
  check: (view) => [...outside(view), ...overlaps(view), ...noTopBand(view)],
};

type Alone = Pick<View, 'context' | 'pieceOf'>;

/** A piece that ends where a region begins belongs to it as well, mm. */
const TOUCHING = 0.5;

const outside = eachPlacement((view, p): Finding[] => {
  const f = footprint(p);
  const page = view.context.book.pages[p.page];
  if (!page) return [];
  const paper = openPaper(view.context.book, p.page);
  if (!contains({ x: 0, y: 0, w: page.width, h: page.height }, f)) {
    return [
      finding(view, p, excess({ x: 0, y: 0, w: page.width, h: page.height }, f), 'over the edge of the page', 'stop'),
    ];
  }
  if (!contains(paper, f)) return [finding(view, p, excess(paper, f), 'into the binding', 'stop')];
  const place = placeOf(view, p);
  if (!place || contains(place, f)) return [];
  return [finding(view, p, excess(place, f), p.day === null ? 'out of its place' : 'out of its column', 'fix')];
});

function finding(
  view: Alone,
  p: Placement,
  by: { mm: number; side: string },
  where: string,
  severity: Finding['severity'],
): Finding {
  return {
    rule: 'F1',
    severity,
    ...at(p),
    placements: [p.id],
    message: `${sentence(pieceName(view, p))} stands ${mm(view, by.mm)} ${where}, on its ${by.side}.`,
    remedy: `Trim ${mm(view, by.mm)} off its ${by.side}, or move it.`,
  };
}

function excess(place: Rect, f: Rect): { mm: number; side: string } {
  const sides = [
    { side: 'left', mm: place.x - f.x },
    { side: 'right', mm: right(f) - right(place) },
    { side: 'top', mm: place.y - f.y },
    { side: 'foot', mm: bottom(f) - bottom(place) },
  ];
  return sides.reduce((a, b) => (b.mm > a.mm ? b : a));
}

/** The regions a placement may lie in: by its day, its role, and what it covers. */
function placeOf(view: Alone, p: Placement): Rect | null {
  const { book } = view.context;
  const kind = view.pieceOf(p)?.kind;
  const onPage = (r: { page: number }) => r.page === p.page;
  if (p.day !== null && (kind === 'date-cover' || kind === 'date-dot')) {
    return regionsOf(book, 'date-header').find((r) => r.day === p.day && onPage(r)) ?? null;
  }
  if (p.role === 'sidebar') return regionsOf(book, 'sidebar').find(onPage) ?? null;
  const touched = book.regions.filter((r) => onPage(r) && intersect(r, inset(footprint(p), -TOUCHING)));
  if (p.day === null) return touched.length ? bounds(touched) : openPaper(book, p.page);
  const bandDays = view.context.week.demands.find(
    (d) => d.kind === 'band' && d.day <= (p.day as number) && d.lastDay >= (p.day as number),
  );
  const last = p.role === 'day' && bandDays ? bandDays.lastDay : p.day;
  const days = Array.from({ length: last - p.day + 1 }, (_, i) => (p.day as number) + i);
  return runsOfDays(book, days).find(onPage)?.span ?? null;
}

function overlaps(view: View): Finding[] {
  const found: Finding[] = [];
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
      if (by <= 2 * HAIR) continue;
      found.push({
        rule: 'F1',
        severity: 'fix',
        ...at(lower),
        placements: [upper.id, lower.id],
        message: `${sentence(pieceName(view, lower))} touches ${pieceName(view, upper)} by ${mm(view, by)}.`,
        remedy:
          shared.h <= shared.w
            ? `Lower it by ${mm(view, by)}, or trim one of the two.`
            : `Move one of them ${mm(view, by)} aside, or trim it.`,
      });
    }
  });
  return found;
}

/** A top band is wanted, and the book's top leaves too little for it. */
function noTopBand(view: View): Finding[] {
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
      message: `No top band: this book’s date headers begin ${mm(view, header.y)} from the top, ${mm(view, lacking)} too high for one.`,
      remedy: 'Leave the band out, or choose another manner for this book.',
    },
  ];
}
