import { useMemo } from 'react';
import type { Rect } from '../../../core/measure/rect';
import { pagesShown, useSpread } from '../store';

/** mm over the page, for the studs */
export const OVERHEAD = 11;

/** The pages that are shown, with the studs over them, mm of the drawing; and where each page begins in it. */
export function useWhole(): { readonly whole: Rect; readonly offsets: readonly number[] } {
  const book = useSpread((s) => s.context.book);
  const zoom = useSpread((s) => s.zoom);
  return useMemo(() => {
    const { pages } = book;
    const offsets = pages.map((_, i) => pages.slice(0, i).reduce((sum, p) => sum + p.width, 0));
    const shown = pagesShown(pages.length, zoom);
    const whole = {
      x: offsets[shown[0] ?? 0] ?? 0,
      y: -OVERHEAD,
      w: shown.reduce((sum, i) => sum + (pages[i]?.width ?? 0), 0),
      h: Math.max(...pages.map((p) => p.height)) + OVERHEAD,
    };
    return { whole, offsets };
  }, [book, zoom]);
}
