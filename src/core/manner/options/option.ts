/** A value with the word that the settings have for it. */
export interface Choice<V> {
  readonly value: V;
  readonly label: string;
}

/** What an option may be: as JSON Schema says it, and as the settings offer it. */
export interface Range<V> {
  readonly schema: object;
  /** none: it is set elsewhere than in the settings of a manner */
  readonly choices: readonly Choice<V>[];
}

/** One thing that can be set for a spread (docs/formats). */
export interface Option<K extends string = string, V = unknown> extends Range<V> {
  readonly key: K;
  /** what most decorators do; schools depart from it */
  readonly usual: V;
  /**
   * how the settings call it, under which part of the page, and whether it is among those that are often changed;
   * null: they do not show it
   */
  readonly setting: { readonly group: string; readonly label: string; readonly often?: true } | null;
}

/** An option of a value of type V. */
export const option =
  <V>() =>
  <const K extends string>(key: K, range: Range<V>, usual: V, setting: Option['setting'] = null): Option<K, V> => ({
    key,
    ...range,
    usual,
    setting,
  });

/** One of some words. */
export const words = <V extends string>(values: readonly V[]): Range<V> => ({
  schema: { enum: values },
  choices: values.map((value) => ({ value, label: value.replace(/-/g, ' ') })),
});

export const yesOrNo = (): Range<boolean> => ({
  schema: { type: 'boolean' },
  choices: [
    { value: true, label: 'yes' },
    { value: false, label: 'no' },
  ],
});

/** A number in a range, of which some are offered. */
export const number = (
  least: number,
  most: number,
  offered: readonly number[],
  said: (n: number) => string,
): Range<number> => ({
  schema: { type: 'number', minimum: least, maximum: most },
  choices: offered.map((value) => ({ value, label: said(value) })),
});
