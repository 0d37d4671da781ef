import type { ContextData } from '../../../core/spread/context';
import type { SpreadData } from '../../../server/spread-data';
import type { MannerChoice } from './state';

/** What is another of a week in another manner: what the house sets for all weeks stays. */
export function mannerParts(
  { context, own }: Pick<SpreadData, 'context' | 'own'>,
  { school, options, ways }: MannerChoice,
): Pick<ContextData, 'manner' | 'options' | 'ways'> {
  const house = Object.entries(context.options).filter(([key]) => !Object.hasOwn(own.options, key));
  return { manner: school, options: { ...Object.fromEntries(house), ...options }, ways };
}
