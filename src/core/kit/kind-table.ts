/** What a kind of piece is for, and what is true of it unless its kit says otherwise (handbook 3, usual values). */
export interface KindTraits {
  readonly label: string;
  readonly plural: string;
  /** usual width and height, mm. From memory. */
  readonly usual: readonly [number, number];
  readonly shape: Shape;
  readonly opacity: number;
  readonly writable: Writable;
  /** where the knife may take width off without losing what it shows */
  readonly trim: 'right' | 'both' | 'never';
  /** lies over another piece rather than on the paper */
  readonly overlay?: true;
  /** carries one item with its text */
  readonly carriesItem?: true;
  /** is cut by length from a strip or roll */
  readonly strip?: true;
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

/** Everything that is known of a kind stands here; how it is drawn is one painter in `art/draw-piece.ts`. */
export const KINDS = {
  'full-box': kind('full box', 'full boxes', [38.1, 48.3], 'rect', 'no', 'both'),
  'double-box': kind('double box', 'double boxes', [76.2, 48.3], 'rect', 'no', 'both'),
  'half-box': item('half box', 'half boxes', [38.1, 24.1], 'rect', 'both'),
  'third-box': item('third box', 'third boxes', [38.1, 16], 'rect', 'both'),
  'quarter-box': item('quarter box', 'quarter boxes', [38.1, 12], 'rounded', 'both'),
  checklist: kind('checklist', 'checklists', [38.1, 48.3], 'rect', 'yes', 'right'),
  'check-flag': item('check flag', 'check flags', [38, 9], 'pointed', 'right'),
  header: kind('header', 'headers', [38.1, 6.4], 'rect', 'no', 'both'),
  little: item('little', 'littles', [38.1, 12], 'rounded', 'right'),
  label: item('label', 'labels', [38, 12], 'scalloped', 'both'),
  flag: item('flag', 'flags', [38, 10], 'notched', 'right'),
  circle: item('circle', 'circles', [14, 14], 'circle', 'never'),
  teardrop: item('teardrop', 'teardrops', [14, 18], 'teardrop', 'never'),
  square: item('square', 'squares', [20, 20], 'rect', 'never'),
  icon: { ...kind('icon', 'icons', [12, 12], 'free', 'no', 'never'), overlay: true },
  script: { ...kind('script', 'scripts', [28, 8], 'free', 'no', 'never'), overlay: true },
  deco: { ...kind('deco piece', 'deco pieces', [25, 25], 'free', 'no', 'never'), overlay: true },
  'bottom-washi': strip('bottom washi', 'bottom washi strips', [160, 11], 0.55),
  washi: strip('washi strip', 'washi strips', [120, 8], 0.55),
  'date-cover': kind('date cover', 'date covers', [38.1, 12], 'rect', 'part', 'both'),
  'date-dot': { ...kind('date dot', 'date dots', [8, 8], 'circle', 'no', 'never'), overlay: true },
  banner: kind('weekend banner', 'weekend banners', [70, 20], 'notched', 'no', 'never'),
  'habit-tracker': kind('habit tracker', 'habit trackers', [38, 16], 'rounded', 'part', 'never'),
  'week-tracker': kind('week tracker', 'week trackers', [38, 48], 'rect', 'part', 'right'),
  'quote-box': kind('quote box', 'quote boxes', [38.1, 48.3], 'rect', 'no', 'both'),
  overlay: { ...kind('overlay', 'overlays', [38.1, 48.3], 'rect', 'no', 'both'), opacity: 0.55, overlay: true },
  extender: strip('extender', 'extenders', [38, 12], 1),
} as const satisfies Record<string, KindTraits>;

function kind(
  label: string,
  plural: string,
  usual: KindTraits['usual'],
  shape: Shape,
  writable: Writable,
  trim: KindTraits['trim'],
): KindTraits {
  return { label, plural, usual, shape, opacity: 1, writable, trim };
}

function item(
  label: string,
  plural: string,
  usual: KindTraits['usual'],
  shape: Shape,
  trim: KindTraits['trim'],
): KindTraits {
  return { ...kind(label, plural, usual, shape, 'yes', trim), carriesItem: true };
}

function strip(label: string, plural: string, usual: KindTraits['usual'], opacity: number): KindTraits {
  return { ...kind(label, plural, usual, 'rect', 'no', 'right'), opacity, strip: true };
}
