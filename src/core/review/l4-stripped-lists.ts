import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { mm, pieceName, sentence } from '../spread/voice';
import { TICK_WIDTH } from '../spread/writing';
import { TOLERANCE } from '../measure/length';
import { listsOf } from './lists-of';

/** L4: a list without items is a plain filler once its shapes are cut off. */
export const l4StrippedLists: Rule<Case> = {
  code: 'L4',
  title: 'Lists as fillers lose their shapes',
  say,
  check: (view) =>
    listsOf(view)
      .filter(
        ({ p }) => p.role === 'day' && p.items.length === 0 && !p.text && (p.cut?.x ?? 0) < TICK_WIDTH - TOLERANCE,
      )
      .map(({ p }): Found => ({
        rule: 'L4',
        severity: 'look',
        ...at(p),
        placements: [p.id],
        about: { is: 'no items' },
      })),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly is: 'no items';
}

function say({ placements: [id] }: Found, voice: Voice): Said {
  return {
    message: `${sentence(pieceName(voice, id))} has no items: its shapes ask to be ticked for nothing.`,
    remedy: `Cut ${mm(voice, TICK_WIDTH)} off its left side, and it is a plain filler.`,
  };
}
