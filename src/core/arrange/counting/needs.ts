import { regionsOf } from '../../book/columns';
import type { Kind } from '../../kit/kinds';
import type { Piece } from '../../kit/kit';
import type { Section } from '../../manner/section';
import { isPlannedAhead } from '../../spread/ahead';
import { opensDay } from '../base/headers';
import type { Context } from '../../spread/placement';

/** Something a spread of this book, manner and week wants a number of. */
export interface Need {
  readonly kind: Kind;
  readonly needed: number;
  /** which of that kind will do; all where it is not given */
  readonly fits?: (piece: Piece) => boolean;
}

/** What each section of the sidebar is made from, the usual kind first. */
export const SECTION_KINDS: Readonly<Record<Section, readonly Kind[]>> = {
  quote: ['quote-box', 'full-box'],
  habits: ['habit-tracker'],
  dinners: ['week-tracker'],
  hours: ['week-tracker'],
  spending: ['week-tracker'],
  parcels: ['checklist'],
  posts: ['checklist'],
  'next-week': ['checklist'],
};

/** What every week wants, whatever is in it (handbook 3, numbers of pieces). */
export function frameNeeds({ options, ways, book }: Pick<Context, 'options' | 'ways' | 'book'>): Need[] {
  const strips = regionsOf(book, 'bottom-strip');
  const longest = Math.max(0, ...strips.map((s) => s.w));
  return [
    {
      kind: 'date-cover',
      needed: options.dateCovers ? book.regions.filter((r) => r.kind === 'date-header').length : 0,
    },
    { kind: 'header', needed: options.headers === 'none' ? 0 : 7, fits: opensDay },
    { kind: 'full-box', needed: Math.min(7, ways.boxes) },
    { kind: 'banner', needed: options.weekendBanner ? 1 : 0 },
    {
      kind: 'bottom-washi',
      needed: options.bottomWashi === 'none' ? 0 : strips.length * (options.bottomWashi === 'two' ? 2 : 1),
      fits: (p) => p.width >= longest,
    },
  ];
}

/** What this week wants beyond that: rows of lists, a base for every other item, the sidebar's sections. */
export function weekNeeds(context: Context): {
  readonly rows: number;
  readonly bases: number;
  readonly sections: readonly Need[];
} {
  const planned = context.week.demands.filter((d) => d.kind !== 'band' && isPlannedAhead(d, context));
  const rows = planned.filter((d) => d.list !== null).length;
  const kinds = context.options.sidebar.map((s) => SECTION_KINDS[s][0] as Kind).filter((k) => k !== 'checklist');
  const sections = [...new Set(kinds)].map((kind): Need => ({ kind, needed: kinds.filter((k) => k === kind).length }));
  return { rows, bases: planned.length - rows, sections };
}
