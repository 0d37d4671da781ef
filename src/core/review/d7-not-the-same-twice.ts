import { at } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName } from '../spread/voice';
import { bottom } from '../measure/rect';

/** The same again within this many mm looks like a mistake. From memory. */
const UNDER = 30;

/** D7: the same script or header directly under itself is dull. */
export const d7NotTheSameTwice: Rule<Case> = {
  code: 'D7',
  title: 'No header or script under itself',
  say,
  check: (view) =>
    (['header', 'script'] as const).flatMap((kind) =>
      [0, 1, 2, 3, 4, 5, 6].flatMap((day) => {
        const down = view.placements
          .filter((p) => p.day === day && view.pieceOf(p)?.kind === kind)
          .sort((a, b) => a.y - b.y);
        return down.slice(1).flatMap((lower, i): Found[] => {
          const upper = down[i] as typeof lower;
          const [one, other] = [view.pieceOf(upper), view.pieceOf(lower)];
          const same = one === other || (one?.words !== '' && one?.words === other?.words);
          if (!same || lower.y - bottom(upper) > UNDER) return [];
          return [
            {
              rule: 'D7',
              severity: 'look',
              ...at(lower),
              placements: [upper.id, lower.id],
              about: { is: 'under itself', days: [day], kind, words: one?.words ?? '' },
            },
          ];
        });
      }),
    ),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly days: readonly [number];
  readonly kind: 'header' | 'script';
  readonly words: string;
}

function say({ about }: Found, voice: Voice): Said {
  return {
    message: `${dayName(voice, about.days[0])} has the same ${about.kind}${about.words ? ` “${about.words}”` : ''} twice, one under the other.`,
    remedy: 'Swap one of them.',
  };
}
