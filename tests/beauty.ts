/** How a spread looks, as numbers: so that a change which makes it worse is seen. Shares from 0 to 1. */
import { dayColumn } from '../src/core/book/columns';
import { ONE_COLOR, difference } from '../src/core/color/color';
import type { Kind } from '../src/core/kit/kinds';
import { traits } from '../src/core/kit/kinds';
import { pieceKey } from '../src/core/kit/kit';
import { rhythmOf } from '../src/core/manner/rhythm';
import { bottom } from '../src/core/measure/rect';
import { iconRank, scriptRank } from '../src/core/arrange/days/reserved';
import { Draft } from '../src/core/spread/draft';
import { freeStretches, lengthOf } from '../src/core/spread/free-room';
import type { Context, Placement } from '../src/core/spread/placement';
import { footprint, isWriting, matchDemands, pieceIndex } from '../src/core/spread/placement';

export interface Beauty {
  /** copies of the kit that are used, by what they are */
  readonly used: Readonly<Record<'bases' | 'icons' | 'scripts' | 'boxes' | 'deco', number | null>>;
  /** items on a base of their own that have a picture or a word, of those for which the kit still has one */
  readonly dressed: number | null;
  /** days with items and an open place longer than 45 mm */
  readonly holes: number | null;
  /** neighbors down a column that are one color */
  readonly same: number | null;
  /** items in bare ink */
  readonly ink: number | null;
  /** the heights of the boxes follow a rhythm that has a name */
  readonly rhythm: boolean;
}

/** An open place longer than this looks forgotten, mm. From memory. */
const HOLE = 45;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

const share = (part: number, of: number): number | null => (of ? part / of : null);

export function beautyOf(context: Context, placements: readonly Placement[]): Beauty {
  const pieces = pieceIndex(context);
  const kindOf = (p: Placement): Kind | undefined => pieces.get(pieceKey(p))?.kind;
  const laid = new Set(placements.map((p) => `${pieceKey(p)}#${p.copy}`));
  const usedOf = (is: (kind: Kind) => boolean): number | null => {
    const of = context.kit.pieces.filter((p) => is(p.kind));
    const copies = of.flatMap((p) => Array.from({ length: p.count }, (_, i) => `${pieceKey(p)}#${i + 1}`));
    return share(copies.filter((c) => laid.has(c)).length, copies.length);
  };
  const draft = Draft.begin(context, placements);
  const carriers = matchDemands(placements, context.week.demands);
  const items = context.week.demands.filter((d) => carriers.has(d.key));
  const alone = items.flatMap((d) => {
    const base = carriers.get(d.key);
    if (!base || isWriting(base) || base.items.length > 1 || d.kind === 'band') return [];
    const over = placements.filter(
      (p) => p.page === base.page && p.layer > base.layer && p.y >= base.y - 3 && bottom(p) <= bottom(base) + 3,
    );
    const has = kindOf(base) === 'little' || over.some((p) => ['icon', 'script'].includes(kindOf(p) ?? ''));
    const could = context.kit.pieces.some(
      (p) =>
        draft.ledger.untouched(p) > 0 &&
        ((p.kind === 'icon' && iconRank(d, p) !== null) || (p.kind === 'script' && scriptRank(d, p) !== null)),
    );
    return has || could ? [has] : [];
  });
  const withItems = DAYS.filter((day) => items.some((d) => d.day === day));
  const holes = withItems.filter((day) => freeStretches(draft, context, day).some((s) => lengthOf(s) > HOLE));
  const pairs = DAYS.flatMap((day) => {
    const column = placements
      .filter((p) => p.day === day && p.layer === 0 && p.role !== 'base' && pieces.get(pieceKey(p)))
      .sort((a, b) => a.y - b.y);
    return column.slice(1).map((p, i) => {
      const [a, b] = [pieces.get(pieceKey(column[i] as Placement)), pieces.get(pieceKey(p))];
      return a !== undefined && b !== undefined && difference(a.color, b.color) < ONE_COLOR;
    });
  });
  const heights = DAYS.map((day) => {
    const [box, column] = [placements.find((p) => p.role === 'box' && p.day === day), dayColumn(context.book, day)];
    if (!box || !column) return null;
    return footprint(box).y + box.h / 2 < column.y + column.h / 2 ? ('high' as const) : ('low' as const);
  });
  const inked = items.filter((d) => isWriting(carriers.get(d.key) as Placement)).length;
  return {
    used: {
      bases: usedOf((k) => traits(k).carriesItem === true),
      icons: usedOf((k) => k === 'icon'),
      scripts: usedOf((k) => k === 'script'),
      boxes: usedOf((k) => k === 'full-box'),
      deco: usedOf((k) => k === 'deco'),
    },
    dressed: share(alone.filter(Boolean).length, alone.length),
    holes: share(holes.length, withItems.length),
    same: share(pairs.filter(Boolean).length, pairs.length),
    ink: share(inked, items.length),
    rhythm: rhythmOf(heights) !== null,
  };
}

/** The mean of some figures of one kind, those left out that are not there. */
export const meanOf = (values: readonly (number | null)[]): number | null => {
  const there = values.filter((v) => v !== null);
  return there.length ? there.reduce((a, b) => a + b, 0) / there.length : null;
};
