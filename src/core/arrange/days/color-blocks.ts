import { ONE_COLOR, difference } from '../../color/color';
import type { Hex } from '../../color/color';
import { KIND_NAMES, traits } from '../../kit/kinds';
import { FOREIGN, piecesOf, strangeness } from '../../spread/choose';
import { atHand } from '../../spread/at-hand';
import type { Context } from '../../spread/placement';
import { centerY } from '../../measure/rect';
import type { At } from '../ladder/choice';

/** CIEDE2000 from the wanted color that costs one step of taste: neighbors that jar cost less. From memory. */
const PULL = 1.5;

export interface ColorBlocks {
  readonly upper: Hex;
  readonly lower: Hex;
}

const planned = new WeakMap<Context, ColorBlocks | null>();

/**
 * The two color families of a blocked week: that of the headers for the upper half of each day, the most plentiful
 * other one for the lower half (handbook 5, color habits). Null where the habit is another, or there is only one color.
 */
export function colorBlocks(context: Context): ColorBlocks | null {
  const known = planned.get(context);
  if (known !== undefined) return known;
  const blocks = context.options.headers === 'blocked' ? familiesOf(context) : null;
  planned.set(context, blocks);
  return blocks;
}

function familiesOf(context: Context): ColorBlocks | null {
  const bases = piecesOf(context, 'checklist', ...KIND_NAMES.filter((kind) => traits(kind).carriesItem));
  const upper = plentiest(context, piecesOf(context, 'header')) ?? plentiest(context, bases);
  const lower = upper && plentiest(context, bases, upper);
  return upper && lower ? { upper, lower } : null;
}

/** The color of which most copies are there, of those that are not another's. */
function plentiest(context: Context, pieces: ReturnType<typeof piecesOf>, not?: Hex): Hex | null {
  const counts = new Map<Hex, number>();
  for (const p of pieces)
    if (strangeness(p, context) <= FOREIGN && (not === undefined || difference(p.color, not) >= ONE_COLOR))
      counts.set(p.color, (counts.get(p.color) ?? 0) + atHand(context).untouched(p));
  const [best] = [...counts].filter(([, n]) => n > 0).sort(([a, n], [b, m]) => m - n || (a < b ? -1 : 1));
  return best?.[0] ?? null;
}

/** What a piece's color costs in its half of the day. */
export function blockCost(context: Context, piece: { readonly color: Hex }, at: Pick<At, 'column' | 'y'>): number {
  const blocks = colorBlocks(context);
  if (!blocks) return 0;
  const wanted = at.y < centerY(at.column) ? blocks.upper : blocks.lower;
  return Math.min(60, difference(wanted, piece.color)) / PULL;
}
