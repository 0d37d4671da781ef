import type { Zoom } from './state';

/** The pages that are seen: all of them, or the left or right one of two; of four the first or the last two. */
export function pagesShown(pages: number, zoom: Zoom): number[] {
  const all = Array.from({ length: pages }, (_, i) => i);
  if (zoom === 'both') return all;
  const half = Math.max(1, Math.floor(pages / 2));
  return all.slice(zoom * half, zoom * half + half);
}
