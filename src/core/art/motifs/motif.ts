import type { Pen } from '../svg';
import type { Tones } from '../tones';

/** What a kit pictures: a figure, a whole scene with it, or a pattern. One file a motif or a family of them. */
export interface Motif {
  /** a scene or a pattern filling `w` x `h` mm */
  readonly fill: (w: number, h: number, tones: Tones, random: () => number) => string;
  /** alone, in a 100 x 100 box; patterns may have none */
  readonly figure?: (pen: Pen, tones: Tones) => string;
}
