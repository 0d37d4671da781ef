import type { About, Finding, Rule, Said } from './finding';
import { weightOf } from './balance';

/** The lighter page may be lighter by this share. From memory. */
const UNEVEN = 0.3;

/** W3: left and right page weigh about the same. */
export const w3PageWeight: Rule<Case> = {
  code: 'W3',
  title: 'Both pages weigh about the same',
  say,
  check(view) {
    const [left, right] = [weightOf(view, 'left'), weightOf(view, 'right')];
    const share = Math.abs(left - right) / Math.max(left, right, 1);
    if (view.placements.length < 10 || share <= UNEVEN) return [];
    const heavy = left > right ? 'left' : 'right';
    const page = heavy === 'left' ? 0 : view.context.book.pages.length - 1;
    const spot = view.context.book.regions.find((r) => r.page === page);
    return [
      {
        rule: 'W3',
        severity: 'look',
        page,
        x: spot?.x ?? 0,
        y: spot?.y ?? 0,
        placements: [],
        about: { is: 'heavier', side: heavy, share },
      },
    ];
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly side: 'left' | 'right';
  /** 0-1 */
  readonly share: number;
}

function say({ about: { side, share } }: Found): Said {
  return {
    message: `The ${side} page is the heavier one by ${Math.round(share * 100)} %, by covered area and boldness.`,
    remedy: `Swap a bold box to the ${side === 'left' ? 'right' : 'left'} page.`,
  };
}
