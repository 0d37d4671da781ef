/** How its owner writes days and hours. */
export interface TypingHabits {
  /** what `11/02` is: November 2, or 11 February */
  readonly dateOrder: 'month first' | 'day first';
  /** the hours that without a word more are after noon: `piano at 4` */
  readonly afterNoon: { readonly from: number; readonly to: number };
}

/** From memory: few things begin at one to six in the morning, unless they say so. */
export const USUAL_HABITS: TypingHabits = { dateOrder: 'month first', afterNoon: { from: 1, to: 6 } };
