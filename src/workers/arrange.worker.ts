import { expose } from 'comlink';
import { alternativesOf } from '../core/compare/alternatives';
import type { ContextData } from '../core/spread/context';
import { contextFrom } from '../core/spread/context';
import type { Placement } from '../core/spread/placement';
import type { Hex } from '../core/color/color';
import { colorSwaps } from '../core/repair/swap-color';
import type { Finding } from '../core/review/finding';
import { letIn } from '../core/repair/let-in';
import { remediesFor } from '../core/remedy/remedies';
import { replaceSpoiled } from '../core/repair/replace';
import { mixDays } from '../core/compare/mix';
import { arrangeAnew, arrangeDay, arrangeRest } from '../core/edit/rearrange';

/** The core's arranging, off the main thread. */
const service = {
  rest: (data: ContextData, placements: readonly Placement[]) => arrangeRest(contextFrom(data), placements),
  remedies: (data: ContextData, placements: readonly Placement[], finding: Finding) =>
    remediesFor(contextFrom(data), placements, finding),
  letIn: (data: ContextData, placements: readonly Placement[], key: string) =>
    letIn(contextFrom(data), placements, key),
  replace: (data: ContextData, placements: readonly Placement[], id: string) =>
    replaceSpoiled(contextFrom(data), placements, id),
  colors: (data: ContextData, placements: readonly Placement[], from: Hex) =>
    colorSwaps(contextFrom(data), placements, from),
  alternatives: (data: ContextData, placements: readonly Placement[]) =>
    alternativesOf(
      contextFrom(data),
      placements.filter((p) => p.locked),
    ),
  mix: (
    data: ContextData,
    placements: readonly Placement[],
    sources: readonly (readonly Placement[])[],
    from: readonly number[],
    label: string,
  ) => mixDays(contextFrom(data), placements, sources, from, label),
  day: (data: ContextData, placements: readonly Placement[], day: number) =>
    arrangeDay(contextFrom(data), placements, day),
  anew: (data: ContextData, placements: readonly Placement[]) => arrangeAnew(contextFrom(data), placements),
};

export type ArrangeService = typeof service;

expose(service);
