import { piecesOf, strangeness, FOREIGN } from '../spread/choose';
import { spokenName } from '../kit/kit';
import { traits } from '../kit/kinds';
import { isSoon } from '../kit/suggest';
import { longDate } from '../week/day-names';
import type { Finding, Rule, View } from './finding';
import { at, counted, pieceName, sentence, topOf } from './say';

/** K6: seasonal things carry a use-by: nothing past it is laid down, and what nears it is not forgotten. */
export const k6UseBy: Rule = {
  code: 'K6',
  title: 'Seasonal stickers meet their season',
  check: (view) => [
    ...pastIt(view),
    ...Object.entries(view.context.useBy).flatMap(([kit, day]) => forgotten(view, kit, day)),
  ],
};

function pastIt(view: View): Finding[] {
  const first = view.context.week.days[0] as string;
  return view.placements.flatMap((p): Finding[] => {
    const day = view.context.useBy[p.kit];
    if (day === undefined || day >= first) return [];
    return [
      {
        rule: 'K6',
        severity: 'look',
        ...at(p),
        placements: [p.id],
        message: `${sentence(pieceName(view, p))} is from “${spokenName(p.kit)}”, which was to be used by ${longDate(day)}.`,
        remedy: 'Swap it for one that is in season.',
      },
    ];
  });
}

function forgotten(view: View, kit: string, day: string): Finding[] {
  if (
    !isSoon(day, view.context.week.days[0] as string) ||
    view.placements.length === 0 ||
    view.placements.some((p) => p.kit === kit)
  )
    return [];
  const fitting = piecesOf(
    view.context,
    'full-box',
    'deco',
    'half-box',
    'third-box',
    'quarter-box',
    'label',
    'flag',
    'header',
  ).filter((p) => p.kit === kit && strangeness(p, view.context) <= FOREIGN && view.draft.ledger.untouched(p) > 0);
  if (!fitting.length) return [];
  return [
    {
      rule: 'K6',
      severity: 'look',
      ...topOf(view, 0),
      placements: [],
      message: `“${spokenName(kit)}” is to be used by ${longDate(day)}, and none of it is here; ${counted(fitting.length, 'design')} of it, such as the ${traits((fitting[0] as (typeof fitting)[number]).kind).label} ${(fitting[0] as (typeof fitting)[number]).code}, would suit this kit.`,
      remedy: 'Let one of its pieces take another’s place, or keep it for a later week in its season.',
    },
  ];
}
