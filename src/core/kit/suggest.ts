import { difference } from '../color/color';
import type { WeekDemands } from '../week/demand';
import type { IsoDay, WeekName } from '../week/week';
import type { Kit } from './kit';
import { palette } from './kit';

export const SEASONS = ['spring', 'summer', 'autumn', 'winter'] as const;
export type Season = (typeof SEASONS)[number];

/** What its owner knows of a kit beside its pieces. */
export interface KitFacts {
  /** what its owner calls it; empty: its name, as it is spoken */
  readonly title: string;
  /** where it lies: a drawer, a folder */
  readonly place: string;
  /** it is offered for no week any more; what lies on spreads stays */
  readonly retired: boolean;
  readonly season: Season | null;
  /** mood and occasion, in words */
  readonly moods: string;
  readonly useBy: IsoDay | null;
  readonly price: number | null;
  readonly shop: string;
  readonly notes: string;
  /** the week it is kept for (handbook 4: holiday kits are saved for their week) */
  readonly keptFor: WeekName | null;
}

export const NO_FACTS: KitFacts = {
  title: '',
  place: '',
  retired: false,
  season: null,
  moods: '',
  useBy: null,
  price: null,
  shop: '',
  notes: '',
  keptFor: null,
};

/** The season of a day in the northern half of the world, by whole months. Common practice. */
export const seasonOf = (day: IsoDay): Season =>
  SEASONS[Math.floor(((Number(day.slice(5, 7)) + 9) % 12) / 3)] as Season;

export interface Candidate {
  readonly kit: Kit;
  readonly facts: KitFacts;
  /** share of its pieces that are whole, 0 to 1 */
  readonly left: number;
  /** weeks since one was laid out with it; null or left out: none was lately */
  readonly weeksAgo?: number | null;
}

export interface Suggestion {
  readonly kit: string;
  readonly score: number;
  readonly why: string;
}

/** Days before its use-by from which something comes first. From memory. */
const SOON_DAYS = 42;
/** Share of a kit that is little; of half as much no week is made. From memory. */
const FEW = 0.25;
/** Of a kit that is half used a week can hardly be made. */
const HALF = 0.5;
/** What a kit seen so many weeks ago loses by it, the last week's first. From memory. */
const SEEN_AGO = [4, 4, 2, 1] as const;

/** Whether something must be used within six weeks of a day. */
export const isSoon = (useBy: IsoDay | null, day: IsoDay): boolean =>
  useBy !== null && useBy >= day && daysTo(useBy, day) <= SOON_DAYS;
const daysTo = (later: IsoDay, day: IsoDay): number => Math.round((Date.parse(later) - Date.parse(day)) / 86_400_000);

/**
 * Kits for a week, the best first: what is kept for it, then use-by, season, words that fit, and what is left. One
 * kept for another week is not offered.
 */
export function suggestKits(week: WeekDemands, candidates: readonly Candidate[]): Suggestion[] {
  const first = week.days[0] as IsoDay;
  const titles = week.demands
    .map((d) => `${d.title} ${d.categories.join(' ')}`)
    .join(' ')
    .toLowerCase();
  return candidates
    .filter((c) => !c.facts.retired && (c.facts.keptFor === null || c.facts.keptFor === week.week))
    .flatMap(({ kit, facts, left, weeksAgo = null }): Suggestion[] => {
      if (left < FEW / 2) return [];
      if (facts.useBy !== null && facts.useBy < first) return [];
      const words =
        facts.moods
          .toLowerCase()
          .match(/[\p{L}]{4,}/gu)
          ?.filter((w) => titles.includes(w)) ?? [];
      const season = facts.season === null ? 0 : facts.season === seasonOf(first) ? 1 : -1;
      const reasons: [number, string][] = [
        [facts.keptFor === week.week ? 20 : 0, 'kept for this week'],
        [isSoon(facts.useBy, first) ? 6 : 0, `to be used by ${facts.useBy}`],
        [season > 0 ? 4 : 0, `a ${facts.season} kit`],
        [words.length ? 3 + words.length : 0, `fits “${words[0]}”`],
        [left >= 0.9 ? 2 : left < FEW ? 0 : 1, left >= 0.9 ? 'whole' : `${Math.round(left * 100)} % left`],
      ];
      const said = reasons.filter(([n]) => n > 0);
      return [
        {
          kit: kit.name,
          score:
            said.reduce((sum, [n]) => sum + n, 0) -
            (season < 0 ? 5 : 0) -
            (left < HALF ? 8 : 0) -
            (weeksAgo === null ? 0 : (SEEN_AGO[weeksAgo] ?? 0)),
          why: [
            ...said.map(([, why]) => why),
            ...(weeksAgo !== null && weeksAgo <= 1 ? ['on last week’s pages'] : []),
          ].join(', '),
        },
      ];
    })
    .sort((a, b) => b.score - a.score || (a.kit < b.kit ? -1 : 1));
}

/**
 * Palettes that near, color by color (CIEDE2000, mean of the nearest), go together. From memory: looked at, not
 * measured.
 */
const TOGETHER = 14;

/** Two begun kits that could make one week between them, the best match first. */
export function pairsThatGo(candidates: readonly Candidate[]): { one: string; other: string; apart: number }[] {
  const begun = candidates.filter((c) => c.left >= 0.15 && c.left <= 0.75);
  return begun
    .flatMap((a, i) =>
      begun.slice(i + 1).map((b) => ({ one: a.kit.name, other: b.kit.name, apart: apart(a.kit, b.kit) })),
    )
    .filter((p) => p.apart <= TOGETHER)
    .sort((a, b) => a.apart - b.apart);
}

function apart(a: Kit, b: Kit): number {
  const [one, other] = [palette(a), palette(b)];
  const nearest = (from: readonly string[], to: readonly string[]): number[] =>
    from.map((c) => Math.min(...to.map((d) => difference(c, d))));
  const all = [...nearest(one, other), ...nearest(other, one)];
  return all.reduce((sum, d) => sum + d, 0) / Math.max(1, all.length);
}
