import type { Piece } from '../../kit/kit';
import { handAt, textFits } from '../../measure/hand';
import type { Rect } from '../../measure/rect';
import { FOREIGN, piecesOf, strangeness } from '../../spread/choose';
import type { Fitted } from '../../spread/fit-text';
import { baseOf, writingRoom } from '../../spread/writing';
import type { Demand } from '../../week/demand';
import { oncePerGround } from '../ladder/once';
import type { Ground } from '../ladder/rung';
import { besideScript } from './beside-script';
import type { Form } from './forms';
import { iconRank, scriptRank, showsOn } from './reserved';

/** What a picture and a word on it are worth to a base: it is found at a glance, and is prettier. From memory. */
const WORTH = { icon: 1, script: 0.8 };
/** Bases that bear a picture of their own, or are too small for one. */
const PLAIN: readonly Form['kind'][] = ['little', 'check-flag', 'deco', 'circle', 'teardrop'];

/**
 * What an icon and a script of the kit would add to a form that carries an item: base, icon and script are chosen
 * together, as one dressing.
 */
export function dressingWorth(demand: Demand, form: Form, fitted: Fitted, ground: Ground): number {
  if (PLAIN.includes(form.kind) || form.turn || form.w < 24 || form.designs[0]?.words !== '') return 0;
  const { icon, script } = picturesFor(demand, ground);
  const on = (rect: Rect, text: string | null = fitted.text): boolean => {
    const room = writingRoom({ ...baseOf(form.designs[0] as Piece, form), kind: form.kind, turn: 0 }, [rect]);
    return text === null || textFits(text, room.w, room.h, handAt(ground.context.options.hand, fitted.size));
  };
  const withIcon =
    icon !== null &&
    icon.height <= form.h &&
    icon.width <= form.w / 2 &&
    on({ x: 1.2, y: (form.h - icon.height) / 2, w: icon.width, h: icon.height });
  const withScript =
    script !== null &&
    showsOn(script, form.designs[0]) &&
    script.height < form.h - 1 &&
    script.width <= form.w - 2 &&
    on({ x: 1, y: 0.6, w: script.width, h: script.height }, besideScript(demand, script.words));
  return (withIcon ? WORTH.icon : 0) + (withScript ? WORTH.script : 0);
}

interface Pictures {
  readonly icon: Piece | null;
  readonly script: Piece | null;
}

const lookedUp = oncePerGround(() => new Map<string, Pictures>());

/** The icon and the script that say best what an item is about, where one is left; looked for once. */
function picturesFor(demand: Demand, ground: Ground): Pictures {
  const byDemand = lookedUp(ground);
  const found = byDemand.get(demand.key) ?? {
    icon: bestOf(ground, 'icon', (p) => iconRank(demand, p)),
    script: bestOf(ground, 'script', (p) => scriptRank(demand, p)),
  };
  byDemand.set(demand.key, found);
  return found;
}

function bestOf(
  { draft, context }: Ground,
  kind: 'icon' | 'script',
  rankOf: (p: Piece) => number | null,
): Piece | null {
  let best: { piece: Piece; rank: number } | null = null;
  for (const piece of piecesOf(context, kind)) {
    const rank = rankOf(piece);
    if (rank === null || draft.ledger.untouched(piece) === 0 || strangeness(piece, context) > FOREIGN) continue;
    if (!best || rank < best.rank) best = { piece, rank };
  }
  return best?.piece ?? null;
}
