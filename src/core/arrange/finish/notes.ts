import { regionsOf } from '../../book/columns';
import type { Region } from '../../book/book';
import { handAt } from '../../measure/hand';
import type { Hand } from '../../measure/hand';
import { isPlannedAhead } from '../../spread/ahead';
import { sizesDownTo } from '../../spread/fit-text';
import type { Draft, Stage } from '../../spread/draft';
import type { Stretch } from '../../spread/free-room';
import { freeIn, lengthOf } from '../../spread/free-room';
import { PAPER, inkFor } from '../../spread/ink';
import type { Context } from '../../spread/placement';
import { matchDemands } from '../../spread/placement';
import { paperHeight } from '../../spread/writing';
import { shortDay } from '../../week/day-names';
import type { Demand } from '../../week/demand';
import { inTimeOrder, writtenText } from '../../week/demand';
import type { IsoDay } from '../../week/week';

/** What has no room in its day is noted on the free paper of sidebar and strip, where its owner allows it (D5). */
export const notes: Stage = (before, context) => {
  if (!context.options.notes) return before;
  const draft = before.clone();
  const placed = matchDemands(draft.placements, context.week.demands);
  let open = context.week.demands
    .filter((d) => d.kind !== 'band' && !placed.has(d.key) && isPlannedAhead(d, context))
    .sort((a, b) => a.day - b.day || inTimeOrder(a, b));
  for (const region of [...regionsOf(context.book, 'sidebar'), ...regionsOf(context.book, 'bottom-strip')])
    for (const stretch of freeIn(draft, region, context.options.gap)) {
      const taken = note(draft, context, region, stretch, open);
      open = open.slice(taken);
    }
  return draft;
};

/** Writes as many as fit, the hand no smaller than it must be for that. @returns how many */
function note(draft: Draft, context: Context, region: Region, stretch: Stretch, open: readonly Demand[]): number {
  const fitting = (hand: Hand): number => {
    const count = open.findIndex(
      (_, n) => paperHeight(linesOf(context, open.slice(0, n + 1)), region.w, hand) > lengthOf(stretch),
    );
    return count < 0 ? open.length : count;
  };
  const sizes = sizesDownTo(context.options.smallest).map((size) => {
    const hand = handAt(context.options.hand, size);
    return { size, hand, count: fitting(hand) };
  });
  const best = sizes.reduce((a, b) => (b.count > a.count ? b : a));
  if (best.count === 0) return 0;
  const items = open.slice(0, best.count);
  const texts = linesOf(context, items);
  draft.write({
    page: region.page,
    x: region.x,
    y: stretch.from,
    w: region.w,
    h: paperHeight(texts, region.w, best.hand),
    role: 'sidebar',
    items: items.map((d) => d.uid),
    text: texts.join('\n'),
    size: best.size,
    ink: inkFor(PAPER),
  });
  return best.count;
}

/** `Wed 5p vet`: off its column, an item must say its day. */
const linesOf = (context: Context, items: readonly Demand[]): string[] =>
  items.map((d) => `${shortDay(context.week.days[d.day] as IsoDay)} ${writtenText(d)}`);
