import { STANDS, rhythmOf } from '../manner/rhythm';
import type { RhythmName } from '../manner/rhythm';
import { areAlike, boxHeights } from '../spread/week-rhythm';
import { boxesOf } from './boxes-of';
import type { About, Finding, Rule, Said } from './finding';

/** E4: the rhythm of the boxes is another than last week's, where the school has more than one. */
export const e4NoTwoAlike: Rule<Case> = {
  code: 'E4',
  title: 'No two weeks alike',
  say,
  check(view) {
    const { context, placements } = view;
    const [last] = context.boxesBefore;
    const heights = boxHeights(context.book, placements);
    if (!last || STANDS[context.ways.stand].length < 2 || !areAlike(heights, last)) return [];
    const boxes = boxesOf(view);
    const [first] = boxes;
    if (!first) return [];
    return [
      {
        rule: 'E4',
        severity: 'look',
        page: first.rect.page,
        x: first.rect.x,
        y: first.rect.y,
        placements: boxes.flatMap((b) => b.parts.map((p) => p.id)),
        about: { is: 'as last week', rhythm: rhythmOf(heights) },
      },
    ];
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly rhythm: RhythmName | null;
}

function say({ about }: Found): Said {
  return {
    message: `The boxes stand ${about.rhythm ?? 'high and low'}, as they did last week.`,
    remedy: 'Move some to the other end of their days, or look at other ways.',
  };
}
