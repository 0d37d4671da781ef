/** What words of a typed line say; all others are its title. */
export type Use =
  | 'day'
  | 'time'
  | 'length'
  | 'repeat'
  | 'until'
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
  spans: readonly Span[] = [];
  rest: string;

  constructor(private readonly text: string) {
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
    if (words) this.spans = [...this.spans, { from: at + lead - 1, to: at + lead - 1 + words.length, as }];
  }

  /** Puts back what was taken for something that in the end says nothing here. */
  giveBack(as: Use): void {
    for (const s of this.spans.filter((span) => span.as === as))
      this.rest = this.rest.slice(0, s.from + 1) + this.text.slice(s.from, s.to) + this.rest.slice(s.to + 1);
    this.spans = this.spans.filter((s) => s.as !== as);
  }

  /** True where something was taken out of the midst of what matched. */
  hasTaken({ index, 0: found }: RegExpExecArray): boolean {
    return this.spans.some((s) => s.from + 1 > index && s.to + 1 < index + found.length);
  }

  /** True where nothing but blanks, marks, or what was taken, stands between two places, or up to the end. */
  isBlank(from: number, to: number = this.rest.length): boolean {
    return /^[\s,–-]*$/.test(this.rest.slice(from, to));
  }
}

/** Words that stand by themselves, in any case. */
export const anywhere = (words: string): RegExp =>
  new RegExp(`(?<![\\p{L}\\p{N}])(?:${words})(?![\\p{L}\\p{N}])`, 'iu');

/** The same words without a group of their own, to stand within others. */
export const ungrouped = (words: string): string => words.replace(/(?<!\\)\((?!\?)/g, '(?:');

/** The same, to be looked for more than once. */
export const anywhereAll = (words: string): RegExp => new RegExp(anywhere(words).source, 'giu');
