/** What words of a typed line say; all others are its title. */
export type Use =
  | 'day'
  | 'time'
  | 'length'
  | 'repeat'
  | 'part'
  | 'list'
  | 'before'
  | 'countdown'
  | 'since'
  | 'due'
  | 'only with'
  | 'turns'
  | 'not sure';

/** A stretch of the line that was understood, by characters. */
export interface Span {
  readonly from: number;
  readonly to: number;
  readonly as: Use;
}

/**
 * Draws words out of a line: each reader takes what it understands and leaves the rest to be the title. What is taken
 * leaves blanks, so that every word keeps its place.
 */
export class Line {
  readonly spans: Span[] = [];
  rest: string;

  constructor(text: string) {
    this.rest = ` ${text} `;
  }

  /** @returns null where the pattern is not in what is left */
  take(pattern: RegExp, as: Use): RegExpExecArray | null {
    const match = pattern.exec(this.rest);
    if (match) this.use(match.index, match[0], as);
    return match;
  }

  /** Takes what was found by other means. */
  use(at: number, found: string, as: Use): void {
    const lead = found.length - found.trimStart().length;
    const words = found.trim();
    this.rest = this.rest.slice(0, at) + ' '.repeat(found.length) + this.rest.slice(at + found.length);
    if (words) this.spans.push({ from: at + lead - 1, to: at + lead - 1 + words.length, as });
  }

  /** True where nothing but blanks, or what was taken, stands between two places, or up to the end. */
  isBlank(from: number, to: number = this.rest.length): boolean {
    return this.rest.slice(from, to).trim() === '';
  }
}

/** Words that stand by themselves, in any case. */
export const anywhere = (words: string): RegExp =>
  new RegExp(`(?<![\\p{L}\\p{N}])(?:${words})(?![\\p{L}\\p{N}])`, 'iu');

/** The same, to be looked for more than once. */
export const anywhereAll = (words: string): RegExp => new RegExp(anywhere(words).source, 'giu');
