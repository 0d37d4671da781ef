import { tapeLength } from '../bench/strokes';
import { reeled } from '../measure/fraction';
import type { Voice } from '../spread/voice';
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

function say({ about: { meters, house } }: Found, { unit }: Voice): Said {
  return {
    message: `The white-out takes ${reeled(meters * 1000, unit)} of correction tape, and you have ${reeled(house * 1000, unit)}.`,
    remedy: 'Get another roll, or cover more with opaque paper.',
  };
}
