import { packColumn } from '../exact/day-packing';
import { candidatesOf, formKey } from './candidates';
import type { Draft } from '../../spread/draft';
import { freeStretches } from '../../spread/free-room';
import type { Context } from '../../spread/placement';

const ROUNDS = 6;
const STEP = 0.35;

/**
 * What the scarce bases are worth this week. All seven days are packed as if alone; a form that is wanted more
 * often than it is there becomes dearer, until the days want about what there is (Lagrangian relaxation of the
 * shared stock, by subgradient steps: Fisher, 1981).
 * @returns price by form; what is plentiful has none
 */
export function scarcityPrices(draft: Draft, context: Context): ReadonlyMap<string, number> {
  let prices = new Map<string, number>();
  for (let round = 0; round < ROUNDS; round++) {
    const wanted = new Map<string, { count: number; supply: number }>();
    for (let day = 0; day < 7; day++) {
      const candidates = candidatesOf(draft, context, day, prices);
      const packed = packColumn(
        candidates.map((c) => ({ options: c.choices, leaveOut: c.leaveOut })),
        freeStretches(draft, context, day),
        context.options.gap,
      );
      packed.chosen.forEach((o, i) => {
        const form = o === null ? null : candidates[i]?.choices[o]?.form;
        if (!form) return;
        const known = wanted.get(formKey(form));
        wanted.set(formKey(form), { count: (known?.count ?? 0) + 1, supply: form.supply });
      });
    }
    const next = new Map(prices);
    for (const [key, { count, supply }] of wanted) {
      if (count > supply) next.set(key, (prices.get(key) ?? 0) + STEP * (count - supply));
    }
    if (next.size === prices.size && [...next].every(([k, v]) => prices.get(k) === v)) break;
    prices = next;
  }
  return prices;
}
