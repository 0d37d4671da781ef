import type { Demand } from './demand';

/** A word of the owner's, and the icon it means. */
export interface TaughtWord {
  readonly word: string;
  /** the meaning that an icon or a little bears, such as `dog` */
  readonly means: string;
}

/** Demands with what their owner taught: a title that has the word gets its meaning before all others. */
export function withTaughtWords(demands: readonly Demand[], taught: readonly TaughtWord[]): Demand[] {
  return demands.map((d) => {
    const title = ` ${d.title.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ' ')} `;
    const means = taught.filter((t) => title.includes(` ${t.word.toLowerCase()} `)).map((t) => t.means);
    return means.length ? { ...d, categories: [...means, ...d.categories] } : d;
  });
}
