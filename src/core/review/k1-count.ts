import { dateHeader, regionsOf, runsOfDays, weekendDays } from '../book/columns';
import { piecesOf } from '../spread/choose';
import type { Need } from '../arrange/counting/needs';
import { SECTION_KINDS, frameNeeds } from '../arrange/counting/needs';
import type { Kind } from '../kit/kinds';
import { spokenName } from '../kit/kit';
import { traits } from '../kit/kinds';
import { SECTIONS } from '../manner/options';
import { dayOfMonth } from '../week/day-names';
import { countOf } from './count-of';
import type { Finding, Rule, View } from './finding';
import { counted, mm } from './say';

/** K1: count before starting; what this week needs against what the kit has, and the stash. */
export const k1Count: Rule = {
  code: 'K1',
  title: 'Count before starting',
  check: (view) => [
    ...frameNeeds(view.context).flatMap((want) => shortOf(view, want)),
    ...numbersLacking(view),
    ...sectionsLacking(view),
    ...bannerTooWide(view),
  ],
};

/** What the kit lacks and the stash fills in; what neither has is K2's. */
function shortOf(view: View, need: Need): Finding[] {
  const { kind, needed } = need;
  const { inKit, inStash, rolls, covered } = countOf(view, need);
  if (inKit >= needed || !covered) return [];
  const name = needed === 1 ? traits(kind).label : traits(kind).plural;
  const help = rolls ? `${counted(rolls, 'roll')} of washi in the stash` : `${inStash} in the stash`;
  const spot = view.context.book.regions[0];
  return [
    {
      rule: 'K1',
      severity: 'look',
      page: spot?.page ?? 0,
      x: spot?.x ?? 0,
      y: spot?.y ?? 0,
      placements: [],
      message: `The week wants ${needed} ${name}; the kit “${spokenName(view.context.kit.name)}” has ${inKit}, and there ${rolls === 1 || (!rolls && inStash === 1) ? 'is' : 'are'} ${help}.`,
      remedy: 'The stash fills in; look whether it matches.',
    },
  ];
}

function numbersLacking(view: View): Finding[] {
  const { context } = view;
  const dots = piecesOf(context, 'date-dot');
  const written = new Set(
    view.placements.filter((p) => p.text && view.pieceOf(p)?.kind === 'date-cover').map((p) => p.text?.trim()),
  );
  const lacking = context.week.days
    .map(dayOfMonth)
    .filter((n) => !dots.some((p) => p.words.trim() === String(n)) && !written.has(String(n)));
  const header = dateHeader(context.book, 0);
  if (!lacking.length || !header) return [];
  return [
    {
      rule: 'K1',
      severity: 'look',
      page: header.page,
      x: header.x,
      y: header.y,
      placements: [],
      message: `${counted(lacking.length, 'date dot')} of 7 ${lacking.length === 1 ? 'is' : 'are'} lacking: ${lacking.join(', ')}.`,
      remedy: 'Write these numbers on their covers.',
    },
  ];
}

function sectionsLacking(view: View): Finding[] {
  const bar = regionsOf(view.context.book, 'sidebar')[0];
  if (!bar || !view.placements.length) return [];
  const inBar = view.placements.filter((p) => p.role === 'sidebar');
  const left = inBar.map((p) => view.pieceOf(p)?.kind);
  return SECTIONS.filter((s) => view.context.options.sidebar.includes(s)).flatMap((section): Finding[] => {
    if (inBar.some((p) => p.text?.startsWith(section))) return []; // made from a list or from lines
    const kinds = SECTION_KINDS[section];
    const i = left.findIndex((kind) => kind !== undefined && kinds.includes(kind));
    if (i >= 0) {
      const kind = left[i];
      if (section === 'habits') left.forEach((k, n) => k === kind && delete left[n]);
      else delete left[i];
      return [];
    }
    const widest = Math.max(0, ...piecesOf(view.context, ...kinds).map((p) => p.width));
    return [
      {
        rule: 'K1',
        severity: 'look',
        page: bar.page,
        x: bar.x,
        y: bar.y,
        placements: [],
        message: `The sidebar has no “${section.replace('-', ' ')}”: no ${traits(kinds[0] as Kind).label} is left that fits ${mm(view, bar.w)} of width and the height there${widest > bar.w ? ` (the widest is ${mm(view, widest)})` : ''}.`,
        remedy: 'Make one from a list or from lines, or leave the section out.',
      },
    ];
  });
}

function bannerTooWide(view: View): Finding[] {
  const { context } = view;
  if (
    !context.options.weekendBanner ||
    !view.placements.length ||
    view.placements.some((p) => view.pieceOf(p)?.kind === 'banner')
  )
    return [];
  const banners = piecesOf(context, 'banner');
  if (!banners.length) return [];
  const runs = runsOfDays(
    context.book,
    [...weekendDays(context.book)].sort((a, b) => a - b),
  );
  const span = runs[0]?.span;
  if (!span) return [];
  const apart = runs.length > 1;
  const narrowest = Math.min(...banners.map((p) => p.width));
  if (!apart && narrowest <= span.w) return [];
  return [
    {
      rule: 'K1',
      severity: 'look',
      page: runs[0]?.page ?? 0,
      x: span.x,
      y: span.y,
      placements: [],
      message: apart
        ? 'No weekend banner: its 2 days do not stand side by side in this book.'
        : `No weekend banner: the narrowest one is ${mm(view, narrowest - span.w)} wider than the two weekend columns.`,
      remedy: 'Leave it out, or use a header on each day instead.',
    },
  ];
}
