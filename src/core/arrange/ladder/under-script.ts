import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import { handAt, textFits } from '../../measure/hand';
import { TOLERANCE } from '../../measure/length';
import { alignX } from '../../spread/align';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import { sizesDownTo } from '../../spread/fit-text';
import { PAPER, inkFor } from '../../spread/ink';
import { paperHeight, paperRoom } from '../../spread/writing';
import { writtenText } from '../../week/demand';
import { besideScript } from '../days/beside-script';
import { scriptRank, showsOn } from '../days/reserved';
import { oncePerGround } from './once';
import type { Rung } from './rung';
import { singleOf } from './single';

/** mm between a script and the words under it: its letters have tails. From memory. */
const APART = 0.4;
/** What it costs beside a base. From memory. */
const COST = 4;
/** What each line under it costs: the script is to be what one sees. From memory. */
const LINE = 0.4;

/** A script on the bare paper, with the rest of its item written under it (handbook K7). */
export const underScript: Rung = {
  name: 'under a script',
  onPaper: true,
  says: 'A script, with the rest written under it on the paper.',
  supply: (ground) => new Map(scriptsOf(ground).map((p) => [keyOf(p), ground.draft.ledger.untouched(p)])),
  choices: (block, ground) => {
    const { context, width } = ground;
    const demand = singleOf(block);
    if (!context.options.onPaper || !demand) return [];
    const script = byCost(scriptsOf(ground), (p) => {
      const rank = scriptRank(demand, p);
      return rank === null || p.width > width + TOLERANCE ? Infinity : rank * 5 + strangeness(p, context);
    })[0];
    if (!script) return [];
    const whole = writtenText(demand);
    const rest = besideScript(demand, script.words);
    // a time alone under a word would have to be read twice
    if (demand.start !== null && rest !== null && besideScript({ ...demand, start: null }, script.words) === null)
      return [];
    return sizesDownTo(context.options.smallest).flatMap((size) => {
      const hand = handAt(context.options.hand, size);
      const fits = (text: string): boolean => textFits(text, paperRoom({ w: width, h: 0 }).w, 1000, hand);
      const lines = rest === null ? 0 : paperHeight([rest], width, hand);
      const height = script.height + (rest === null ? 0 : APART + lines);
      // where the script is gone when its turn comes, all of it is written in the same place
      if (!fits(whole) || paperHeight([whole], width, hand) > height + TOLERANCE) return [];
      if (rest === null && size < 1) return [];
      return [
        {
          rung: 'under a script',
          height,
          cost: COST + (lines / hand.linePitch) * LINE + (1 - size) * 5 + strangeness(script, context) / 6,
          uses: { key: keyOf(script), amount: 1 },
          lay: (draft, { page, day, column, y }, reserved) => {
            const taken = reserved.mayTake(draft, demand, script) ? draft.ledger.take(script) : null;
            const at = { page, day, role: 'day' as const };
            const text = taken ? rest : whole;
            const h = text === null ? 0 : paperHeight([text], width, hand);
            if (taken)
              draft.add(script, taken, {
                ...at,
                x: alignX(context, column, script.width),
                y,
                items: text === null ? [demand.uid] : [],
              });
            if (text !== null)
              draft.write({
                ...at,
                x: column.x,
                y: taken ? y + height - h : y + (height - h) / 2,
                w: width,
                h,
                items: [demand.uid],
                text,
                size,
                ink: inkFor(PAPER),
              });
            return true;
          },
        },
      ];
    });
  },
};

const keyOf = (p: Piece): string => `script ${pieceKey(p)}`;

const scriptsOf = oncePerGround(({ draft, context }) =>
  piecesOf(context, 'script').filter(
    (p) => showsOn(p, PAPER) && draft.ledger.untouched(p) > 0 && strangeness(p, context) <= FOREIGN,
  ),
);
