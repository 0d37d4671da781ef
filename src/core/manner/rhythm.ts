/** How high a full box stands in its day: right under the header, or on the floor of the column. */
export type Height = 'high' | 'low';

/** Patterns of box heights over the seven days that have a name (handbook W4). One line a rhythm. */
export const RHYTHMS = {
  'up and down': heights('LHLHLHL'),
  'down and up': heights('HLHLHLH'),
  'like a hill': heights('LLHHHLL'),
  'like a valley': heights('HHLLLHH'),
  'in a row at the top': heights('HHHHHHH'),
  'in a row on the floor': heights('LLLLLLL'),
  'in pairs from the floor': heights('LLHHLLH'),
  'in pairs from the top': heights('HHLLHHL'),
  'one peak': heights('LLLHLLL'),
  'one dip': heights('HHHLHHH'),
  'like a roof': heights('LHHHHHL'),
  'like a bowl': heights('HLLLLLH'),
  'two hills': heights('LHHLHHL'),
  'two bowls': heights('HLLHLLH'),
} as const satisfies Record<string, readonly Height[]>;

export type RhythmName = keyof typeof RHYTHMS;

/** The rhythms a way of standing allows; the seed draws one of them. In a line there is nothing to draw. */
export const STANDS = {
  'up-and-down': [
    'up and down',
    'down and up',
    'in pairs from the floor',
    'in pairs from the top',
    'two hills',
    'two bowls',
  ],
  hill: ['like a hill', 'like a valley', 'one peak', 'one dip', 'like a roof', 'like a bowl'],
  top: ['in a row at the top'],
  floor: ['in a row on the floor'],
} as const satisfies Record<string, readonly RhythmName[]>;

export type Stand = keyof typeof STANDS;
export const STAND_NAMES = Object.keys(STANDS) as Stand[];

/** The name of the rhythm that these heights follow; null for a day means no box there, which fits any. */
export function rhythmOf(days: readonly (Height | null)[]): RhythmName | null {
  const names = Object.keys(RHYTHMS) as RhythmName[];
  return names.find((name) => days.every((h, day) => h === null || h === RHYTHMS[name][day])) ?? null;
}

function heights(letters: string): Height[] {
  return [...letters].map((l) => (l === 'H' ? 'high' : 'low'));
}
