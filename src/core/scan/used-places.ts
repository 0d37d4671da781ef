import type { Look } from './same-design';

/** Nothing is printed where lightness and color stray by less, CIELAB. */
const PLAIN = 1.6;
/** What was under a sticker is light, and hardly colored, CIELAB. */
const LIGHT = 78;
const COLORED = 26;
/** Stickers of one size differ by less, mm. */
const SAME = 1.2;
/** Cells at the rim that are not looked at: print that was left beside a place may show there. */
const RIM = 4;

/**
 * Which of the things found may be places whose sticker was used up: bare of print and light, and cut to the size of
 * another one that is printed. A sticker without print cannot be told from one: its owner is asked.
 * @returns numbers of those looks
 */
export function usedPlaces(looks: readonly Look[]): Set<number> {
  const bare = looks.map((look) => isBare(look, RIM));
  const used = looks.flatMap((look, i) =>
    bare[i] && looks.some((o, k) => !bare[k] && Math.abs(o.w - look.w) < SAME && Math.abs(o.h - look.h) < SAME)
      ? [i]
      : [],
  );
  return new Set(used);
}

/** Whether nothing is printed on it. @param rim cells at its rim that are not looked at */
export function isBare({ columns, rows, cells }: Look, rim: number): boolean {
  const sums = [0, 0, 0];
  const squares = [0, 0, 0];
  let n = 0;
  for (let y = rim; y < rows - rim; y++)
    for (let x = rim; x < columns - rim; x++) {
      n++;
      for (let c = 0; c < 3; c++) {
        const value = cells[3 * (y * columns + x) + c] as number;
        sums[c] = (sums[c] as number) + value;
        squares[c] = (squares[c] as number) + value * value;
      }
    }
  if (!n) return false;
  const [l, a, b] = sums.map((s) => s / n) as [number, number, number];
  const strays = squares.every((s, c) => Math.sqrt(Math.max(0, s / n - ((sums[c] as number) / n) ** 2)) < PLAIN);
  return strays && l > LIGHT && Math.hypot(a, b) < COLORED;
}
