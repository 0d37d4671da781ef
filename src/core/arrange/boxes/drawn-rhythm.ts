import { boldness } from '../../color/boldness';
import type { Piece } from '../../kit/kit';
import type { Height } from '../../manner/rhythm';
import { RHYTHMS, STANDS } from '../../manner/rhythm';
import type { TurnName } from '../../manner/turns';
import { TURN_NAMES, besideEachOther, suits, turnOf } from '../../manner/turns';
import type { Context } from '../../spread/placement';
import type { WeekRhythm } from '../../spread/week-rhythm';
import { areAlike, areInLine } from '../../spread/week-rhythm';
import { whim } from '../../spread/whim';
import type { Assignment } from '../exact/box-assignment';

/** How far a seed leans between rhythms: less than a box is worth, more than which scene stands high. From memory. */
const DRAWN = 18;
/** What it costs to stand as last week: more than a box is worth, so never where there is another. From memory. */
const AGAIN = 60;
/** What a box far off all others costs on a day that is not its turn. More than a seed leans to a box. From memory. */
const OUT_OF_TURN = 14;

/** What it costs to have a box on a day, beside all others. */
export type OutOfTurn = (box: number, day: number) => number;

export interface Rhythmic extends Assignment {
  readonly rhythm: readonly Height[];
}

/**
 * The rhythm that the seed draws of those the school has, another than the last weeks had (handbook W4, E4): how high
 * boxes stand or, where they stand in a line, how bold and pale ones take turns.
 * @param solve the best boxes for a rhythm
 */
export function drawnRhythm(
  context: Context,
  boxes: readonly Piece[],
  solve: (rhythm: readonly Height[], outOfTurn: OutOfTurn) => Assignment,
): Rhythmic {
  const bold = boxes.map((p) => boldness(p.color));
  const beside = besideEachOther(bold);
  const drawn = STANDS[context.ways.stand].flatMap((name) => {
    const rhythm: readonly Height[] = RHYTHMS[name];
    const turns: readonly (TurnName | null)[] = beside && areInLine(rhythm) ? TURN_NAMES : [null];
    return turns.map((turn) => {
      const outOfTurn: OutOfTurn = (box, day) => (turn ? -suits(beside?.[box] ?? 0, turn, day) * OUT_OF_TURN : 0);
      const of = solve(rhythm, outOfTurn);
      // which turn it is does not decide by how well it goes: the seed does
      const turned = of.boxes.reduce<number>((sum, box, day) => sum + (box === null ? 0 : outOfTurn(box, day)), 0);
      const again = againCost(context, {
        heights: of.boxes.map((box, day) => (box === null ? null : (rhythm[day] as Height))),
        turn: turnOf(of.boxes.map((box) => (box === null ? null : (bold[box] as number)))),
      });
      return { ...of, rhythm, weight: of.cost - turned + whim(context, turn ?? name) * DRAWN + again };
    });
  });
  return drawn.reduce((a, b) => (b.weight < a.weight ? b : a));
}

/** Each week another: last week's least of all, and those before it less and less. */
function againCost({ boxesBefore }: Context, rhythm: WeekRhythm): number {
  const weeksAgo = boxesBefore.findIndex((before) => areAlike(before, rhythm));
  return weeksAgo < 0 ? 0 : AGAIN / (weeksAgo + 1);
}
