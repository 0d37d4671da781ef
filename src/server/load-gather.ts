import 'server-only';
import { isHex } from '../core/color/color';
import type { Theme } from '../core/kit/gather';
import { COLOR_THEMES } from '../core/kit/color-themes';
import { spokenWeek } from '../core/week/day-names';
import { daysOfWeek, isWeekName, weekAfter, weekOf } from '../core/week/week';
import { gatheredFacts, gatheredFor } from '../db/gathered';
import { findSpreadOfWeek } from '../db/spreads';
import { weeksToPlan } from './plan-week';
import { store } from './store';
import { today } from './today';
import { houseWeekStart } from './week-start';

export interface GatherPage {
  readonly week: string;
  readonly title: string;
  /** the spread that it has already */
  readonly spreadId: number | null;
  /** foils that any sticker has */
  readonly foils: readonly string[];
  readonly theme: Theme;
  /** `kit/code` of what was gathered for it before; null: nothing was */
  readonly keys: readonly string[] | null;
}

/** What a week is gathered by: what it was before, the colors that were asked for, or the first theme there is. */
export async function loadGather(asked: {
  week?: string | undefined;
  colors?: string | undefined;
}): Promise<GatherPage> {
  const db = await store();
  const start = await houseWeekStart(db);
  const first = (await weeksToPlan(db))[0]?.week ?? weekAfter(weekOf(await today()));
  const week = asked.week && isWeekName(asked.week) ? asked.week : first;
  const [row, spread, foils] = await Promise.all([
    db.selectFrom('kit').select('facts').where('id', '=', gatheredFor(week)).executeTakeFirst(),
    findSpreadOfWeek(db, week),
    db.selectFrom('piece').select('foil').distinct().where('foil', '!=', 'none').orderBy('foil').execute(),
  ]);
  const before = row ? gatheredFacts(row.facts) : null;
  const colors = colorsIn(asked.colors ?? '');
  return {
    week,
    title: spokenWeek(daysOfWeek(week, start)),
    spreadId: spread?.id ?? null,
    foils: foils.map((f) => f.foil),
    theme: colors ? { colors, foil: null } : (before?.theme ?? FIRST),
    keys: colors ? null : (before?.gathered ?? null),
  };
}

const FIRST: Theme = { colors: COLOR_THEMES[0]?.colors.slice(0, 3) ?? [], foil: null };

/** Two to four colors out of an address; null: none are asked for. */
function colorsIn(text: string): string[] | null {
  const colors = [
    ...new Set(
      text
        .toLowerCase()
        .split(',')
        .map((c) => `#${c}`),
    ),
  ]
    .filter(isHex)
    .slice(0, 4);
  return colors.length >= 2 ? colors : null;
}
