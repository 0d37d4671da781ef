import type { LogTable } from './log-table';
import { rounded } from './log-table';

/** A design of a kit: copies that it had, and that were used. */
export interface DesignUse {
  readonly kit: string;
  readonly code: string;
  readonly kind: string;
  readonly count: number;
  readonly used: number;
}

/** Stickers of a kit that lie on a week's spread. */
export interface WeekUse {
  readonly week: string;
  readonly kit: string;
  readonly stickers: number;
}

/** What its owner knows of a kit. */
export interface KitCost {
  readonly kit: string;
  /** what it is called */
  readonly title: string;
  /** null: not known */
  readonly price: number | null;
  readonly stash: boolean;
}

/**
 * Kits: what each week took of them and what that cost (a sticker costs its share of the kit's price), what is used
 * most and least, what was bought and never used.
 */
export function tablesOfKits(
  designs: readonly DesignUse[],
  weeks: readonly WeekUse[],
  kits: readonly KitCost[],
): LogTable[] {
  const known = new Map(kits.map((k) => [k.kit, k]));
  const total = new Map<string, { count: number; used: number }>();
  const kinds = new Map<string, { count: number; used: number }>();
  const add = (map: typeof total, key: string, d: DesignUse) => {
    const sum = map.get(key) ?? { count: 0, used: 0 };
    map.set(key, { count: sum.count + d.count, used: sum.used + d.used });
  };
  for (const d of designs) {
    add(total, d.kit, d);
    add(kinds, d.kind, d);
  }
  const cost = (kit: string, stickers: number): number =>
    ((known.get(kit)?.price ?? 0) * stickers) / Math.max(1, total.get(kit)?.count ?? 0);
  const title = (kit: string): string => known.get(kit)?.title ?? kit;
  const byWeek = new Map<string, { kits: string[]; stickers: number; cost: number }>();
  for (const w of weeks) {
    const sum = byWeek.get(w.week) ?? { kits: [], stickers: 0, cost: 0 };
    byWeek.set(w.week, {
      kits: [...sum.kits, title(w.kit)],
      stickers: sum.stickers + w.stickers,
      cost: sum.cost + cost(w.kit, w.stickers),
    });
  }
  const used = new Set(weeks.map((w) => w.kit));
  const byKit = new Map<string, { weeks: number; cost: number }>();
  for (const w of weeks) {
    const sum = byKit.get(w.kit) ?? { weeks: 0, cost: 0 };
    byKit.set(w.kit, { weeks: sum.weeks + 1, cost: sum.cost + cost(w.kit, w.stickers) });
  }
  const share = (part: number, whole: number): number => rounded((100 * part) / Math.max(1, whole), 0);
  return [
    {
      name: 'cost-by-week',
      title: 'What each week took',
      columns: ['week', 'kits', 'stickers', 'cost'],
      money: ['cost'],
      rows: [...byWeek]
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([week, w]) => [week, w.kits.join(', '), w.stickers, w.cost > 0 ? rounded(w.cost, 2) : '']),
      nothing: 'No week is laid out yet.',
    },
    {
      name: 'kits',
      title: 'Kits',
      columns: ['kit', 'price', 'weeks', 'stickers', 'used', 'left', 'used, %', 'cost a week'],
      money: ['price', 'cost a week'],
      rows: [...total]
        .filter(([kit]) => used.has(kit) || !known.get(kit)?.stash)
        .map(([kit, { count, used: gone }]) => {
          const price = known.get(kit)?.price ?? null;
          const { weeks: n, cost: spent } = byKit.get(kit) ?? { weeks: 0, cost: 0 };
          return [
            title(kit),
            price ?? '',
            n,
            count,
            gone,
            count - gone,
            share(gone, count),
            price === null || !n ? '' : rounded(spent / n, 2),
          ];
        }),
      nothing: 'There is no kit yet.',
    },
    {
      name: 'kinds',
      title: 'Kinds, the most used first',
      columns: ['kind', 'used', 'bought', 'used, %'],
      rows: [...kinds]
        .map(([kind, { count, used: gone }]) => [kind, gone, count, share(gone, count)] as const)
        .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)),
      nothing: 'There is no kit yet.',
    },
    {
      name: 'never-used',
      title: 'Bought, and never used',
      columns: ['kit', 'sticker', 'kind', 'copies'],
      rows: designs
        .filter((d) => d.used === 0 && d.count > 0 && used.has(d.kit))
        .sort((a, b) => b.count - a.count || (a.code < b.code ? -1 : 1))
        .map((d) => [title(d.kit), d.code, d.kind, d.count]),
      nothing: 'Of every kit that was used, something of each design was.',
    },
  ];
}
