import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, dayName, mm } from '../spread/voice';
import { bottom } from '../measure/rect';
import { isList } from '../spread/is-list';

/** So many labels closer than this make a heavy block. From memory. */
const MANY = 4;
const CLOSE = 1;

/** W2: stacked labels make a heavy block: break it. */
export const w2HeavyBlock: Rule<Case> = {
  code: 'W2',
  title: 'No heavy block of labels',
  say,
  check: (view) =>
    [0, 1, 2, 3, 4, 5, 6].flatMap((day) => {
      const down = view.placements
        .filter(
          (p) =>
            p.day === day && p.role === 'day' && p.layer === 0 && p.items.length > 0 && !isList(view.pieceOf(p), p),
        )
        .sort((a, b) => a.y - b.y);
      const blocks = down.reduce<(typeof down)[]>((all, p) => {
        const last = all.at(-1);
        const above = last?.at(-1);
        if (last && above && p.y - bottom(above) < CLOSE) last.push(p);
        else all.push([p]);
        return all;
      }, []);
      return blocks
        .filter((b) => b.length >= MANY)
        .map((b): Found => {
          const [first, end] = [b[0] as (typeof b)[number], b.at(-1) as (typeof b)[number]];
          return {
            rule: 'W2',
            severity: 'look',
            ...at(first),
            placements: b.map((p) => p.id),
            about: { is: 'block', days: [day], mm: bottom(end) - first.y, count: b.length },
          };
        });
    }),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly days: readonly [number];
  readonly mm: number;
  readonly count: number;
}

function say({ about }: Found, voice: Voice): Said {
  return {
    message: `${counted(about.count, 'label')} in a block of ${mm(voice, about.mm)} make ${dayName(voice, about.days[0])} heavy.`,
    remedy: 'Open a gap in it, or space the littles.',
  };
}
