import type { PackItem, PackOption, Packing } from './day-packing';

/** What an option takes of something that the whole week shares: copies of a base, rows of lists, mm of washi. */
export interface Uses {
  readonly key: string;
  readonly amount: number;
}

export interface SharedOption extends PackOption {
  /** null: of nothing that is scarce */
  readonly uses: Uses | null;
}

export interface SharedItem extends PackItem {
  readonly options: readonly SharedOption[];
}

/** One way to see a day: its items, and how they are stood in its column. */
export interface Alternative {
  readonly items: readonly SharedItem[];
  readonly pack: (items: readonly PackItem[]) => Packing;
}

/** A day with all the ways to see it, such as its chores one by one, or as the rows of one list. */
export interface SharedDay {
  readonly alternatives: readonly Alternative[];
}

/** What becomes of a day. */
export interface DayPlan {
  /** number of its alternative */
  readonly alternative: number;
  readonly packing: Packing;
  /** what its options cost by themselves */
  readonly cost: number;
}

/** What a plan takes of the shared things. */
export function usageOf(day: SharedDay, plan: DayPlan): Map<string, number> {
  const used = new Map<string, number>();
  const items = day.alternatives[plan.alternative]?.items ?? [];
  plan.packing.chosen.forEach((o, i) => {
    const uses = o === null ? null : items[i]?.options[o]?.uses;
    if (uses) used.set(uses.key, (used.get(uses.key) ?? 0) + uses.amount);
  });
  return used;
}
