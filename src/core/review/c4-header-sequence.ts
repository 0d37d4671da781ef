import type { Options } from '../manner/options/registry';
import type { About, Finding, Rule, Said, View } from './finding';
import type { Voice } from '../spread/voice';
import { dayName } from '../spread/voice';
import { at } from './where';
import type { Placement } from '../spread/placement';
import { opensDay } from '../arrange/base/headers';
import { difference, luminance } from '../color/color';
import { bottom } from '../measure/rect';
import { colorsKnown } from './colors-known';
import { boxesOf } from './boxes-of';

/** Headers nearer than this are of one color; one that touches a box repeats it (CIEDE2000). From memory. */
const SAME = 4;
const REPEATS = 8;
/** Nearer than this a header touches a box, mm. From memory. */
const TOUCHES = 2.5;

/** C4: the headers' colors follow the chosen habit, and none repeats the box it touches. */
export const c4HeaderSequence: Rule<Case> = {
  code: 'C4',
  title: 'Headers follow their sequence',
  say,
  check: (view) => (colorsKnown(view.context.kit) ? [...sequence(view), ...repeats(view)] : []),
};

function openers(view: View): (Placement & { day: number; color: string })[] {
  return [0, 1, 2, 3, 4, 5, 6].flatMap((day) => {
    const here = view.placements
      .filter((p) => {
        const piece = view.pieceOf(p);
        return p.day === day && p.role === 'base' && piece?.kind === 'header' && opensDay(piece);
      })
      .sort((a, b) => a.y - b.y);
    return here[0] ? [{ ...here[0], day, color: view.pieceOf(here[0])?.color as string }] : [];
  });
}

function sequence(view: View): Found[] {
  const habit = view.context.options.headers;
  const laid = openers(view);
  const colors = new Set(laid.map((h) => h.color));
  if (habit === 'none' || laid.length < 2 || (colors.size < 2 && habit !== 'fanned')) return [];
  const breaks = laid.slice(1).filter((h, i) => {
    const before = laid[i] as (typeof laid)[number];
    const distance = difference(before.color, h.color);
    if (habit === 'alternating') return h.day === before.day + 1 && distance < SAME;
    if (habit === 'fanned')
      return h.day <= 3
        ? luminance(h.color) > luminance(before.color) + 0.05
        : before.day >= 3 && luminance(h.color) < luminance(before.color) - 0.05;
    return distance >= SAME;
  });
  return breaks.map((h) => ({
    rule: 'C4',
    severity: 'look',
    ...at(h),
    placements: [h.id],
    about: { is: habit, days: [h.day], distance: difference((laid[laid.indexOf(h) - 1] as typeof h).color, h.color) },
  }));
}

function repeats(view: View): Found[] {
  const boxes = boxesOf(view);
  return view.placements
    .filter((p) => view.pieceOf(p)?.kind === 'header' && p.day !== null)
    .flatMap((header) =>
      boxes
        .filter(
          (b) =>
            b.days.includes(header.day as number) &&
            (Math.abs(b.rect.y - bottom(header)) < TOUCHES || Math.abs(header.y - bottom(b.rect)) < TOUCHES),
        )
        .flatMap((box): Found[] => {
          const distance = difference(view.pieceOf(header)?.color as string, box.piece.color);
          if (distance >= REPEATS) return [];
          return [
            {
              rule: 'C4',
              severity: 'look',
              ...at(header),
              placements: [header.id, ...box.parts.map((p) => p.id)],
              about: { is: 'repeats its box', days: [header.day as number], distance },
            },
          ];
        }),
    );
}

type Found = Finding<Case>;

interface Case extends About {
  readonly is: Options['headers'] | 'repeats its box';
  readonly days: readonly [number];
  /** CIEDE2000 */
  readonly distance: number;
}

function say({ about: { is, days, distance } }: Found, voice: Voice): Said {
  const header = `${dayName(voice, days[0])}’s header`;
  const remedy = 'Swap it for one of the color that is its turn.';
  switch (is) {
    case 'repeats its box':
      return {
        message: `${header} repeats the color of the box it touches: a difference of ${distance.toFixed(0)}, under ${REPEATS} they run together.`,
        remedy: 'Swap the header for another color.',
      };
    case 'alternating':
      return {
        message: `${header} has the color of the day before, a difference of ${distance.toFixed(0)}; they are to alternate.`,
        remedy,
      };
    case 'fanned':
      return { message: `${header} breaks the fan from dark in the middle to light at both ends.`, remedy };
    default:
      return { message: `${header} has another color than the one before; they are to be alike.`, remedy };
  }
}
