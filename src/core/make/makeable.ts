import type { Kind } from '../kit/kinds';

/** What can be drawn blank by this project, to be printed and cut at home (handbook K2). */
export const MAKEABLE = [
  'header',
  'checklist',
  'habit-tracker',
  'week-tracker',
  'date-dot',
  'date-cover',
  'label',
  'quarter-box',
  'third-box',
  'half-box',
  'flag',
  'check-flag',
  'banner',
  'bottom-washi',
  'washi',
] as const satisfies readonly Kind[];
export type Makeable = (typeof MAKEABLE)[number];

export const isMakeable = (kind: Kind): kind is Makeable => (MAKEABLE as readonly Kind[]).includes(kind);

/** A line of stickers to make. Sizes in mm. */
export interface MadeLine {
  readonly kind: Makeable;
  readonly count: number;
  readonly width: number;
  readonly height: number;
  readonly color: string;
  readonly accent: string;
  readonly motif: string;
  readonly words: string;
  readonly rows: number;
}
