import { topOf } from './where';
import type { Hex } from '../color/color';
import type { Finding, Rule, Said, View } from './finding';
import type { Voice } from '../spread/voice';
import { counted, dayName, kitName, sentence } from '../spread/voice';
import { boldness } from '../color/boldness';
import { colorName } from '../color/color-name';
import { area } from '../measure/rect';
import { colorsKnown } from './colors-known';
import { colorAreas, sideOf } from './balance';

/** A day is owned by a color that has more than this share of what is covered, on so many pieces. From memory. */
const OWNED = 0.62;
const LEAST_PIECES = 4;
/**
 * A color is one-sided when it covers this much in all, mm², and less than this share of it on one side. From memory.
 */
const SEEN = 3600;
const ONE_SIDED = 0.06;

/** What is paler than this reads as paper, not as a color (see `boldness`). From memory. */
const PAPER = 0.1;

/** C2: no day is owned by one color; each color is spread over both pages. */
export const c2ColorsSpread: Rule<Case> = {
  code: 'C2',
  title: 'Colors are spread over the week',
  say,
  check: (view) =>
    colorsKnown(view.context.kit)
      ? [...[0, 1, 2, 3, 4, 5, 6].flatMap((day) => owned(view, day)), ...oneSided(view)]
      : oneColor(view),
};

/** Said once for all that would be said of a kit whose colors nobody knows. */
function oneColor({ context: { kit }, placements: [first] }: View): Found[] {
  if (!first) return [];
  const about = { is: 'one color', kit: kit.name } as const;
  return [{ rule: 'C2', severity: 'look', page: first.page, x: first.x, y: first.y, placements: [], about }];
}

function owned(view: View, day: number): Found[] {
  const here = view.placements.filter((p) => p.day === day && p.layer === 0);
  const colors = colorAreas(view, here);
  const most = colors[0];
  const share = most ? most.area / colors.reduce((sum, c) => sum + c.area, 0) : 0;
  if (!most || here.length < LEAST_PIECES || share <= OWNED || boldness(most.color) < PAPER) return [];
  return [
    {
      rule: 'C2',
      severity: 'look',
      ...topOf(view, day),
      placements: here
        .filter((p) => view.pieceOf(p)?.color === most.color)
        .map((p) => p.id)
        .sort(),
      about: { is: 'owned', days: [day], color: most.color, share, count: most.pieces },
    },
  ];
}

function oneSided(view: View): Found[] {
  return colorAreas(view, view.placements)
    .filter((c) => c.area >= SEEN && boldness(c.color) >= PAPER)
    .flatMap(({ color, area: all }): Found[] => {
      const near = view.placements
        .filter((p) => p.layer === 0 && view.pieceOf(p)?.color === color)
        .sort((a, b) => (a.id < b.id ? -1 : 1));
      const left = near.filter((p) => sideOf(view, p.page) === 'left').reduce((sum, p) => sum + area(p), 0);
      const total = near.reduce((sum, p) => sum + area(p), 0);
      const first = near[0];
      if (!first || near.length < 2 || Math.min(left, total - left) / total >= ONE_SIDED) return [];
      const side = left > total / 2 ? 'left' : 'right';
      return [
        {
          rule: 'C2',
          severity: 'look',
          page: first.page,
          x: first.x,
          y: first.y,
          placements: near.map((p) => p.id),
          about: { is: 'one-sided', side, color, area: all },
        },
      ];
    });
}

type Found = Finding<Case>;

type Case =
  | { readonly is: 'one color'; readonly kit: string }
  | {
      readonly is: 'owned';
      readonly days: readonly [number];
      readonly color: Hex;
      readonly share: number;
      readonly count: number;
    }
  | { readonly is: 'one-sided'; readonly side: 'left' | 'right'; readonly color: Hex; readonly area: number };

function say({ about }: Found, voice: Voice): Said {
  if (about.is === 'one color')
    return {
      message: `All stickers of ${kitName(voice, about.kit)} have the same color on record, so colors could not be spread over the week.`,
      remedy: 'Give its stickers their colors on the Kits page.',
    };
  return about.is === 'owned'
    ? {
        message: `${dayName(voice, about.days[0])} is mostly ${colorName(about.color)}: ${Math.round(about.share * 100)} % of what is covered, on ${counted(about.count, 'piece')}.`,
        remedy: 'Swap one or two of these pieces for another color.',
      }
    : {
        message: `${sentence(colorName(about.color))} covers ${Math.round(about.area / 100)} cm² and nearly all of it is on the ${about.side} page.`,
        remedy: `Bring a piece of it to the ${about.side === 'left' ? 'right' : 'left'} page.`,
      };
}
