/** Orders of colors over the week (handbook 5, color habits). */
export const SEQUENCES = ['alternating', 'fanned', 'blocked', 'same'] as const;
export type Sequence = (typeof SEQUENCES)[number];
