/**
 * Books as strangers measure them, by a seed: whatever the validator lets in. No header, no sidebar, no strip; columns
 * of 24 to 60 mm; two, four and seven pages; in inches and in mm; nothing of it is taken from the books that ship.
 */
import type { Book, Mark, Region } from '../../src/core/book/book';
import { readBook } from '../../src/core/format/book-json';
import { randomFrom } from '../../src/core/measure/random';

const round = (mm: number): number => Math.round(mm * 10) / 10;

/** Days on each page. */
const PAGES: readonly (readonly number[])[] = [[3, 4], [1, 2, 2, 2], [1, 1, 1, 1, 1, 1, 1], [7]];

export function strangersBook(seed: number): Book {
  const random = randomFrom(seed * 7919 + 13);
  const between = (least: number, most: number): number => round(least + random() * (most - least));
  const chance = (of: number): boolean => random() < of;
  const has = { header: chance(0.7), sidebar: chance(0.6), strip: chance(0.5), rows: chance(0.4), top: chance(0.3) };
  const onPage = PAGES[Math.floor(random() * PAGES.length)] ?? [7];
  const column = between(24, 60);
  const gap = between(0, 3);
  const margin = between(3, 14);
  const top = between(4, 30);
  const header = has.header ? between(8, 25) : 0;
  const day = between(70, 190);
  const strip = has.strip ? between(8, 40) : 0;
  const height = round(top + header + day + strip + between(3, 20));
  const most = Math.max(...onPage.map((n, page) => n + (has.sidebar && page === 0 ? 1 : 0)));
  const width = round(2 * margin + most * column + (most - 1) * gap);
  const regions: Region[] = [];
  const marks: Mark[] = [];
  let d = 0;
  onPage.forEach((days, page) => {
    let x = margin;
    const next = (): number => {
      const at = round(x);
      x += column + gap;
      return at;
    };
    if (has.sidebar && page === 0)
      regions.push({ id: 'side', kind: 'sidebar', page, x: next(), y: top, w: column, h: round(header + day) });
    for (let n = 0; n < days; n++, d++) {
      const at = { page, x: next(), w: column };
      const y = round(top + header);
      const third = round(day / 3);
      const rows = has.rows ? [0, 1, 2].map((i) => ({ y: round(y + i * third), h: round(third - 0.2) })) : undefined;
      if (has.header) {
        regions.push({ ...at, id: `head-${d}`, kind: 'date-header', day: d, y: top, h: header });
        if (chance(0.5)) marks.push({ ...at, kind: 'box', y: top, h: header });
        if (chance(0.5)) marks.push({ page, kind: 'circle', x: round(at.x + 1), y: round(top + 1), w: 6, h: 6 });
      }
      regions.push({ ...at, id: `day-${d}`, kind: 'day', day: d, y, h: day, ...(rows ? { rows } : {}) });
      for (const row of rows ?? []) marks.push({ ...at, kind: 'box', y: row.y, h: row.h });
      marks.push({ page, kind: 'line', x: at.x, y, w: 0.2, h: day });
    }
    const spanned = { page, x: margin, w: round(x - gap - margin) };
    if (strip)
      regions.push({ ...spanned, id: `foot-${page}`, kind: 'bottom-strip', y: round(top + header + day), h: strip });
    if (has.top && top > 8) regions.push({ ...spanned, id: `top-${page}`, kind: 'top-strip', y: 1, h: round(top - 2) });
  });
  const book: Book = {
    format: 'hobnail.book/1',
    name: `stranger ${seed}`,
    unit: chance(0.5) ? 'in' : 'mm',
    weekStart: chance(0.5) ? 'monday' : 'sunday',
    dated: has.header && chance(0.7),
    binding: { kind: (['coil', 'discs', 'rings', 'sewn'] as const)[seed % 4] as 'coil', width: between(0, margin - 1) },
    pages: onPage.map((_, n) => ({ width, height, bindingSide: n % 2 ? 'left' : 'right' })),
    regions,
    marks,
  };
  return readBook(JSON.stringify(book), 'stranger.book.json');
}
