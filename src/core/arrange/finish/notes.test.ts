import { context, demand, found, kitOf, placement, weekWith } from '../../../../tests/fixtures';
import { regionsOf } from '../../book/columns';
import { bottom, contains } from '../../measure/rect';
import { Draft } from '../../spread/draft';
import { isWriting } from '../../spread/placement';
import { arrange } from '../arrange';
import { notes } from './notes';

/** A day with more on it than ink has room for. */
const crowded = (allowed: boolean, items = 45) =>
  context({
    kit: kitOf(),
    options: { notes: allowed, sidebar: [], bottomWashi: 'none' },
    week: weekWith(
      ...Array.from({ length: items }, (_, i) =>
        demand({ uid: `n${i}`, key: `n${i}`, title: `item number ${i} of the fete`, day: 2, start: 480 + i }),
      ),
    ),
  });

it('notes what has no room in its day beside the columns, with the day it is for', () => {
  const c = crowded(true);
  const noted = arrange(c).filter((p) => isWriting(p) && p.role === 'sidebar');
  expect(noted.length).toBeGreaterThan(0);
  const regions = [...regionsOf(c.book, 'sidebar'), ...regionsOf(c.book, 'bottom-strip')];
  for (const p of noted) {
    expect(p.day).toBeNull();
    expect(p.text!.split('\n')).toHaveLength(p.items.length);
    for (const line of p.text!.split('\n')) expect(line).toMatch(/^Wed \d+:\d\da item number \d+ of the fete$/);
    expect(regions.some((r) => r.page === p.page && contains(r, p))).toBe(true);
  }
  expect(found('D5', c, arrange(c))).toEqual([]);
  expect(found('D2', c, arrange(c)).filter((f) => f.severity !== 'look')).toEqual([]);
});

it('leaves them without a place where that is not allowed, and offers it', () => {
  const c = crowded(false);
  const missing = found('D5', c, arrange(c));
  expect(missing.length).toBeGreaterThan(0);
  expect(missing[0]!.remedy).toContain('Let it be noted in the sidebar or on the bottom strip');
});

it('writes round what lies there, and goes on on the strip', () => {
  const c = crowded(true, 70);
  const [bar] = regionsOf(c.book, 'sidebar');
  const quote = placement({
    id: 'q',
    x: bar!.x,
    y: bar!.y,
    w: bar!.w,
    h: 48,
    page: bar!.page,
    role: 'sidebar',
    day: null,
  });
  const laid = notes(Draft.begin(c, [quote]), c).placements.filter(isWriting);
  expect(laid[0]!.y).toBeGreaterThanOrEqual(bottom(quote));
  expect(new Set(laid.map((p) => p.page)).size).toBe(2);
  expect(laid.flatMap((p) => p.items).length).toBeLessThanOrEqual(70);
});

it('does nothing where all have their place', () => {
  const c = crowded(true, 3);
  const all = arrange(c);
  expect(notes(Draft.begin(c, all), c).placements).toEqual(all);
});
