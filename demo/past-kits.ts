import { converter, formatHex } from 'culori';
import type { Kit, Piece } from '../src/core/kit/kit';

/** A kit that was used up long ago: the sheets of one that ships, in other colors. */
export interface PastKit {
  readonly name: string;
  readonly price: number;
  readonly moods: string;
  /** degrees that its hues are turned by */
  readonly turn: number;
  /** its colors are that much stronger */
  readonly strength: number;
}

export const PAST_KITS: readonly PastKit[] = [
  { name: 'kelp-lantern', price: 16.9, moods: 'allotment, kelp, lanterns', turn: -55, strength: 0.9 },
  { name: 'fog-bell', price: 12.4, moods: 'fog, harbor, gray mornings', turn: 30, strength: 0.35 },
  { name: 'choir-stalls', price: 19.5, moods: 'choir, plum, candles', turn: 130, strength: 0.95 },
  { name: 'marigold-quay', price: 15.2, moods: 'late summer, quay, marigolds', turn: -120, strength: 1.15 },
];

/** So many copies of the kit were bought: each was used in several weeks. */
const BOUGHT = 3;

const oklch = converter('oklch');

function recolored(color: string, { turn, strength }: PastKit): string {
  const { l, c = 0, h = 0 } = oklch(color) ?? { l: 0.8 };
  return formatHex({ mode: 'oklch', l, c: Math.min(0.16, c * strength), h: (h + turn + 360) % 360 }) ?? color;
}

/** The sheets of a kit in the colors of a past one, as often as it was bought. */
export const pastKit = (like: Kit, past: PastKit): Kit => ({
  name: past.name,
  pieces: like.pieces.map((p): Piece => ({
    ...p,
    kit: past.name,
    count: p.count * BOUGHT,
    color: recolored(p.color, past),
    accent: recolored(p.accent, past),
  })),
});
