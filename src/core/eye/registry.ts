import type { Sight } from './sight';
import type { Term } from './term';
import { bareBox } from './terms/bare-box';
import { blank } from './terms/blank';
import { company } from './terms/company';
import { crowd } from './terms/crowd';
import { emptyRow } from './terms/empty-row';
import { hidden } from './terms/hidden';
import { idleHeader } from './terms/idle-header';
import { pages } from './terms/pages';
import { twins } from './terms/twins';

/** What the eye minds. One line a term. */
export const TERMS: readonly Term[] = [blank, company, crowd, twins, pages, bareBox, hidden, idleHeader, emptyRow];

const OF_DESIGNS = TERMS.filter((t) => t.ofDay && t.looksAtDesigns);
const OF_PLACES = TERMS.filter((t) => t.ofDay && !t.looksAtDesigns);

/** What a spread costs the eye; 0 is a spread in which it minds nothing. */
export const eyeCost = (sight: Sight): number => eyeTerms(sight).reduce((sum, { cost }) => sum + cost, 0);

/** What a day costs the eye, with its right neighbor, which minds what lies beside it. */
export const costOfDay = (sight: Sight, day: number): number => costOfPlaces(sight, day) + costOfDesigns(sight, day);

/** Of that, what the places on the day cost by themselves, whichever designs lie there. */
export const costOfPlaces = (sight: Sight, day: number): number =>
  OF_PLACES.reduce((sum, t) => sum + (t.ofDay?.(sight, day) ?? 0), 0);

/** Of that, what the designs cost, beside each other and beside those of its neighbors. */
export const costOfDesigns = (sight: Sight, day: number): number =>
  OF_DESIGNS.reduce(
    (sum, t) => sum + (t.ofDay?.(sight, day) ?? 0) + (day < 6 ? (t.ofDay?.(sight, day + 1) ?? 0) : 0),
    0,
  );

/** What the week as a whole costs it, beside its days. */
export const costOfWeek = (sight: Sight): number => TERMS.reduce((sum, t) => sum + (t.ofWeek?.(sight) ?? 0), 0);

/** Each term that the eye minds in a spread, the heaviest first. */
export const eyeTerms = (sight: Sight): { term: Term; cost: number }[] =>
  TERMS.map((term) => ({
    term,
    cost: (term.ofWeek?.(sight) ?? 0) + sum7((day) => term.ofDay?.(sight, day) ?? 0),
  }))
    .filter(({ cost }) => cost > 0)
    .sort((a, b) => b.cost - a.cost);

const sum7 = (of: (day: number) => number): number => [0, 1, 2, 3, 4, 5, 6].reduce((sum, day) => sum + of(day), 0);
