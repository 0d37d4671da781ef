import { own } from '../measure/own';
import { airy } from './airy';
import { crowned } from './crowned';
import { grounded } from './grounded';
import type { Manner } from './manner';
import { scattered } from './scattered';
import { threeRows } from './three-rows';

/** The schools that ship, by the name the headless command takes. One line a school. */
export const MANNERS: Readonly<Record<string, Manner>> = {
  scattered,
  'three-rows': threeRows,
  grounded,
  airy,
  crowned,
};

/** A school by its name; undefined for any other word. */
export const mannerNamed = (name: string): Manner | undefined => own(MANNERS, name);

export type { Manner };
