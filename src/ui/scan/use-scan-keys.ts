import { useHotkeys } from 'react-hotkeys-hook';
import type { KnownDesign } from '../../core/scan/offers';
import { ofSizeOf, offersFor } from '../../core/scan/offers';
import { add, confirm, join, nudge, remove, sameAs, tell } from '../../core/scan/correct';
import type { Kind } from '../../core/kit/kinds';
import type { Scan } from './SheetList';
import { USUAL_KINDS } from './usual-kinds';

/** mm a key moves an edge */
const STEP = 0.2;
/** A sticker that is added by a key, mm; its place and its edges are moved then. */
const DRAWN = { w: 20, h: 12 };
const ARROWS = 'left, right, up, down, shift+left, shift+right, shift+up, shift+down';
const WAYS = new Map<string, readonly [number, number]>([
  ['ArrowLeft', [-1, 0]],
  ['ArrowRight', [1, 0]],
  ['ArrowUp', [0, -1]],
  ['ArrowDown', [0, 1]],
]);

/** The keys that take the first, the second and the third guess. */
export const OFFER_KEYS = ['q', 'w', 'e'] as const;

/** What the keyboard does while stickers are looked over (`ui/keys` tells of it). */
export function useScanKeys(scan: Scan, known: readonly KnownDesign[]): void {
  const { getState } = scan;
  const chosen = () => getState().selected;
  const { correct, select } = getState();
  useHotkeys('delete, backspace', () => chosen().length && correct((all) => remove(all, chosen())));
  useHotkeys('1,2,3,4,5,6,7,8,9', (e) => {
    const kind = USUAL_KINDS[Number(e.key) - 1] as Kind;
    if (chosen().length) correct((all) => tell(all, chosen(), { kind }));
  });
  useHotkeys(OFFER_KEYS.join(','), (e) => {
    const { sheets, current, selected } = getState();
    const here = sheets.find((s) => s.id === current)?.stickers ?? [];
    const first = here.find((s) => selected.includes(s.id));
    const offer = first && offersFor(first, here, known)[OFFER_KEYS.findIndex((key) => key === e.key)];
    if (offer) correct((all) => tell(all, selected, offer.facts));
  });
  useHotkeys('m', () => {
    const { sheets, current, selected } = getState();
    const [id] = selected;
    if (id !== undefined) select(ofSizeOf(sheets.find((s) => s.id === current)?.stickers ?? [], id));
  });
  useHotkeys('s', () => chosen().length > 1 && correct((all) => sameAs(all, chosen())));
  useHotkeys('j', () => chosen().length > 1 && correct((all) => join(all, chosen())));
  useHotkeys('r', () => chosen().length && correct((all) => confirm(all, chosen())));
  useHotkeys(ARROWS, (e) => {
    const [id, ...others] = chosen();
    const way = WAYS.get(e.key);
    if (id === undefined || others.length || !way) return;
    e.preventDefault();
    correct((all) => nudge(all, id, way[0] * STEP, way[1] * STEP, e.shiftKey));
  });
  useHotkeys('a', () => {
    const { sheets, current } = getState();
    const sheet = sheets.find((s) => s.id === current);
    if (!sheet) return;
    const { w, h } = DRAWN;
    const id = Math.max(0, ...sheet.stickers.map((s) => s.id)) + 1;
    correct((all) => add(all, { x: (sheet.width - w) / 2, y: (sheet.height - h) / 2, w, h }));
    select([id]);
  });
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
