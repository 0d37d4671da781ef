import type { Options } from '../../core/manner/options';
import { SECTIONS } from '../../core/manner/options';
import type { Ways } from '../../core/manner/ways';
import { WAY_VALUES } from '../../core/manner/ways';

interface Choice<T> {
  readonly value: T;
  readonly label: string;
}

type OptionSetting = {
  [K in keyof Options]: { readonly of: 'options'; readonly key: K; readonly choices: readonly Choice<Options[K]>[] };
}[keyof Options];
type WaySetting = {
  [K in keyof Ways]: { readonly of: 'ways'; readonly key: K; readonly choices: readonly Choice<Ways[K]>[] };
}[keyof Ways];

/** One thing that can be set for a spread, with what it may be set to. */
export type Setting = (OptionSetting | WaySetting) & { readonly label: string };

const YES_NO = [
  { value: true, label: 'yes' },
  { value: false, label: 'no' },
] as const;
const upper = (text: string): string => text.replace(/-/g, ' ');
const option = <K extends keyof Options>(key: K, label: string, choices: readonly Choice<Options[K]>[]): Setting =>
  ({ of: 'options', key, label, choices }) as unknown as Setting;
const way = <K extends keyof Ways>(key: K, label: string): Setting =>
  ({
    of: 'ways',
    key,
    label,
    choices: (WAY_VALUES[key] as readonly (string | number | boolean)[]).map((value) => ({
      value,
      label: value === true ? 'yes' : value === false ? 'no' : upper(String(value)),
    })),
  }) as unknown as Setting;
const words = <T extends string>(...values: readonly T[]): Choice<T>[] =>
  values.map((value) => ({ value, label: upper(value) }));
const numbers = (unit: string, ...values: readonly number[]): Choice<number>[] =>
  values.map((value) => ({ value, label: `${value}${unit}` }));

/** All settings by the part of the page they shape. The sidebar's sections are chosen apart. */
export const SETTINGS: readonly { readonly group: string; readonly settings: readonly Setting[] }[] = [
  {
    group: 'Base',
    settings: [
      option('bottomWashi', 'Bottom washi', words('one', 'two', 'none')),
      option('dateCovers', 'Date covers', YES_NO),
      option('monthFlags', 'Cover month flags', YES_NO),
      way('topBand', 'Band along the top'),
      way('raised', 'Raise the dates for room'),
    ],
  },
  {
    group: 'Headers and lists',
    settings: [
      option('headers', 'Header colors', words('alternating', 'fanned', 'blocked', 'same', 'none')),
      way('leaveOutLoud', 'Leave a loud color out'),
      way('lists', 'Lists stand'),
      way('listColors', 'List colors'),
    ],
  },
  {
    group: 'Boxes',
    settings: [
      way('boxes', 'Full boxes a week'),
      way('stand', 'They stand'),
      way('framed', 'Framed above and below'),
      option('writeOnBoxes', 'Write on them', YES_NO),
      way('keepsRows', 'Keep the three rows'),
    ],
  },
  {
    group: 'Days',
    settings: [
      option('littles', 'Littles', words('spaced', 'stacked')),
      option('gap', 'Gap between items', numbers(' mm', 1, 1.5, 2, 2.5, 3, 4, 5)),
      option(
        'whiteSpace',
        'White space',
        [0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6].map((value) => ({ value, label: `${Math.round(value * 100)} of 100` })),
      ),
      way('align', 'Pieces sit'),
      way('roundBases', 'Round and diamond bases'),
      way('times', 'Times'),
      way('picturesServe', 'Pictures stand for chores'),
      way('nearBinding', 'Near the binding'),
      option('ahead', 'Planned ahead', words('all', 'work', 'skeleton')),
      way('marksPlaces', 'Mark places for the rest'),
    ],
  },
  {
    group: 'Color and finish',
    settings: [
      option('foils', 'Foil', [
        { value: [], label: 'as it comes' },
        { value: ['gold'], label: 'gold' },
        { value: ['rose-gold'], label: 'rose gold' },
        { value: ['silver'], label: 'silver' },
        { value: ['gold', 'rose-gold'], label: 'gold and rose gold in turn' },
        { value: ['gold', 'silver'], label: 'gold and silver in turn' },
      ]),
      option('kitOnly', 'Nothing from the stash', YES_NO),
      way('sidebarColors', 'Sidebar colors'),
      way('deco', 'Deco'),
      option('weekendBanner', 'Weekend banner', YES_NO),
      way('banner', 'It lies over'),
      way('bannerGround', 'Strips under it'),
    ],
  },
];

export const SIDEBAR_SECTIONS = SECTIONS;
