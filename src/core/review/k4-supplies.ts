import type { About, Finding, Rule, Said, View } from './finding';
import { stillToWhiteOut } from '../bench/what-is-done';
import type { WhiteOut } from '../bench/white-out';
import { tapeLength } from '../bench/white-out';

/** Tape runs unevenly: so much of what is in the house can be counted on. From memory. */
const SURE = 0.9;

/** K4: supplies too: correction tape by the meter. */
export const k4Supplies: Rule<Case> = {
  code: 'K4',
  title: 'Supplies last',
  say,
  check(view) {
    const meters = tapeLength(stillToDo(view)) / 1000;
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

/** What was whited out already took its tape. */
function stillToDo({ whiteOut, context: { ticked, book } }: View): readonly WhiteOut[] {
  return book.pages.flatMap((_, page) =>
    stillToWhiteOut(
      ticked,
      page,
      whiteOut.filter((w) => w.page === page),
    ),
  );
}

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
