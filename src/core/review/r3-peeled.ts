import { own } from '../measure/own';
import { at } from './where';
import type { Finish } from '../kit/kinds';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, pieceName, sentence } from '../spread/voice';
import { copyKey } from '../kit/ledger';
import { eachPlacement } from './each-placement';

/** Removable paper may be lifted so many times before its glue is spent. From memory. */
const LIFTS = 1;

/**
 * R3: every peel weakens the glue and may tear the paper's face; a piece peeled twice may need to be replaced, a torn
 * spot covered.
 */
export const r3Peeled: Rule<Case> = {
  code: 'R3',
  title: 'What was peeled holds still',
  say,
  check: eachPlacement((view, p): Found[] => {
    const times = own(view.context.peeled, copyKey(p)) ?? 0;
    const piece = view.pieceOf(p);
    if (!times || !piece) return [];
    const removable = piece.finish === 'matte-removable';
    if (removable && times <= LIFTS) return [];
    return [
      {
        rule: 'R3',
        severity: removable ? 'look' : 'fix',
        ...at(p),
        placements: [p.id],
        about: { is: removable ? 'glue' : 'torn', finish: piece.finish, times },
      },
    ];
  }),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly is: 'glue' | 'torn';
  readonly finish: Finish;
  readonly times: number;
}

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  const piece = sentence(pieceName(voice, id));
  const peeled = `was peeled ${counted(about.times, 'time')}`;
  return {
    message:
      about.is === 'glue'
        ? `${piece} ${peeled}; its glue may not hold any more.`
        : `${piece} is ${about.finish} and ${peeled}: it or the page under it may be torn.`,
    remedy: 'Take another copy; cover the spot where the page is torn.',
  };
}
