import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Seconds for a key of a good typist, and for pointing and pressing (Card, Moran and Newell, "The Keystroke-Level
 * Model for User Performance Time with Interactive Systems", 1980: K 0.20, P 1.10, B twice 0.10). From memory.
 */
const KEY = 0.2;
const PRESS = 1.3;

/** What an evening took: presses and typed lines, the keys of these, and seconds that the house itself took. */
export interface Evening {
  readonly acts: number;
  readonly presses: number;
  readonly keys: number;
  readonly waited: number;
}

/** Seconds of a person who knows the way: keys and presses by the model, and what the house took. */
export const secondsOf = ({ presses, keys, waited }: Evening): number => keys * KEY + presses * PRESS + waited;

/** Notes what an evening took, to be put into docs/first-evening.md by hand. */
export function saidEvening(name: string, evening: Evening): void {
  const folder = join('test-results', 'evenings');
  mkdirSync(folder, { recursive: true });
  const said = { name, ...evening, seconds: Math.round(secondsOf(evening)) };
  writeFileSync(join(folder, `${name.replace(/\W+/g, '-')}.json`), `${JSON.stringify(said)}\n`);
}
