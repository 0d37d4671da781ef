import type { Demand } from '../../week/demand';
import { inTimeOrder, sortMinute } from '../../week/demand';
import { isPlannedAhead } from '../../spread/ahead';
import { keepsPlace, sharing } from '../../spread/open-places';
import type { Draft } from '../../spread/draft';
import type { Context } from '../../spread/placement';
import { matchDemands } from '../../spread/placement';

/** Something that stands in a day's column: one item on a base of its own, or several as the rows of a list. */
export interface Block {
  readonly demands: readonly Demand[];
  readonly list: string | null;
  readonly minute: number;
  /** an empty place kept for what is written in afterwards */
  readonly open?: boolean;
  /** goes on from a block above: its name stands there */
  readonly goesOn?: boolean;
}

/** What is left to be placed on a day, in time order. */
export function blocksOfDay(draft: Draft, context: Context, day: number): Block[] {
  const placed = matchDemands(draft.placements, context.week.demands);
  const open = context.week.demands.filter(
    (d) =>
      d.day === day &&
      d.kind !== 'band' &&
      !placed.has(d.key) &&
      (isPlannedAhead(d, context) || keepsPlace(d, context)),
  );
  const lists = new Map<string, Demand[]>();
  const blocks: Block[] = [];
  for (const d of open) {
    if (keepsPlace(d, context)) continue;
    if (d.list) lists.set(d.list, [...(lists.get(d.list) ?? []), d]);
    else blocks.push({ demands: [d], list: null, minute: sortMinute(d) });
  }
  for (const [list, demands] of lists) {
    const rows = [...demands].sort(inTimeOrder);
    blocks.push({ demands: rows, list, minute: sortMinute(rows[0] as Demand) });
  }
  for (const demands of sharing(open.filter((d) => keepsPlace(d, context))))
    blocks.push({ demands, list: null, minute: sortMinute(demands[0] as Demand), open: true });
  return sorted(blocks, context); // chores of a part of the day have one minute, and so stand together
}

const sorted = (blocks: readonly Block[], context: Context): Block[] =>
  [...blocks].sort(
    (a, b) =>
      listsFirst(a, context) - listsFirst(b, context) ||
      a.minute - b.minute ||
      inTimeOrder(a.demands[0] as Demand, b.demands[0] as Demand),
  );

/** Lists before all else where they stand at the top of a day, after all else at its foot. */
const listsFirst = (b: Block, { ways }: Context): number =>
  b.list === null || ways.lists === 'by time' ? 0 : ways.lists === 'top' ? -1 : 1;

/** The ways to see a day: its items one by one, or its short chores as rows of one list (handbook K7). */
export function waysToSee(blocks: readonly Block[], context: Context): Block[][] {
  const gathered = gather(blocks, context);
  return gathered ? [[...blocks], gathered] : [[...blocks]];
}

/** The name of the list that loose chores are gathered on. */
const GATHERED = 'to do';

/**
 * What is short, has no hour and asks for no room of its own joins the day's list, or makes one. What is for the
 * morning or the evening stays there (handbook D2).
 */
function gather(blocks: readonly Block[], context: Context): Block[] | null {
  const loose = blocks.filter((b) => {
    const [d] = b.demands;
    return (
      d !== undefined &&
      b.list === null &&
      !b.open &&
      d.start === null &&
      d.part === 'day' &&
      d.room === null &&
      LOOSE.includes(d.kind)
    );
  });
  const there = blocks.find((b) => b.list?.toLowerCase() === GATHERED);
  if (loose.length + (there ? 1 : 0) < 2) return null;
  const demands = [...(there?.demands ?? []), ...loose.flatMap((b) => b.demands)];
  const list: Block = {
    demands,
    list: there?.list ?? GATHERED,
    minute: Math.min(...[...(there ? [there] : []), ...loose].map((b) => b.minute)),
  };
  return sorted([...blocks.filter((b) => b !== there && !loose.includes(b)), list], context);
}

const LOOSE: readonly Demand['kind'][] = ['chore', 'to-do', 'reminder'];

/** Rows that a part of a list has at most, where a whole one finds no room. From memory. */
export const LIST_PARTS = [6, 3, 1];

/** A day whose lists stand in parts of so many rows at most; null where none is longer. */
export const inParts = (blocks: readonly Block[], most: number): Block[] | null =>
  blocks.some((b) => b.list !== null && b.demands.length > most)
    ? blocks.flatMap((b) => (b.list === null ? [b] : partsOf(b, most)))
    : null;

/** A list in as few parts as may be, about alike. */
function partsOf(block: Block, most: number): Block[] {
  const count = Math.ceil(block.demands.length / most);
  const from = (n: number): number => Math.round((n * block.demands.length) / count);
  return Array.from({ length: count }, (_, n) => ({
    ...block,
    demands: block.demands.slice(from(n), from(n + 1)),
    ...(n > 0 ? { goesOn: true } : {}),
  }));
}
