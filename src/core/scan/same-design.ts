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
/** Fields of copies differ by less on the average, and in the worst twentieth, CIELAB. */
const FIELDS = 2;
const WORST = 7;
/** A picture of strong contrasts that lies a hair aside differs by so much of them. */
const ASIDE = 0.3;

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
  const slack = ASIDE * contrastOf(one.fields);
  return mean < FIELDS + slack / 4 && (apart[Math.floor(apart.length * 0.95)] as number) < WORST + slack;
}

/** Standard deviation of the fields' lightness. */
function contrastOf(fields: Float32Array): number {
  let [sum, squares] = [0, 0];
  const n = fields.length / 3;
  for (let i = 0; i < n; i++) {
    const l = fields[3 * i] as number;
    sum += l;
    squares += l * l;
  }
  return Math.sqrt(Math.max(0, squares / n - (sum / n) ** 2));
}
