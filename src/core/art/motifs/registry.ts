import { own } from '../../measure/own';
import type { Motif } from './motif';
import * as nightAlmanac from './night-almanac';
import * as patterns from './patterns';
import * as rockpool from './rockpool';

/** What can be pictured, by the word a kit file uses. A new motif is one export in its kit's file. */
export const MOTIFS: Readonly<Record<string, Motif>> = { ...patterns, ...rockpool, ...nightAlmanac };

/** The motif of that name; leaves and dots for a name nobody has drawn. */
export const motifOf = (name: string): Motif => own(MOTIFS, name) ?? patterns.sprig;

/** True for patterns that fill a ground evenly, rather than picture something. */
export const isPattern = (name: string): boolean => Object.hasOwn(patterns, name);
