import type { Kit } from '../core/kit/kit';
import { isOf } from '../core/kit/is-of';
import { copyKey } from '../core/kit/ledger';
import { countedKit, goneBy, untouchedOf } from '../core/kit/stock';

import { isSoon } from '../core/kit/suggest';
import type { Placement, Context } from '../core/spread/placement';
import { daysOfWeek } from '../core/week/week';
import type { Database } from '../db/database';
import { gatheredFor } from '../db/gathered';
import { findKit, listKits } from '../db/kits';
import { kitsBegunBefore, stashOf, usedElsewhere } from '../db/spreads';
import { eventsOf, kitSums } from '../db/stock';

/** Begun kits that a new week may take from, at most, and stashes beside them. Common practice: one table's full. */
const MOST_BEGUN = 4;
const MOST_STASHES = 8;

/**
 * The kits that a week takes from beside its own where nothing else is chosen: the stashes, those first that are soon
 * over, and what is left of the latest kits; none that is kept for another week.
 */
export async function usualStash(db: Database, week: string, kit: string): Promise<string[]> {
  if (kit === gatheredFor(week)) return []; // what goes with it is in it
  const first = daysOfWeek(week)[0] as string;
  const rows = (await listKits(db)).filter(
    (k) => k.id !== kit && !k.facts.retired && (k.facts.keptFor === null || k.facts.keptFor === week),
  );
  const soon = (id: string): number => Number(isSoon(rows.find((k) => k.id === id)?.facts.useBy ?? null, first));
  const stashes = rows.filter((k) => k.role === 'stash').map((k) => k.id);
  const begun = (await kitsBegunBefore(db, week, MOST_BEGUN + 1)).map((b) => b.kit);
  return [
    ...stashes.sort((a, b) => soon(b) - soon(a)).slice(0, MOST_STASHES),
    ...begun.filter((id) => rows.some((k) => k.id === id && k.role === 'kit')).slice(0, MOST_BEGUN),
  ];
}

/** A kit and a stash as far as they are still there. */
export interface Stocked {
  readonly kit: Kit;
  readonly stash: readonly Kit[];
  /** parts of their stickers that are not there any more: on other weeks' spreads, spoiled, used */
  readonly gone: Context['usedElsewhere'];
}

/**
 * A week's kit, and of its stash what is living: a design without a copy left stays at home, unless the spread has it.
 * @returns null when there is no such kit
 */
export async function stocked(
  db: Database,
  spreadId: number,
  kitName: string,
  stashNames: readonly string[],
  placements: readonly Placement[],
): Promise<Stocked | null> {
  const own = await findKit(db, kitName);
  if (!own) return null;
  const beside = stashNames.filter((name) => name !== kitName);
  const names = [...new Set([kitName, ...own.pieces.map((p) => p.kit), ...beside])];
  const [elsewhere, events, ...others] = await Promise.all([
    usedElsewhere(db, spreadId, names),
    eventsOf(db, names),
    ...beside.map((name) => findKit(db, name)),
  ]);
  const kit = countedKit(own, events);
  const stash = others.flatMap((k) => (k ? [countedKit(k, events)] : []));
  const gone = onceEach([...elsewhere, ...goneBy(events)]);
  const living = stash
    .map((s) => livingPart(own.gathered ? withoutThose(s, own) : s, gone, placements))
    .filter((s) => s.pieces.length);
  const there = new Set([kit, ...living].flatMap((k) => k.pieces.map((p) => `${p.kit}/${p.code}`)));
  return { kit, stash: living, gone: gone.filter((g) => there.has(`${g.kit}/${g.code}`)) };
}

/** What of a kit was not gathered into another one. */
const withoutThose = (kit: Kit, gathered: Kit): Kit => ({
  ...kit,
  pieces: kit.pieces.filter((p) => !isOf(gathered, p)),
});

type Gone = Context['usedElsewhere'][number];

/** A part that two things speak of, once. */
const onceEach = (gone: readonly Gone[]): Gone[] => [
  ...new Map(gone.map((g) => [`${copyKey(g)} ${JSON.stringify(g.cut)}`, g])).values(),
];

/** The designs of a kit of which a copy, or a part of one, is left, and those that lie on the spread. */
function livingPart(kit: Kit, gone: readonly Gone[], placements: readonly Placement[]): Kit {
  const laid = new Set(placements.filter((p) => p.kit === kit.name).map((p) => p.code));
  const whole = new Map<string, Set<number>>();
  for (const g of gone) {
    if (g.kit !== kit.name || g.cut !== null) continue;
    whole.set(g.code, (whole.get(g.code) ?? new Set()).add(g.copy));
  }
  return {
    ...kit,
    pieces: kit.pieces.filter((p) => laid.has(p.code) || (whole.get(p.code)?.size ?? 0) < p.count),
  };
}

/** A kit or stash that could lie ready beside a week's own kit. */
export interface StashChoice {
  readonly kit: string;
  readonly role: 'kit' | 'stash';
  /** copies that nobody touched */
  readonly left: number;
  readonly chosen: boolean;
}

/** All stashes, and the kits that are begun and not used up; what is chosen first, then what has most left. */
export async function choicesFor(db: Database, spreadId: number, own: string): Promise<StashChoice[]> {
  const [rows, sums, chosen] = await Promise.all([listKits(db), kitSums(db), stashOf(db, spreadId)]);
  const sumOf = new Map(sums.map((s) => [s.kit, s]));
  return rows
    .filter((k) => k.id !== own)
    .map((k) => {
      const sum = sumOf.get(k.id) ?? { total: 0, touched: 0, spoiled: 0 };
      const left = untouchedOf(sum);
      return {
        kit: k.id,
        role: k.role,
        left,
        begun: sum.touched > 0,
        retired: k.facts.retired,
        chosen: chosen.includes(k.id),
      };
    })
    .filter((c) => c.chosen || (!c.retired && (c.role === 'stash' || (c.begun && c.left > 0))))
    .sort((a, b) => Number(b.chosen) - Number(a.chosen) || b.left - a.left)
    .map(({ kit, role, left, chosen: now }) => ({ kit, role, left, chosen: now }));
}
