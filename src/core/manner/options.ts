import type { Hand } from '../measure/hand';

export const SECTIONS = ['quote', 'habits', 'dinners', 'hours', 'spending', 'parcels', 'posts', 'next-week'] as const;
export type Section = (typeof SECTIONS)[number];

/** All that can be set for a spread (formats.md, Options). Lengths in mm, shares 0-1. */
export interface Options {
  readonly bottomWashi: 'one' | 'two' | 'none';
  readonly dateCovers: boolean;
  readonly monthFlags: boolean;
  readonly weekendBanner: boolean;
  readonly headers: 'alternating' | 'fanned' | 'blocked' | 'same' | 'none';
  readonly foils: readonly string[];
  readonly whiteSpace: number;
  readonly gap: number;
  readonly kitOnly: boolean;
  readonly writeOnBoxes: boolean;
  readonly littles: 'stacked' | 'spaced';
  readonly sidebar: readonly Section[];
  readonly hand: Hand;
  readonly tapeMeters: number;
  readonly ahead: 'all' | 'work' | 'skeleton';
}
