import { sayPlanned } from '../kit/planned';
import type { WeekName } from '../week/week';
import type { Section } from '../manner/section';
import type { Finding, Rule, Said, View } from './finding';
import type { Voice } from '../spread/voice';
import { counted, dayName, kitName, mm } from '../spread/voice';
import { isWriting } from '../spread/placement';
import { dateHeader, regionsOf, runsOfDays, weekendDays } from '../book/columns';
import { piecesOf } from '../spread/choose';
import type { Need } from '../arrange/counting/needs';
import { SECTION_KINDS, frameNeeds } from '../arrange/counting/needs';
import type { Kind } from '../kit/kinds';
import { traits } from '../kit/kinds';
import { SECTIONS } from '../manner/section';
import { dayOfMonth } from '../week/day-names';
import { countOf } from './count-of';

/** K1: count before starting; what this week needs against what the kit has, and the stash. */
export const k1Count: Rule<Case> = {
  code: 'K1',
  title: 'Count before starting',
  say,
  check: (view) => [
    ...frameNeeds(view.context).flatMap((want) => shortOf(view, want)),
    ...numbersLacking(view),
    ...sectionsLacking(view),
    ...bannerTooWide(view),
    ...writtenOnPaper(view),
  ],
};

/** What the kit lacks and the stash fills in; what neither has is K2's. */
function shortOf(view: View, need: Need): Found[] {
  const { kind, needed } = need;
  const { inKit, inStash, rolls, covered, planned } = countOf(view, need);
  if (inKit >= needed || !covered) return [];
  const spot = view.context.book.regions[0];
  return [
    {
      rule: 'K1',
      severity: 'look',
      page: spot?.page ?? 0,
      x: spot?.x ?? 0,
      y: spot?.y ?? 0,
      placements: [],
      about: { is: 'from the stash', kind, kit: view.context.kit.name, needed, inKit, inStash, rolls, planned },
    },
  ];
}

function numbersLacking(view: View): Found[] {
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
      about: { is: 'numbers', kind: 'date-dot', numbers: lacking },
    },
  ];
}

function sectionsLacking(view: View): Found[] {
  const bar = regionsOf(view.context.book, 'sidebar')[0];
  if (!bar || !view.placements.length) return [];
  const inBar = view.placements.filter((p) => p.role === 'sidebar');
  /** kinds that no section has taken yet */
  let left = inBar.flatMap((p) => view.pieceOf(p)?.kind ?? []);
  return SECTIONS.filter((s) => view.context.options.sidebar.includes(s)).flatMap((section): Found[] => {
    if (inBar.some((p) => p.text?.startsWith(section))) return []; // made from a list or from lines
    const kinds = SECTION_KINDS[section];
    const i = left.findIndex((kind) => kinds.includes(kind));
    if (i >= 0) {
      const kind = left[i];
      left = left.filter((k, n) => (section === 'habits' ? k !== kind : n !== i));
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
        about: { is: 'section', kind: kinds[0] as Kind, section, wide: bar.w, widest },
      },
    ];
  });
}

/** Items that no sticker carries: they are written on the paper, which is no fault, but worth knowing before. */
function writtenOnPaper(view: View): Found[] {
  const written = view.context.week.demands.filter((d) => {
    const carrier = view.carriers.get(d.key);
    return carrier !== undefined && isWriting(carrier);
  });
  const first = written[0] && view.carriers.get(written[0].key);
  if (!first) return [];
  return [
    {
      rule: 'K1',
      severity: 'look',
      page: first.page,
      x: first.x,
      y: first.y,
      placements: [...new Set(written.map((d) => view.carriers.get(d.key)?.id ?? ''))],
      about: {
        is: 'on paper',
        days: [...new Set(written.map((d) => d.day))].sort((a, b) => a - b),
        demands: written.map((d) => d.key),
        items: view.carriers.size,
      },
    },
  ];
}

function bannerTooWide(view: View): Found[] {
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
      about: apart
        ? { is: 'days apart', kind: 'banner' }
        : { is: 'banner too wide', kind: 'banner', mm: narrowest - span.w },
    },
  ];
}

type Found = Finding<Case>;

type Case =
  | {
      readonly is: 'from the stash';
      readonly kind: Kind;
      readonly kit: string;
      readonly needed: number;
      readonly inKit: number;
      readonly inStash: number;
      readonly rolls: number;
      /** weeks that have copies planned, one entry a copy */
      readonly planned: readonly WeekName[];
    }
  | { readonly is: 'numbers'; readonly kind: 'date-dot'; readonly numbers: readonly number[] }
  | {
      readonly is: 'section';
      readonly kind: Kind;
      readonly section: Section;
      readonly wide: number;
      readonly widest: number;
    }
  | {
      readonly is: 'on paper';
      readonly days: readonly number[];
      readonly demands: readonly string[];
      /** all items that have a place */
      readonly items: number;
    }
  | { readonly is: 'days apart'; readonly kind: 'banner' }
  | { readonly is: 'banner too wide'; readonly kind: 'banner'; readonly mm: number };

function say({ about }: Found, voice: Voice): Said {
  switch (about.is) {
    case 'from the stash': {
      const { label, plural } = traits(about.kind);
      const help = about.rolls
        ? `${counted(about.rolls, 'roll')} of washi in the stash`
        : `${about.inStash} in the stash`;
      const are = (about.rolls || about.inStash) === 1 ? 'is' : 'are';
      return {
        message: `The week wants ${about.needed} ${about.needed === 1 ? label : plural}; the kit “${kitName(voice, about.kit)}” has ${about.inKit}${about.planned.length ? ` (${sayPlanned(about.planned)})` : ''}, and there ${are} ${help}.`,
        remedy: 'The stash fills in; look whether it matches.',
      };
    }
    case 'numbers': {
      const n = about.numbers.length;
      return {
        message: `${counted(n, 'date dot')} of 7 ${n === 1 ? 'is' : 'are'} lacking: ${about.numbers.join(', ')}.`,
        remedy: 'Write these numbers on their covers.',
      };
    }
    case 'section': {
      const widest = about.widest > about.wide ? ` (the widest is ${mm(voice, about.widest)})` : '';
      return {
        message: `The sidebar has no “${about.section.replace('-', ' ')}”: no ${traits(about.kind).label} is left that fits ${mm(voice, about.wide)} of width and the height there${widest}.`,
        remedy: 'Make one from a list or from lines, or leave the section out.',
      };
    }
    case 'on paper': {
      const n = about.demands.length;
      return {
        message: `${counted(n, 'item')} of ${about.items} ${n === 1 ? 'has' : 'have'} no sticker left to carry ${n === 1 ? 'it' : 'them'} and ${n === 1 ? 'is' : 'are'} written on the paper: ${about.days.map((d) => dayName(voice, d)).join(', ')}.`,
        remedy: 'A sheet of labels or third boxes would carry them; the stash may have some.',
      };
    }
    default:
      return {
        message:
          about.is === 'days apart'
            ? 'No weekend banner: its 2 days do not stand side by side in this book.'
            : `No weekend banner: the narrowest one is ${mm(voice, about.mm)} wider than the two weekend columns.`,
        remedy: 'Leave it out, or use a header on each day instead.',
      };
  }
}
