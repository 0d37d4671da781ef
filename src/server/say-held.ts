import type { Objection } from '../core/kit/correction';
import { spokenName } from '../core/kit/kit';
import { counted } from '../core/spread/voice';
import type { KitObjection } from '../db/held';

const FIELDS = { kind: 'kind', width: 'width', height: 'height', rows: 'rows', shape: 'shape' } as const;
const MOST_SAID = 3;

const list = (weeks: readonly string[]): string =>
  weeks.length > MOST_SAID
    ? `${weeks.slice(0, MOST_SAID).join(', ')} and ${weeks.length - MOST_SAID} more`
    : weeks.join(', ');

/** Why a line or a kit stays as it is, and the way on. */
export function sayHeld(o: Objection | KitObjection): string {
  switch (o.is) {
    case 'lies on spreads':
      return `${o.code} stays: it lies on the spread of ${list(o.weeks)}. Take it off there first, or count it as used up.`;
    case 'measured so':
      return `${o.code} keeps its ${FIELDS[o.field]} (${o.was}, not ${o.told}): it lies on the spread of ${list(o.weeks)}, measured so. Take it off there first, or add a line of its own.`;
    case 'too few copies':
      return `${o.code} has at least ${counted(o.least, 'copy', 'copies')}, not ${o.count}: that many are used, spoiled or kept.`;
    case 'kit of weeks':
      return `${spokenName(o.kit)} stays: ${list(o.weeks)} ${o.weeks.length === 1 ? 'is' : 'are'} laid out with it. Retire it instead; it is then offered for no week.`;
  }
}
