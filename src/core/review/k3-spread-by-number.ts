import { isOf } from '../kit/is-of';
import { topOf } from './where';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, dayName } from '../spread/voice';
import { piecesOf } from '../spread/choose';
import { opensDay } from '../arrange/base/headers';
import type { Kind } from '../kit/kinds';
import { traits } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { restDays } from '../spread/rest-days';

/** Kinds of which each day wants one. */
const ONE_A_DAY: readonly { kind: Kind; fits: (p: Piece) => boolean }[] = [
  { kind: 'header', fits: opensDay },
  { kind: 'date-cover', fits: () => true },
  { kind: 'full-box', fits: () => true },
];

/**
 * K3: pieces are spread over the days by their number, not by habit: none left on its sheet while a day goes without.
 */
export const k3SpreadByNumber: Rule<Case> = {
  code: 'K3',
  title: 'Pieces are spread by their number',
  say,
  check(view) {
    const { context } = view;
    const { draft } = view;
    const rest = restDays(context);
    return ONE_A_DAY.flatMap(({ kind, fits }): Found[] => {
      const designs = piecesOf(context, kind).filter((p) => isOf(context.kit, p) && fits(p));
      const used = view.placements.filter(
        (p) => designs.some((d) => d.code === p.code && d.kit === p.kit) && p.day !== null,
      );
      const left = designs.reduce((n, p) => n + draft.ledger.untouched(p), 0);
      const wanted = kind === 'full-box' ? Math.min(7, context.ways.boxes) : 7;
      const days = new Set(used.map((p) => p.day));
      const without = [0, 1, 2, 3, 4, 5, 6].filter((d) => !days.has(d) && (kind === 'full-box' || !rest.has(d)));
      if (!days.size || !left || days.size >= wanted || !without.length) return [];
      return [
        {
          rule: 'K3',
          severity: 'look',
          ...topOf(view, without[0] as number),
          placements: [],
          about: { is: 'left over', kind, days: without, left },
        },
      ];
    });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly kind: Kind;
  /** those that go without */
  readonly days: readonly number[];
  readonly left: number;
}

function say({ about }: Found, voice: Voice): Said {
  const { label, plural } = traits(about.kind);
  const days = about.days.map((d) => dayName(voice, d)).join(', ');
  return {
    message: `The sheet still has ${counted(about.left, label, plural)}, while ${days} ${about.days.length === 1 ? 'goes' : 'go'} without.`,
    remedy:
      about.kind === 'full-box'
        ? 'Make room on one of these days, or keep the box for another week.'
        : 'Place one on each of these days.',
  };
}
