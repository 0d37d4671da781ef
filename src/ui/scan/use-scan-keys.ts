import { useHotkeys } from 'react-hotkeys-hook';
import { confirm, join, remove, sameAs, tell } from '../../core/scan/correct';
import type { Kind } from '../../core/kit/kinds';
import type { Scan } from './SheetList';
import { USUAL_KINDS } from './usual-kinds';

/** What the keyboard does while stickers are looked over (`ui/keys` tells of it). */
export function useScanKeys(scan: Scan): void {
  const { getState } = scan;
  const chosen = () => getState().selected;
  const { correct, select } = getState();
  useHotkeys('delete, backspace', () => chosen().length && correct((all) => remove(all, chosen())));
  useHotkeys('1,2,3,4,5,6,7,8,9', (e) => {
    const kind = USUAL_KINDS[Number(e.key) - 1] as Kind;
    if (chosen().length) correct((all) => tell(all, chosen(), { kind }));
  });
  useHotkeys('s', () => chosen().length > 1 && correct((all) => sameAs(all, chosen())));
  useHotkeys('j', () => chosen().length > 1 && correct((all) => join(all, chosen())));
  useHotkeys('r', () => chosen().length && correct((all) => confirm(all, chosen())));
  useHotkeys('escape', () => select([]));
  useHotkeys('n, p', (e) => {
    const { sheets, current } = getState();
    const stickers = sheets.find((s) => s.id === current)?.stickers ?? [];
    if (!stickers.length) return;
    const at = stickers.findIndex((s) => s.id === chosen()[0]);
    const to = (at + (e.key === 'n' ? 1 : -1) + stickers.length) % stickers.length;
    select([stickers[Math.max(0, to)]?.id ?? 0]);
  });
}
