import { alternativesOf } from '../core/compare/alternatives';
import { looked } from '../core/compare/looked';
import { mixDays } from '../core/compare/mix';
import { arrangeAnew, arrangeDay, arrangeRest } from '../core/edit/rearrange';
import { remediesFor } from '../core/remedy/remedies';
import { letIn } from '../core/repair/let-in';
import { offersFor } from '../core/repair/offers';
import { colorSwaps } from '../core/repair/swap-color';
import type { ContextData } from '../core/spread/context';
import { contextFrom } from '../core/spread/context';
import type { Context, Placement } from '../core/spread/placement';
import type { ArrangeService } from './protocol';

/** @throws RangeError when it is asked before it was told what to work on */
export function arrangeService(): ArrangeService {
  let told: { data: ContextData; context: Context; placements: readonly Placement[] } | null = null;
  const now = () => {
    if (!told) throw new RangeError('the worker was asked before it was told what lies on the spread');
    return told;
  };
  return {
    begin: (data, placements) => {
      told = { data, context: contextFrom(data), placements };
    },
    contextChanged: (parts) => {
      const data = { ...now().data, ...parts };
      told = { ...now(), data, context: contextFrom(data) };
    },
    placementsChanged: (gone, come) => {
      const left = new Set(gone);
      const fresh = new Map(come.map((p) => [p.id, p]));
      const placements = now().placements.flatMap((p) => {
        const next = fresh.get(p.id);
        fresh.delete(p.id);
        return next ?? (left.has(p.id) ? [] : p);
      });
      told = { ...now(), placements: [...placements, ...fresh.values()] };
    },
    rest: () => arrangeRest(now().context, now().placements),
    anew: () => arrangeAnew(now().context, now().placements),
    day: (day) => arrangeDay(now().context, now().placements, day),
    letIn: (key) => letIn(now().context, now().placements, key),
    offers: (key) => offersFor(now().context, now().placements, key),
    remedies: (finding) => remediesFor(now().context, now().placements, finding),
    colors: (from) => colorSwaps(now().context, now().placements, from),
    look: (manner) =>
      looked(
        contextFrom({ ...now().data, ...manner }),
        now().placements.filter((p) => p.locked),
      ),
    alternatives: (wish, onTried) =>
      alternativesOf(
        now().context,
        now().placements.filter((p) => p.locked),
        wish,
        onTried,
      ),
    mix: (sources, from, deed) => mixDays(now().context, now().placements, sources, from, deed),
  };
}
