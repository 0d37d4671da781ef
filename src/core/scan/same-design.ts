/** What two stickers are compared by. */
export interface Look {
  /** mm */
  readonly w: number;
  readonly h: number;
  /** CIELAB of GRID x GRID fields, three numbers each, from the top left */
  readonly fields: Float32Array;
}

export const GRID = 10;
/** Copies differ by less, mm. */
const SIZE = 0.7;
/** Fields of copies differ by less on the average, and in the worst tenth, CIELAB. */
const FIELDS = 4.5;
const WORST = 16;

/** Gathers equal designs: for each look the number of its design, in the order in which they first come. */
export function designsOf(looks: readonly Look[]): number[] {
  const firsts: Look[] = [];
  return looks.map((look) => {
    const known = firsts.findIndex((f) => isSame(f, look));
    if (known >= 0) return known;
    firsts.push(look);
    return firsts.length - 1;
  });
}

function isSame(one: Look, other: Look): boolean {
  if (Math.abs(one.w - other.w) > SIZE || Math.abs(one.h - other.h) > SIZE) return false;
  const apart = new Float32Array(GRID * GRID);
  for (let i = 0; i < apart.length; i++)
    apart[i] = Math.hypot(
      (one.fields[3 * i] as number) - (other.fields[3 * i] as number),
      (one.fields[3 * i + 1] as number) - (other.fields[3 * i + 1] as number),
      (one.fields[3 * i + 2] as number) - (other.fields[3 * i + 2] as number),
    );
  apart.sort();
  const mean = apart.reduce((s, d) => s + d, 0) / apart.length;
  return mean < FIELDS && (apart[Math.floor(apart.length * 0.9)] as number) < WORST;
}
