import { regionOf, tapeLength } from '../bench/white-out';
import type { WhiteOut } from '../bench/white-out';
import type { Finding, Rule } from './finding';
import { dayName, mm } from './say';

/** B1: white out before covering; whatever is translucent or leaves part of a mark bare needs it first. */
export const b1WhiteOut: Rule = {
  code: 'B1',
  title: 'White out before covering',
  check(view) {
    const groups = new Map<string, WhiteOut[]>();
    for (const w of view.whiteOut) {
      const region = regionOf(view.context.book, { ...w, kind: 'line' });
      const key = region?.day !== undefined && region.kind === 'day' ? dayName(view, region.day) : NAMES[region?.kind ?? 'free'] ?? 'The page';
      groups.set(`${w.page}|${key}`, [...(groups.get(`${w.page}|${key}`) ?? []), w]);
    }
    const found = [...groups].map(([key, list]): Finding => {
      const first = list[0] as WhiteOut;
      const length = tapeLength(list);
      return {
        rule: 'B1', severity: 'look', page: first.page, x: first.x, y: first.y, placements: [],
        message: `${key.split('|')[1]}: ${mm(view, length)} of printed marks would show, in ${list.length} ${list.length === 1 ? 'place' : 'places'}.`,
        remedy: 'White them out before anything is laid down; the bench list says where.',
      };
    });
    const total = tapeLength(view.whiteOut) / 1000;
    const house = view.context.options.tapeMeters;
    if (total <= house) return found;
    const first = view.whiteOut[0] as WhiteOut;
    return [...found, {
      rule: 'B1', severity: 'fix', page: first.page, x: first.x, y: first.y, placements: [],
      message: `The white-out takes ${total.toFixed(1)} m of correction tape and ${house.toFixed(1)} m are in the house.`,
      remedy: 'Cover more of the printed marks with opaque pieces, or buy tape before you begin.',
    }];
  },
};

const NAMES: Readonly<Record<string, string>> = {
  'date-header': 'Date headers', sidebar: 'The sidebar', 'bottom-strip': 'The bottom strip', 'top-strip': 'The top strip', 'month-flag': 'Month flags', free: 'The page',
};
