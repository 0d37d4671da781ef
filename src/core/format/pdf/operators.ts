/** The operators of a PDF's content, as they are written. Source: ISO 32000-1, 7.3.3, 8.4.4, 8.5.2 and 8.5.3. */
const NAMES = {
  save: 'q',
  restore: 'Q',
  matrix: 'cm',
  state: 'gs',
  show: 'Do',
  move: 'm',
  line: 'l',
  curve: 'c',
  close: 'h',
  clip: 'W',
  end: 'n',
  fill: 'f',
  stroke: 'S',
  both: 'B',
  inside: 'rg',
  rim: 'RG',
  weight: 'w',
  cap: 'J',
  join: 'j',
} as const;

/** An operator with its numbers, or the name of what it takes. */
export function operator(name: keyof typeof NAMES, ...given: readonly (number | string)[]): string {
  if (!given.length) return NAMES[name];
  const digits = name === 'matrix' ? FINE : PLAIN;
  return `${given.map((g) => (typeof g === 'number' ? number(g, digits) : `/${g}`)).join(' ')} ${NAMES[name]}`;
}

/** A line of dashes that begins with the first. */
export const dashes = (lengths: readonly number[]): string => `[${lengths.map((n) => number(n, PLAIN)).join(' ')}] 0 d`;

/** Digits after the point; what a matrix turns or scales is a hundred times as large as the matrix's numbers. */
const [PLAIN, FINE] = [1e3, 1e6];

/** No smaller than a millionth: JavaScript writes what is smaller as a power of ten, which PDF does not know. */
const number = (n: number, digits: number): string => String(Math.round(n * digits) / digits + 0);
