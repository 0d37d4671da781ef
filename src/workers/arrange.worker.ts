import { expose } from 'comlink';
import type { ContextData } from '../core/arrange/context';
import { contextFrom } from '../core/arrange/context';
import type { Placement } from '../core/arrange/spread';
import { arrangeAnew, arrangeRest } from '../core/edit/rearrange';

/** The core's arranging, off the main thread. */
const service = {
  rest: (data: ContextData, placements: readonly Placement[]) => arrangeRest(contextFrom(data), placements),
  anew: (data: ContextData, placements: readonly Placement[]) => arrangeAnew(contextFrom(data), placements),
};

export type ArrangeService = typeof service;

expose(service);
