import { tapeLength } from '../bench/strokes';
import type { About, Finding, Rule, Said } from './finding';

/** Tape runs unevenly: so much of what is in the house can be counted on. From memory. */
const SURE = 0.9;

/** K4: supplies too: correction tape by the meter. */
export const k4Supplies: Rule<Case> = {
  code: 'K4',
  title: 'Supplies last',
  say,
  check(view) {
    const meters = view.toWhiteOut.reduce((mm, { strokes }) => mm + tapeLength(strokes), 0) / 1000;
    const house = view.context.options.tapeMeters;
    const first = view.whiteOut[0];
    if (!first || meters <= house * SURE) return [];
    return [
      {
        rule: 'K4',
        severity: meters > house ? 'fix' : 'look',
        page: first.page,
        x: first.x,
        y: first.y,
        placements: [],
        about: { is: 'tape', mm: meters * 1000, meters, house },
      },
    ];
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly meters: number;
  readonly house: number;
}

function say({ about: { meters, house } }: Found): Said {
  return {
    message: `The white-out takes ${meters.toFixed(1)} m of correction tape, and ${house.toFixed(1)} m ${house === 1 ? 'is' : 'are'} in the house.`,
    remedy: 'Get another roll, or cover more with opaque paper.',
  };
}
