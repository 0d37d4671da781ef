import type { Kit } from '../kit/kit';
import { calledName } from '../kit/kit';
import type { Rect } from '../measure/rect';
import type { Facts, Sticker } from './correct';

/** What a design of a known kit is, by which one of its size is guessed. Lengths in mm. */
export interface KnownDesign extends Pick<Rect, 'w' | 'h'>, Required<Pick<Facts, 'kind' | 'words' | 'icon' | 'rows'>> {
  /** the kit that has it, as it is called */
  readonly kit: string;
}

/** What a sticker may be, and by what it is guessed: a kit's name; null: another one of this scan. */
export interface Offer {
  readonly facts: Required<Pick<Facts, 'kind' | 'words' | 'icon' | 'rows'>>;
  readonly of: string | null;
}

/** Sizes that differ by no more are taken for one, mm. From memory; a knife and a scan are off by half of it each. */
const SAME_SIZE = 0.8;
/** As many as have a key of their own. */
const MOST_OFFERS = 3;
/** Known designs that are looked through; a house of many kits has the same few sizes over and over. */
const MOST_KNOWN = 600;

const areOfOneSize = (a: Pick<Rect, 'w' | 'h'>, b: Pick<Rect, 'w' | 'h'>): boolean =>
  Math.abs(a.w - b.w) <= SAME_SIZE && Math.abs(a.h - b.h) <= SAME_SIZE;

const keyOf = ({ kind, words, icon, rows }: Offer['facts']): string => JSON.stringify([kind, words, icon, rows]);

/** What the kits of a house have, each kind, size and word once, the most frequent first. */
export function knownDesigns(kits: readonly Kit[]): KnownDesign[] {
  const seen = new Map<string, { design: KnownDesign; times: number }>();
  for (const kit of kits)
    for (const { width, height, kind, words, icon, rows } of kit.pieces) {
      const design = { w: width, h: height, kind, words, icon, rows, kit: calledName(kit) };
      const key = `${Math.round(width)} ${Math.round(height)} ${keyOf(design)}`;
      const before = seen.get(key);
      seen.set(key, { design: before?.design ?? design, times: (before?.times ?? 0) + 1 });
    }
  return [...seen.values()]
    .sort((a, b) => b.times - a.times)
    .slice(0, MOST_KNOWN)
    .map((s) => s.design);
}

/**
 * What a sticker may be, other than what it is taken for: what is said of others of its size in this scan, the nearest
 * first, then what known kits have in its size.
 */
export function offersFor(one: Sticker, scan: readonly Sticker[], known: readonly KnownDesign[]): Offer[] {
  const away = (s: Sticker): number => Math.hypot(s.x + s.w / 2 - one.x - one.w / 2, s.y + s.h / 2 - one.y - one.h / 2);
  const beside = scan
    .filter((s) => s.id !== one.id && areOfOneSize(s, one) && !s.doubts.includes('kind'))
    .sort((a, b) => away(a) - away(b))
    // words are each sticker's own: only its kind is like its neighbors'
    .map(({ kind, rows }): Offer => ({ facts: { kind, rows, words: one.words, icon: one.icon }, of: null }));
  const inKits = known
    .filter((k) => areOfOneSize(k, one))
    .map(({ kind, words, icon, rows, kit }): Offer => ({ facts: { kind, words, icon, rows }, of: kit }));
  const taken = new Set([keyOf(one)]);
  const others = [...beside, ...inKits].filter(({ facts }) => {
    const key = keyOf(facts);
    return taken.has(key) ? false : taken.add(key);
  });
  return others.slice(0, MOST_OFFERS);
}

/** The stickers of a sheet that are as large as one of them, itself among them. */
export const ofSizeOf = (all: readonly Sticker[], id: number): number[] => {
  const one = all.find((s) => s.id === id);
  return one ? all.filter((s) => areOfOneSize(s, one)).map((s) => s.id) : [];
};
