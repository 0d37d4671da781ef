import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName } from '../spread/voice';
import { hoursOf } from '../book/hours';
import type { Height } from '../manner/rhythm';
import { rhythmOf } from '../manner/rhythm';
import { FEWEST_BOXES, boxHeights } from '../spread/week-rhythm';
import { boxesOf } from './boxes-of';

/** W4: the heights of the boxes make a pattern that can be named. */
export const w4Rhythm: Rule<Case> = {
  code: 'W4',
  title: 'The boxes make a rhythm',
  say,
  check(view) {
    if (hoursOf(view.context.book, 0)) return []; // boxes stand where no hour is wanted
    const boxes = boxesOf(view);
    const heights = boxHeights(view.context.book, view.placements);
    if (boxes.length < FEWEST_BOXES || rhythmOf(heights) !== null) return [];
    const first = boxes[0] as (typeof boxes)[number];
    return [
      {
        rule: 'W4',
        severity: 'look',
        page: first.rect.page,
        x: first.rect.x,
        y: first.rect.y,
        placements: boxes.flatMap((b) => b.parts.map((p) => p.id)),
        about: { is: 'no pattern', heights },
      },
    ];
  },
};

type Found = Finding<Case>;

interface Case extends About {
  /** by day; null: no box */
  readonly heights: readonly (Height | null)[];
}

function say({ about }: Found, voice: Voice): Said {
  const said = about.heights.flatMap((h, day) => (h ? [`${dayName(voice, day).slice(0, 3)} ${h}`] : [])).join(', ');
  return {
    message: `The boxes’ heights make no pattern: ${said}.`,
    remedy: 'Move one to the other end of its day.',
  };
}
