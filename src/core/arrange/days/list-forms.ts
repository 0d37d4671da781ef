import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import type { Options } from '../../manner/options/registry';
import { handAt, textFits, writeLines } from '../../measure/hand';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import type { Draft } from '../../spread/draft';
import { shortenedBy, sizesDownTo } from '../../spread/fit-text';
import type { RowText } from '../../spread/list-text';
import type { Context } from '../../spread/placement';
import { TICK_WIDTH } from '../../spread/writing';
import type { Demand } from '../../week/demand';
import { writtenText } from '../../week/demand';
import { oncePerGround } from '../ladder/once';

/** Checklists of one size: for what goes on them it does not matter which is taken. Lengths in mm. */
export interface ListForm {
  /** from row to row */
  readonly pitch: number;
  /** after trimming to the column */
  readonly w: number;
  readonly designs: readonly Piece[];
  /** rows still to be had, offcuts too */
  readonly rows: number;
  /** lowest strangeness among its designs */
  readonly strange: number;
}

/** A list narrower than this takes no text. */
const NARROWEST = 15;
/** An item takes no more rows than these; a longer one stands alone. From memory. */
const MOST_ROWS = 3;
/** What a printed tick box without an item of its own weighs against a smaller hand (four times its smallness). */
const BOX_TOO_MANY = 1.2;

/** Checklists that may be used in a column of that width, the most fitting first. */
export function listsFor(draft: Draft, context: Context, width: number): Piece[] {
  const { hand, smallest } = context.options;
  return byCost(piecesOf(context, 'checklist'), (p) => {
    const strange = strangeness(p, context);
    const named = p.words && !['to do', 'list'].includes(p.words.trim().toLowerCase());
    return p.rows > 0 &&
      draft.ledger.mostRows(p) > 0 &&
      strange <= FOREIGN &&
      !named &&
      p.height / p.rows >= hand.linePitch * smallest &&
      Math.min(p.width, width) > NARROWEST
      ? strange
      : Infinity;
  });
}

/** mm from row to row */
export const rowPitch = (list: Piece): number => list.height / list.rows;

/** All lists that may be used, grouped by size. */
export const listFormsOf = oncePerGround(({ draft, context, width }): readonly ListForm[] => {
  const groups = new Map<string, Piece[]>();
  for (const p of listsFor(draft, context, width)) {
    const key = `${rowPitch(p).toFixed(2)}|${Math.min(p.width, width).toFixed(1)}`;
    groups.set(key, [...(groups.get(key) ?? []), p]);
  }
  return [...groups.values()].map((designs): ListForm => ({
    pitch: rowPitch(designs[0] as Piece),
    w: Math.min((designs[0] as Piece).width, width),
    designs,
    rows: designs.reduce((n, p) => n + draft.ledger.rowsLeft(p), 0),
    strange: Math.min(...designs.map((p) => strangeness(p, context))),
  }));
});

/** Names a size of lists among those of a week. */
export const listKey = (form: ListForm): string => `rows ${form.designs.map((p) => pieceKey(p)).join('+')}`;

/** What stands on the rows of a list. */
export interface ListTexts {
  /** one for each item, in their order */
  readonly items: readonly RowText[];
  readonly rows: number;
  readonly size: number;
}

/** How many rows an item takes: a line in each, or two lines in one that is high enough. */
export const rowsOfItem = (text: RowText): number => (text.inOneRow ? 1 : text.lines.length);

/**
 * Some items as the rows of a list: each on one row, two lines in one, or over up to three; all at one size, the one
 * that takes the fewest rows for its smallness.
 * @returns null where one of them is too long for a list
 */
export function rowsFor(demands: readonly Demand[], form: ListForm, options: Options): ListTexts | null {
  let best: (ListTexts & { readonly cost: number }) | null = null;
  for (const size of sizesDownTo(options.smallest)) {
    const items = demands.map((d) => rowText(writtenText(d), form, options, size));
    if (items.includes(null)) continue;
    const texts = items as RowText[];
    const rows = texts.reduce((n, t) => n + rowsOfItem(t), 0);
    const cost = rows * 0.6 + (rows - items.length) * BOX_TOO_MANY + (1 - size) * 4;
    if (!best || cost < best.cost) best = { items: texts, rows, size, cost };
  }
  return best;
}

function rowText(text: string, { w, pitch }: ListForm, options: Options, size: number): RowText | null {
  const hand = handAt(options.hand, size);
  const width = w - TICK_WIDTH;
  if (hand.linePitch > pitch + 0.01) return null;
  for (const words of [text, ...shortenedBy(options.shortForms, text)]) {
    if (textFits(words, width, pitch, { ...hand, linePitch: pitch })) return { lines: [words], inOneRow: true };
    if (!textFits(words, width, hand.linePitch * MOST_ROWS, hand)) continue;
    const lines = writeLines(words, width, hand);
    if (lines.length === 2 && pitch >= 2 * hand.linePitch - 0.01) return { lines, inOneRow: true };
    return { lines, inOneRow: false };
  }
  return null;
}
