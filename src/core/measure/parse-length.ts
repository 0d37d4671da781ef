import type { Unit } from './fraction';
import { fromInches, tidy } from './length';

const SHAPE = /^(-)?(?:(\d+(?:[.,]\d+)?)(?:[ -]+(\d+)\/(\d+))?|(\d+)\/(\d+))\s*(mm|cm|in|inch|inches|"|”)?$/i;

/**
 * A length as someone at a ruler types it: `38.1`, `38,1 mm`, `1 1/2 in`, `3/16"`, `4 cm`.
 * @param unit what a bare number means
 * @returns mm, or null where it is none
 * @example parseLength('1 1/2 in', 'mm') // 38.1
 */
export function parseLength(text: string, unit: Unit): number | null {
  const read = SHAPE.exec(text.trim());
  if (!read) return null;
  const [, minus, whole, top, under, top2, under2, said] = read;
  const fraction = top && under ? Number(top) / Number(under) : top2 && under2 ? Number(top2) / Number(under2) : 0;
  const number = (whole ? Number(whole.replace(',', '.')) : 0) + fraction;
  if (!Number.isFinite(number)) return null;
  const word = (said ?? unit).toLowerCase();
  const mm = word === 'mm' ? number : word === 'cm' ? number * 10 : fromInches(number);
  return tidy(minus ? -mm : mm);
}
