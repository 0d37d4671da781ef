/** What a kind of piece is for, and what is true of it unless its kit says otherwise (handbook 3, usual values). */
export interface KindTraits {
  readonly label: string;
  readonly plural: string;
  readonly shape: Shape;
  readonly opacity: number;
  readonly writable: Writable;
  /** lies over another piece rather than on the paper */
  readonly overlay?: true;
  /** carries one item with its text */
  readonly carriesItem?: true;
  /** may lose width without losing what it shows: where the knife goes */
  readonly trim: 'right' | 'both' | 'never';
}

export const SHAPES = [
  'rect',
  'rounded',
  'circle',
  'notched',
  'pointed',
  'scalloped',
  'heart',
  'teardrop',
  'free',
] as const;
export type Shape = (typeof SHAPES)[number];
export const WRITABLE = ['yes', 'no', 'part'] as const;
export type Writable = (typeof WRITABLE)[number];
export const FINISHES = ['matte-removable', 'matte-permanent', 'glossy', 'vinyl', 'clear'] as const;
export type Finish = (typeof FINISHES)[number];
export const FACES = ['left', 'right', 'none'] as const;
export type Faces = (typeof FACES)[number];

export const KINDS = {
  'full-box': kind('full box', 'full boxes', 'rect', 'no', 'both'),
  'double-box': kind('double box', 'double boxes', 'rect', 'no', 'both'),
  'half-box': item('half box', 'half boxes', 'rect', 'both'),
  'third-box': item('third box', 'third boxes', 'rect', 'both'),
  'quarter-box': item('quarter box', 'quarter boxes', 'rounded', 'both'),
  checklist: kind('checklist', 'checklists', 'rect', 'yes', 'right'),
  'check-flag': item('check flag', 'check flags', 'pointed', 'right'),
  header: kind('header', 'headers', 'rect', 'no', 'both'),
  little: item('little', 'littles', 'rounded', 'right'),
  label: item('label', 'labels', 'scalloped', 'both'),
  flag: item('flag', 'flags', 'notched', 'right'),
  circle: item('circle', 'circles', 'circle', 'never'),
  teardrop: item('teardrop', 'teardrops', 'teardrop', 'never'),
  square: item('square', 'squares', 'rect', 'never'),
  icon: { ...kind('icon', 'icons', 'free', 'no', 'never'), overlay: true },
  script: { ...kind('script', 'scripts', 'free', 'no', 'never'), overlay: true },
  deco: { ...kind('deco piece', 'deco pieces', 'free', 'no', 'never'), overlay: true },
  'bottom-washi': { ...kind('bottom washi', 'bottom washi strips', 'rect', 'no', 'right'), opacity: 0.55 },
  washi: { ...kind('washi strip', 'washi strips', 'rect', 'no', 'right'), opacity: 0.55 },
  'date-cover': kind('date cover', 'date covers', 'rect', 'part', 'both'),
  'date-dot': { ...kind('date dot', 'date dots', 'circle', 'no', 'never'), overlay: true },
  banner: kind('weekend banner', 'weekend banners', 'notched', 'no', 'never'),
  'habit-tracker': kind('habit tracker', 'habit trackers', 'rounded', 'part', 'never'),
  'week-tracker': kind('week tracker', 'week trackers', 'rect', 'part', 'right'),
  'quote-box': kind('quote box', 'quote boxes', 'rect', 'no', 'both'),
  overlay: { ...kind('overlay', 'overlays', 'rect', 'no', 'both'), opacity: 0.55, overlay: true },
  extender: kind('extender', 'extenders', 'rect', 'no', 'right'),
} as const satisfies Record<string, KindTraits>;

export type Kind = keyof typeof KINDS;
export const KIND_NAMES = Object.keys(KINDS) as Kind[];
/** Kinds that are cut by length. */
export const isStrip = (name: Kind | undefined): boolean =>
  name === 'bottom-washi' || name === 'washi' || name === 'extender';
export const traits = (name: Kind): KindTraits => KINDS[name];

function kind(label: string, plural: string, shape: Shape, writable: Writable, trim: KindTraits['trim']): KindTraits {
  return { label, plural, shape, opacity: 1, writable, trim };
}

function item(label: string, plural: string, shape: Shape, trim: KindTraits['trim']): KindTraits {
  return { ...kind(label, plural, shape, 'yes', trim), carriesItem: true };
}
