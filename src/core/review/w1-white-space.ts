import { isOf } from '../kit/is-of';
import { blanksOf } from '../eye/blanks';
import { sightOf } from '../eye/sight';
import type { Sight } from '../eye/sight';
import { fitBox } from '../arrange/boxes/box-fit';
import { traits } from '../kit/kinds';
import type { Kind } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { keptFree, lengthOf, wantedWhite } from '../spread/free-room';
import type { Stretch } from '../spread/free-room';
import { piecesOf } from '../spread/choose';
import { topOf } from './where';
import type { About, Finding, Rule, Said, View } from './finding';
import type { Voice } from '../spread/voice';
import { dayName, mm } from '../spread/voice';
import { dayColumn } from '../book/columns';
import { whiteSpace } from './balance';
import { restDays } from '../spread/rest-days';

/** A day may have this share less than is wanted before it is said. From memory. */
const SHORT = 0.15;
/** A bare run longer than this, mm, looks forgotten, unless more is wanted white. From memory. */
const FORGOTTEN = 45;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/** W1: a share of white space in each day, as the school or its owner wants it, and no gap by accident. */
export const w1WhiteSpace: Rule<Case> = {
  code: 'W1',
  title: 'White space as wanted',
  say,
  check(view) {
    if (!view.placements.length) return [];
    return [...DAYS.flatMap((day) => fuller(view, day)), ...(isLaidOut(view) ? barer(view) : [])];
  },
};

/** While a week is still being laid, bare paper says nothing. */
const isLaidOut = (view: View): boolean => view.carriers.size > 0 && view.unplaced.length === 0;

function fuller(view: View, day: number): Found[] {
  const wanted = view.context.options.whiteSpace;
  const share = whiteSpace(view, day);
  const boxed = view.context.ways.boxes < 7 && view.placements.some((p) => p.role === 'box' && p.day === day);
  if (wanted <= SHORT || !dayColumn(view.context.book, day) || boxed || share >= wanted - SHORT) return [];
  return [found(view, { is: 'fuller', days: [day], share, wanted })];
}

/** Long bare runs into which a box or a picture that is left would go: said once for all days. */
function barer(view: View): Found[] {
  const sight = sightOf(view.context, view.placements);
  const bare = DAYS.flatMap((day) => forgotten(view, sight, day));
  const [first] = bare;
  if (!first) return [];
  const longest = Math.max(...bare.map((b) => b.mm));
  return [found(view, { is: 'barer', days: bare.map((b) => b.day), mm: longest, kind: first.kind })];
}

/** The longest bare run of a day, where something left would go in beside what is kept for what comes up. */
function forgotten(view: View, sight: Sight, day: number): { day: number; mm: number; kind: Kind }[] {
  const column = sight.columns[day];
  if (!column || view.context.ways.deco !== 'spread' || restDays(view.context).has(day)) return [];
  const runs = blanksOf(column, [...(sight.byDay[day] ?? []), ...view.openPlaces.filter((p) => p.day === day)]);
  const longest = runs.reduce<Stretch>((a, b) => (lengthOf(b) > lengthOf(a) ? b : a), { from: 0, to: 0 });
  const bare = lengthOf(longest);
  if (bare <= Math.max(FORGOTTEN, wantedWhite(view.context, day))) return [];
  const room = bare - keptFree(view.context, day) - 2 * view.context.options.gap;
  const goes = (p: Piece): boolean =>
    isOf(view.context.kit, p) &&
    view.draft.ledger.untouched(p) > 0 &&
    (p.kind === 'deco' ? p.width <= column.w && p.height <= room : fitBox(p, column.w, room) !== null);
  const piece = piecesOf(view.context, 'half-box', 'deco').find(goes);
  return piece ? [{ day, mm: bare, kind: piece.kind }] : [];
}

const found = (view: View, about: Case): Found => ({
  rule: 'W1',
  severity: 'look',
  ...topOf(view, about.days[0] as number),
  placements: [],
  about,
});

type Found = Finding<Case>;

type Case = About & { readonly days: readonly number[] } & (
    | { readonly is: 'fuller'; /** 0-1 */ readonly share: number; readonly wanted: number }
    | { readonly is: 'barer'; /** of bare paper in one piece */ readonly mm: number; readonly kind: Kind }
  );

function say({ about }: Found, voice: Voice): Said {
  const days = about.days.map((d) => dayName(voice, d)).join(', ');
  if (about.is === 'barer')
    return {
      message: `${days} ${about.days.length > 1 ? 'have up to' : 'has'} ${mm(voice, about.mm)} of bare paper in one piece, and a ${traits(about.kind).label} that is left would go there.`,
      remedy: 'Place what is left, or spread the day’s items over its height.',
    };
  return {
    message: `${days} is fuller than wanted: ${Math.round(about.share * 100)} % is white, ${Math.round(about.wanted * 100)} % is wanted.`,
    remedy: 'Take a picture off, use lower bases, or move something to a neighbor day.',
  };
}
