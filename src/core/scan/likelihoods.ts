import { STRAY, lineNear } from './seams';
import type { Share } from './share';
import type { Sight } from './sight';

/** Px to both sides that are of the block where a cut may go; nearer than ROOM its own outline would be seen. */
const ASIDE = 4;
const ROOM = 24;
/** Px from a way to those beside it that it is held against. */
const BESIDE = Array.from({ length: 16 }, (_, i) => 7 + 5 * i).flatMap((d) => [-d, d]);
/** A line is as strong as another from so much of its strength on, squared. */
const AS_STRONG = 0.7;
/** Where no more are as strong they may be a frame's lines, else they are print; and what it says beside a frame. */
const FRAME = 0.25;
const BESIDE_A_FRAME = 0.6;
/** And what it says at least where it is the only one. */
const ALONE = 1;
/** Grain may look like a fainter line, and print like a stronger one, which smears so far, lightness and px. */
const FAINTEST = 0.5;
const STRONGEST = 30;
const SMEAR = 4;
/** What plain paper shows of lines, lightness, and how often of steps; as if seen at so many places. */
const PLAIN = { line: 0.22, step: 0.07, places: 2 };
/** What a line says from which on it counts but little more, and the most that a step says without a line. */
const ENOUGH = 4;
const STEP = 1.5;
/** A stretch of a cut shows a step, and no line, so often. */
const STEPS_ALONE = 0.3;
/** What speaks against a cut where nothing is seen. */
const UNSEEN = 2;

/** Whether a stretch's middle alone is of the block, or its ends are, too. */
const PARTLY = 1;
const WHOLLY = 2;

/**
 * How much more likely each stretch of each way through a block is a cut than print, as a natural logarithm. A line
 * tells as much as it stands out from those beside it, by a normal distribution's likelihood; a step as it is rare
 * there. The numbers were tried out on made-up sheets (docs/scan.md).
 * @returns by place across the block, then by stretch of the sheet, `count` of them; NaN: not in the block
 */
export function likelihoods(
  { label, ...box }: Share,
  { seams, blobs: { labels, width } }: Sight,
  upright: boolean,
): { readonly likely: Float32Array; readonly count: number } {
  const { stride } = seams;
  const stretches = upright ? seams.upright : seams.level;
  const { steps, breadth } = stretches;
  const [from, to] = upright ? [box.x0, box.x1] : [box.y0, box.y1];
  const [start, end] = upright ? [box.y0, box.y1] : [box.x0, box.x1];
  const [onward, across] = upright ? [width, 1] : [1, width];
  const count = steps.length / breadth;
  const places = to - from + 1;
  const likely = new Float32Array(places * count).fill(NaN);
  const squares = new Float32Array(places);
  const [stepped, inside, printed] = [new Uint8Array(places), new Uint8Array(places), new Uint8Array(places)];
  const last = Math.min(count - 2, Math.floor(end / stride));
  for (let s = Math.max(1, Math.floor(start / stride)); s <= last; s++) {
    printed.fill(0);
    for (let k = 0, at = from; k < places; k++, at++) {
      let step = 0;
      for (let q = Math.max(0, at - STRAY); q <= Math.min(breadth - 1, at + STRAY); q++)
        step |= steps[s * breadth + q] as number;
      const line = lineNear(stretches, s, at);
      squares[k] = line ** 2;
      stepped[k] = step;
      if (line > STRONGEST) printed.fill(1, Math.max(0, k - SMEAR), k + SMEAR + 1);
      const i = s * stride * onward + at * across;
      const ends = (stride - 1) * onward;
      inside[k] = labels[i] !== label ? 0 : labels[i - ends] === label && labels[i + ends] === label ? WHOLLY : PARTLY;
    }
    for (let k = ROOM; k < places - ROOM; k++)
      if (inside[k - ROOM] && inside[k + ROOM] && inside[k - ASIDE] === WHOLLY && inside[k + ASIDE] === WHOLLY)
        likely[k * count + s] = printed[k] ? -UNSEEN : likelihood(squares, stepped, inside, k);
  }
  return { likely, count };
}

function likelihood(squares: Float32Array, stepped: Uint8Array, inside: Uint8Array, k: number): number {
  const own = squares[k] as number;
  const isLine = own >= FAINTEST ** 2;
  if (!isLine && !stepped[k]) return -UNSEEN;
  let line = PLAIN.places * PLAIN.line ** 2;
  let step = PLAIN.places * PLAIN.step;
  let [places, asStrong] = [PLAIN.places, 0];
  for (const d of BESIDE)
    if (inside[k + d]) {
      const other = squares[k + d] as number;
      line += other;
      if (other > AS_STRONG * own) asStrong++;
      step += stepped[k + d] as number;
      places++;
    }
  const byLine =
    !isLine || asStrong > FRAME * places
      ? -UNSEEN
      : Math.max(asStrong ? BESIDE_A_FRAME : ALONE, capped((own * places) / line / 2 - UNSEEN));
  return stepped[k] ? Math.max(byLine, Math.min(STEP, Math.log((STEPS_ALONE * places) / step))) : byLine;
}

/** The more it is, the less it tells; but the strongest of neighbors is the line's middle. */
const capped = (much: number): number => (much < ENOUGH ? much : ENOUGH + 0.25 * Math.log1p(much - ENOUGH));
