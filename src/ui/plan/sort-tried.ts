import { worthOfTried } from '../../core/compare/tried-week';
import type { PlanKit } from '../../server/plan-week';
import type { Tried, Wanted } from './use-tried';
import { keyOf } from './use-tried';

/** Something that a week could be laid out with. */
export interface Offer extends Wanted {
  readonly key: string;
  readonly of: PlanKit;
}

export const offerOf = (of: PlanKit, at: Omit<Wanted, 'kit'>): Offer => {
  const wanted = { ...at, kit: of.id };
  return { ...wanted, of, key: keyOf(wanted) };
};

/** What an offer is worth; the least there is while it is not laid out. */
const worthIn =
  (tried: Tried) =>
  ({ key, of }: Offer): number => {
    const outcome = tried.get(key);
    return outcome?.ok ? worthOfTried(outcome.value.figures, of.score) : -Infinity;
  };

/** What is laid out already, the best first; then what is still to come, in the order given. */
export function bestFirst(offers: readonly Offer[], tried: Tried): readonly Offer[] {
  const worth = new Map(offers.map((o) => [o.key, worthIn(tried)(o)]));
  const worthOf = (o: Offer): number => worth.get(o.key) ?? -Infinity;
  return [...offers].sort((a, b) => (worthOf(a) === worthOf(b) ? 0 : worthOf(b) - worthOf(a)));
}

/** Another manner must be worth so much more than the first before it takes its place in the picture. */
const BETTER_BY = 3;

/**
 * Of each kit the manner that suits: the first, or one that was found to be clearly better.
 * @param seen keys of offers that were looked at: what was seen is not exchanged
 */
export function suiting(offers: readonly Offer[], tried: Tried, seen: readonly string[] = []): readonly Offer[] {
  const worth = worthIn(tried);
  return [...new Set(offers.map((o) => o.kit))].map((kit) => {
    const [first, ...others] = offers.filter((o) => o.kit === kit) as [Offer, ...Offer[]];
    const stands = [first, ...others].find((o) => seen.includes(o.key));
    return stands ?? others.reduce((best, o) => (worth(o) > worth(best) + BETTER_BY ? o : best), first);
  });
}

/** An order that was seen stays: what was in it stands as it did, what is new comes after. */
export function asSeen(offers: readonly Offer[], seen: readonly string[]): readonly Offer[] {
  const at = new Map(seen.map((key, i) => [key, i]));
  const placeOf = (o: Offer): number => at.get(o.key) ?? seen.length;
  return [...offers].sort((a, b) => placeOf(a) - placeOf(b));
}
