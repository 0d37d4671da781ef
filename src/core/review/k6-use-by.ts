import { own } from '../measure/own';
import { at, topOf } from './where';
import type { Kind } from '../kit/kinds';
import type { IsoDay } from '../week/week';
import type { Finding, Rule, Said, View } from './finding';
import type { Voice } from '../spread/voice';
import { counted, kitName, pieceName, sentence } from '../spread/voice';
import { piecesOf, strangeness, FOREIGN } from '../spread/choose';
import { KIND_NAMES, traits } from '../kit/kinds';
import { isSoon } from '../kit/suggest';
import { longDate } from '../week/day-names';
import { laidLooks } from '../spread/looks-name';

/** K6: seasonal things carry a use-by: nothing past it is laid down, and what nears it is not forgotten. */
export const k6UseBy: Rule<Case> = {
  code: 'K6',
  title: 'Seasonal stickers meet their season',
  say,
  check: (view) => [
    ...pastIt(view),
    ...Object.entries(view.context.useBy).flatMap(([kit, day]) => forgotten(view, kit, day)),
  ],
};

function pastIt(view: View): Found[] {
  const first = view.context.week.days[0] as string;
  return view.placements.flatMap((p): Found[] => {
    const day = own(view.context.useBy, p.kit);
    if (day === undefined || day >= first) return [];
    return [
      {
        rule: 'K6',
        severity: 'look',
        ...at(p),
        placements: [p.id],
        about: { is: 'past', kit: p.kit, by: day },
      },
    ];
  });
}

function forgotten(view: View, kit: string, day: string): Found[] {
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
    'header',
    ...KIND_NAMES.filter((kind) => traits(kind).carriesItem),
  ).filter((p) => p.kit === kit && strangeness(p, view.context) <= FOREIGN && view.draft.ledger.untouched(p) > 0);
  const [first] = fitting;
  if (!first) return [];
  return [
    {
      rule: 'K6',
      severity: 'look',
      ...topOf(view, 0),
      placements: [],
      about: { is: 'soon', kit, by: day, designs: fitting.length, kind: first.kind, code: first.code },
    },
  ];
}

type Found = Finding<Case>;

type Case = { readonly kit: string; readonly by: IsoDay } & (
  | { readonly is: 'past' }
  | { readonly is: 'soon'; readonly designs: number; readonly kind: Kind; readonly code: string }
);

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  const kit = `“${kitName(voice, about.kit)}”`;
  return about.is === 'past'
    ? {
        message: `${sentence(pieceName(voice, id))} is from ${kit}, which was to be used by ${longDate(about.by)}.`,
        remedy: 'Swap it for one that is in season.',
      }
    : {
        message: `${kit} is to be used by ${longDate(about.by)}, and none of it is here; ${counted(about.designs, 'design')} of it, such as the ${laidLooks(voice, about)}, would suit this kit.`,
        remedy: 'Let one of its pieces take another’s place, or keep it for a later week in its season.',
      };
}
