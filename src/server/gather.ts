'use server';

import { colorNames } from '../core/color/color-name';
import { BadInput, quoted } from '../core/format/fault';
import type { Source } from '../core/kit/gather';
import { gather, suiting } from '../core/kit/gather';
import type { Piece } from '../core/kit/kit';
import { pieceKey } from '../core/kit/kit';
import { stockOfKit, sumsOf } from '../core/kit/stock';
import { seasonOf } from '../core/kit/suggest';
import { sayTheme } from '../core/kit/say-theme';
import { meaningsOf } from '../core/week/meaning';
import type { Database } from '../db/database';
import { gatheredFor, putGathered } from '../db/gathered';
import { allKits, listKits } from '../db/kits';
import { plannedKits } from '../db/plans';
import { findSpreadOfWeek } from '../db/spreads';
import { allUses, stockEvents } from '../db/stock';
import { check } from './dto/check';
import { GatherDto, KeepGatheredDto } from './dto/gather.dto';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';
import { weekDemands } from './week-demands';
import { houseWeekStart } from './week-start';

/** What goes with a theme. */
export interface Gathered {
  /** the best first: those that are taken, and some that would go with them too */
  readonly pieces: readonly Piece[];
  /** `kit/code` of those that are taken */
  readonly keys: readonly string[];
  /** copies that are left of each, by its key */
  readonly left: readonly (readonly [key: string, copies: number])[];
}

/** So many more are shown, to be put in by hand. */
const MOST_MORE = 150;

/** What goes with a theme in a week, from all kits and the stash. */
export async function gatherFor(input: unknown): Promise<Outcome<Gathered>> {
  return outcome(async () => {
    const db = await store();
    const { week, theme } = check(GatherDto, input, 'theme');
    const demands = await weekDemands(db, week, await houseWeekStart(db));
    const sources = await sourcesFor(db, week, demands.days[0] ?? '');
    const leftOf = new Map(sources.flatMap((s) => s.kit.pieces.map((p) => [pieceKey(p), s.left(p)] as const)));
    const copies = (p: Piece): number => {
      const left = leftOf.get(pieceKey(p));
      return left ? left.whole || left.cut : 0;
    };
    const meanings = new Set(demands.demands.flatMap((d) => meaningsOf(d.title, d.categories)));
    const near = suiting(theme, sources, meanings);
    const taken = gather(near, copies);
    const keys = new Set(taken.map(pieceKey));
    const more = near.map((s) => s.piece).filter((p) => !keys.has(pieceKey(p)));
    const pieces = [...taken, ...more.slice(0, MOST_MORE)];
    return { pieces, keys: [...keys], left: pieces.map((p) => [pieceKey(p), copies(p)] as const) };
  });
}

/** Kits and stashes that a week may be gathered from: none that waits for its own week. */
async function sourcesFor(db: Database, week: string, day: string): Promise<Source[]> {
  const [rows, kits, planned, uses, events] = await Promise.all([
    listKits(db),
    allKits(db),
    plannedKits(db),
    allUses(db),
    stockEvents(db),
  ]);
  const waiting = new Set([...planned].filter(([w]) => w !== week).map(([, kit]) => kit));
  return rows.flatMap(({ id, facts }): Source[] => {
    const kit = kits.find((k) => k.name === id);
    const isKept = facts.keptFor !== null && facts.keptFor !== week;
    if (!kit || facts.retired || isKept || waiting.has(id)) return [];
    const stock = new Map(stockOfKit(kit, uses, events).map((line) => [line.piece.code, sumsOf([line])]));
    return [
      {
        kit,
        left: ({ code }) => ({ whole: stock.get(code)?.whole ?? 0, cut: stock.get(code)?.cut ?? 0 }),
        inSeason: facts.season && facts.season === seasonOf(day),
      },
    ];
  });
}

/** Keeps what was gathered as the week's own kit. */
export async function keepGathered(input: unknown): Promise<Outcome<{ kit: string; title: string }>> {
  return inOneStroke(async (db) => {
    const { week, theme, keys } = check(KeepGatheredDto, input, 'theme');
    if (await findSpreadOfWeek(db, week))
      throw new BadInput([{ file: 'theme', where: 'week', found: quoted(week), expected: 'a week that is not begun' }]);
    const there = new Set((await allKits(db)).flatMap((k) => k.pieces.map(pieceKey)));
    const lost = keys.find((key) => !there.has(key));
    if (lost !== undefined)
      throw new BadInput([{ file: 'theme', where: 'stickers', found: quoted(lost), expected: 'a sticker of yours' }]);
    const title = sayTheme(colorNames(theme.colors), theme.foil);
    await putGathered(db, week, { title, theme, gathered: keys });
    return { kit: gatheredFor(week), title };
  });
}
