import type { Cut } from './cuts';
import { copyKey } from '../kit/ledger';
import type { Rect } from '../measure/rect';
import type { WhiteOut } from './white-out';
import type { Stroke } from './strokes';
import { tapeLength } from './strokes';

/**
 * Names of steps that stay the same while others come and go, in other words and other units, so that a tick stays
 * with its step. White-out is named by its page, how much it is, and where: what was done is known for good. A cut is
 * named by its sticker and the parts it makes; all else by the placements it is about.
 */
export const whiteOutKey = (page: number, ofPage: readonly WhiteOut[], strokes: readonly Stroke[]): string =>
  `white-out:${page}:${strokes.length}:${Math.round(tapeLength(strokes))}:${ofPage.map(tenths).join(';')}`;

const tenths = ({ x, y, w, h }: Rect): string => [x, y, w, h].map((n) => Math.round(n * 10)).join(',');

/** The areas of a page that a step of white-out covered, mm; none for all others. */
export function whitedOutBy(key: string, page: number): Rect[] {
  const [work, of, , , areas] = key.split(':');
  if (work !== 'white-out' || Number(of) !== page || !areas) return [];
  return areas.split(';').map((area) => {
    const [x = 0, y = 0, w = 0, h = 0] = area.split(',').map((n) => Number(n) / 10);
    return { x, y, w, h };
  });
}

export const cutKey = (cut: Cut): string => `cut:${copyKey(cut)}:${cut.pieces.map(tenths).join(';')}`;

/** The parts of a sticker that a cut made, as the key names them; none where it is another sticker's. */
export function partsOfCut(key: string, of: Pick<Cut, 'kit' | 'code' | 'copy'>): string[] {
  const begins = `cut:${copyKey(of)}:`;
  return key.startsWith(begins) ? key.slice(begins.length).split(';') : [];
}

export const pieceKeyOf = (work: 'stack' | 'place' | 'write', refs: readonly string[]): string =>
  `${work}:${refs.join(',')}`;

/** What a step that lays, or one that writes, is about. */
export function idsOfStep(key: string, what: 'lay' | 'write'): string[] {
  const [work, refs] = [key.slice(0, key.indexOf(':')), key.slice(key.indexOf(':') + 1)];
  return (what === 'lay' ? ['place', 'stack'] : ['write']).includes(work) ? refs.split(',') : [];
}

/** The ids of the pieces that a step sticks down; none for all other steps. */
export const piecesOfStep = (key: string): string[] => idsOfStep(key, 'lay');

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
