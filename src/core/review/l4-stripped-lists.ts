import { TICK_WIDTH } from '../spread/writing';
import { HAIR } from '../measure/length';
import type { Finding, Rule } from './finding';
import { listsOf } from './lists-of';
import { at, mm, pieceName, sentence } from './say';

/** L4: a list without items is a plain filler once its shapes are cut off. */
export const l4StrippedLists: Rule = {
  code: 'L4',
  title: 'Lists as fillers lose their shapes',
  check: (view) =>
    listsOf(view)
      .filter(({ p }) => p.role === 'day' && p.items.length === 0 && !p.text && (p.cut?.x ?? 0) < TICK_WIDTH - HAIR)
      .map(({ p }): Finding => ({
        rule: 'L4',
        severity: 'look',
        ...at(p),
        placements: [p.id],
        message: `${sentence(pieceName(view, p))} has no items: its shapes ask to be ticked for nothing.`,
        remedy: `Cut ${mm(view, TICK_WIDTH)} off its left side, and it is a plain filler.`,
      })),
};
