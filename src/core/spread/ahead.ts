import type { Demand } from '../week/demand';
import { meaningsOf } from '../week/meaning';
import type { Context } from './placement';

/**
 * True for what is planned ahead; the rest stays open for writing in later (handbook 4: some plan work ahead and
 * write private life in afterwards).
 */
export function isPlannedAhead(demand: Demand, { options }: Pick<Context, 'options'>): boolean {
  if (options.ahead === 'all') return true;
  return options.ahead === 'work' && meaningsOf(demand.title, demand.categories).includes('work');
}
