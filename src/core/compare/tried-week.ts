import { isOf } from '../kit/is-of';
import { eyeCost } from '../eye/registry';
import { sayEye } from '../eye/say-eye';
import { sightOf } from '../eye/sight';
import { whiteSpace } from '../review/balance';
import type { Context, Placement } from '../spread/placement';
import { isWriting, matchDemands } from '../spread/placement';

/** What a week laid out to be looked at comes to. */
export interface TriedFigures {
  readonly items: number;
  /** items that a sticker carries; the others have ink, or no place */
  readonly onStickers: number;
  readonly unplaced: number;
  readonly boxes: number;
  readonly stickers: number;
  /** of these, from the stash */
  readonly fromStash: number;
  /** of the week's own kit, copies that it takes */
  readonly taken: number;
  /** share of the days that stays white, 0 to 1 */
  readonly white: number;
  /** what the eye minds, in its points, and in words, the heaviest first */
  readonly eye: number;
  readonly minds: readonly string[];
}

/** The figures of a laid-out week. */
export function triedFigures(context: Context, placements: readonly Placement[]): TriedFigures {
  const carriers = [...matchDemands(placements, context.week.demands).values()];
  const stickers = placements.filter((p) => !isWriting(p));
  const own = stickers.filter((p) => isOf(context.kit, p));
  const sight = sightOf(context, placements);
  return {
    items: context.week.demands.length,
    onStickers: carriers.filter((p) => !isWriting(p)).length,
    unplaced: context.week.demands.length - carriers.length,
    boxes: placements.filter((p) => p.role === 'box').length,
    stickers: stickers.length,
    fromStash: stickers.length - own.length,
    taken: new Set(own.map((p) => `${p.code}#${p.copy}`)).size,
    white: context.week.days.reduce((sum, _, day) => sum + whiteSpace({ context, placements }, day), 0) / 7,
    eye: eyeCost(sight),
    minds: sayEye(sight),
  };
}

/**
 * How the parts of a week's worth weigh: an item without a place is the worst; then what is written on bare paper,
 * then what the eye minds. From memory.
 */
const WEIGHTS = { unplaced: 20, onStickers: 60, eye: 0.2, kit: 1.5 } as const;
/** Of more than this the eye has seen enough. */
const MOST_EYE = 300;

/**
 * What a tried week is worth beside others.
 * @param kit what speaks for its kit beforehand, as `suggestKits` scores it
 */
export const worthOfTried = ({ items, onStickers, unplaced, eye }: TriedFigures, kit: number): number =>
  (WEIGHTS.onStickers * onStickers) / Math.max(1, items) +
  WEIGHTS.kit * kit -
  WEIGHTS.unplaced * unplaced -
  WEIGHTS.eye * Math.min(MOST_EYE, eye);
