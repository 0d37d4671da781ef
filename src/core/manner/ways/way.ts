/** A value that a way may have. */
export type WayValue = string | number | boolean;

/** One thing that schools do differently beyond the options of a spread, and that can be set (handbook 5). */
export interface Way<K extends string = string, V extends WayValue = WayValue> {
  readonly key: K;
  /** how the settings call it */
  readonly label: string;
  /** the part of the page that it shapes */
  readonly group: string;
  /** it is among those that are often changed (common practice) */
  readonly often?: true;
  readonly values: readonly V[];
  /** what most decorators do; schools depart from it */
  readonly usual: NoInfer<V>;
}

/** Keeps the types of a way's name and values. */
export const way = <const K extends string, const V extends WayValue>(given: Way<K, V>): Way<K, V> => given;

export const YES_NO = [true, false] as const;
