import 'server-only';
import type { MemoryOffer } from '../core/keep/memory-pieces';
import { memoryPieces } from '../core/keep/memory-pieces';
import { contextFrom } from '../core/spread/context';
import type { SpreadData } from './spread-of';

/** Leftovers for the empty places of a spread's days up to today. */
export function memoryOffers({ context: data, placements }: SpreadData, today: string): MemoryOffer[] {
  const over = data.week.days.flatMap((iso, day) => (iso <= today ? [day] : []));
  return over.length && placements.length ? memoryPieces(contextFrom(data), placements, over) : [];
}
