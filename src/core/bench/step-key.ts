import type { Cut } from './cuts';
import { copyKey } from '../kit/ledger';
import type { WhiteOut } from './white-out';
import { tapeLength } from './white-out';

/**
 * Names of steps that stay the same while others come and go, in other words and other units, so that a tick stays
 * with its step. White-out is named by its page and how much it is: more of it is another step. A cut is named by its
 * sticker and the parts it makes; all else by the placements it is about.
 */
export const whiteOutKey = (page: number, ofPage: readonly WhiteOut[]): string =>
  `white-out:${page}:${ofPage.length}:${Math.round(tapeLength(ofPage))}`;

export const cutKey = (cut: Cut): string =>
  `cut:${copyKey(cut)}:${cut.pieces.map((r) => [r.x, r.y, r.w, r.h].map((n) => Math.round(n * 10)).join(',')).join(';')}`;

export const pieceKeyOf = (work: 'stack' | 'place' | 'write', refs: readonly string[]): string =>
  `${work}:${refs.join(',')}`;

/** The ids of the pieces that a step sticks down; none for all other steps. */
export function piecesOfStep(key: string): string[] {
  const [work, refs] = [key.slice(0, key.indexOf(':')), key.slice(key.indexOf(':') + 1)];
  return work === 'place' || work === 'stack' ? refs.split(',') : [];
}

/** Meters of tape that a step of white-out takes; 0 for all others. */
export function tapeOfStep(key: string): number {
  const [work, , , mm] = key.split(':');
  return work === 'white-out' ? Number(mm) / 1000 || 0 : 0;
}

/** What is done at a step. */
export const WORKS = ['white-out', 'cut', 'stack', 'place', 'write'] as const;

/** What is done at a step, and how many of what its pace is told by that is. */
export function workOfStep(key: string): { readonly do: (typeof WORKS)[number]; readonly size: number } | null {
  const [name = '', ...rest] = key.split(':');
  const work = WORKS.find((w) => w === name);
  if (!work) return null;
  if (work === 'white-out') return { do: work, size: Number(rest[1]) || 1 };
  return { do: work, size: work === 'write' ? rest.join(':').split(',').length : 1 };
}
