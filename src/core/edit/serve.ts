import { tasteFor } from '../arrange/days/forms';
import { traits } from '../kit/kinds';
import { pieceKey } from '../kit/kit';
import { meaningsOf } from '../week/meaning';
import type { Demand } from '../week/demand';
import { writtenText } from '../week/demand';
import { isPlannedAhead } from '../spread/ahead';
import type { Fitted } from '../spread/fit-text';
import { fitText } from '../spread/fit-text';
import { inkFor } from '../spread/ink';
import type { Context, Placement } from '../spread/placement';
import { matchDemands, pieceIndex } from '../spread/placement';
import { baseOf, laidOn, writingRoom } from '../spread/writing';
import type { Change } from './change';
import { thingOf } from './thing';

/** An item that a laid base could carry, with its text as it would be written there. */
export interface Wish {
  readonly demand: Demand;
  readonly fitted: Fitted;
}

/**
 * The items without a place that a base which carries none could serve: those of its own day and of its words first,
 * then those that its kind suits best. Empty for what carries no item.
 * @example wishesFor(context, placements, 'p12')[0]?.demand.title // “for laundry?”
 */
export function wishesFor(context: Context, placements: readonly Placement[], id: string): Wish[] {
  const p = placements.find((q) => q.id === id);
  const piece = p && pieceIndex(context).get(pieceKey(p));
  if (!p || !piece || p.items.length || !traits(piece.kind).carriesItem || piece.writable === 'no') return [];
  const placed = matchDemands(placements, context.week.demands);
  const written = words(p.text ?? '');
  const rank = (d: Demand): number =>
    (written && words(writtenText(d)).includes(written) ? -20 : 0) +
    (d.day === p.day ? 0 : 10) +
    tasteFor(d, piece.kind);
  return context.week.demands
    .filter((d) => !placed.has(d.key) && d.kind !== 'band' && isPlannedAhead(d, context))
    .filter((d) => !piece.icon || piece.kind !== 'little' || meaningsOf(d.title, d.categories).includes(piece.icon))
    .flatMap((demand) => {
      const fitted = fittedOn(context, placements, p, demand);
      return fitted ? [{ demand, fitted }] : [];
    })
    .sort((a, b) => rank(a.demand) - rank(b.demand));
}

/** Lets a laid base carry an item, its text written on it. Null when it cannot, or is stuck down. */
export function serve(context: Context, placements: readonly Placement[], id: string, key: string): Change | null {
  const p = placements.find((q) => q.id === id);
  const wish = wishesFor(context, placements, id).find((w) => w.demand.key === key);
  const piece = p && pieceIndex(context).get(pieceKey(p));
  if (!p || !wish || !piece || p.locked) return null;
  return {
    deed: { do: 'serve', thing: thingOf(context, p), title: wish.demand.title },
    before: [p],
    after: [{ ...p, items: [wish.demand.uid], text: wish.fitted.text, size: wish.fitted.size, ink: inkFor(piece) }],
  };
}

/** An item that the agenda no longer has keeps its sticker and its words, and is asked for no more. */
export const keepAsMemory = (context: Context, p: Placement, gone: readonly string[]): Change => ({
  deed: { do: 'keep as a memory', thing: thingOf(context, p) },
  before: [p],
  after: [{ ...p, items: p.items.filter((uid) => !gone.includes(uid)) }],
});

function fittedOn(context: Context, placements: readonly Placement[], p: Placement, demand: Demand): Fitted | null {
  const piece = pieceIndex(context).get(pieceKey(p));
  if (!piece) return null;
  return fitText(writtenText(demand), writingRoom(baseOf(piece, p), laidOn(p, placements)), context.options);
}

const words = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ');
