'use server';

import { benchOf } from '../core/bench/bench';
import { measuresOf } from '../core/bench/measures';
import { sayStep } from '../core/bench/say-step';
import { apply } from '../core/edit/change';
import { arrangeDay } from '../core/edit/rearrange';
import { BadInput, quoted } from '../core/format/fault';
import { letIn, letInAs } from '../core/repair/let-in';
import { contextFrom } from '../core/spread/context';
import type { Context, Placement } from '../core/spread/placement';
import { isWriting, matchDemands } from '../core/spread/placement';
import { quotedText, voiceOf } from '../core/spread/voice';
import type { Demand } from '../core/week/demand';
import type { IsoDay } from '../core/week/week';
import { writeSetting } from '../db/settings';
import { makeEdit } from '../db/spread-edits';
import { check } from './dto/check';
import { CameUpDto, DressDayDto, FindPlaceDto, RecordHabitsDto } from './dto/records.dto';
import { mustFind, mustLoad } from './must-be-there';
import { addItem } from './own-calendar';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import { store } from './store';

/** What became of an item that came up. */
export type FoundPlace =
  | {
      readonly is: 'placed' | 'written';
      /** pieces that made way */
      readonly moved: number;
      /** what is to be done on the paper, step by step, in the owner's units */
      readonly says: readonly string[];
    }
  | { readonly is: 'there already' }
  /** its day has no room; days that have some, those beside it first */
  | { readonly is: 'no room'; readonly others: readonly IsoDay[] };

/** An item that has no place finds one on its week's spread, with what is stuck down left where it is (D4). */
export async function findPlace(input: unknown): Promise<Outcome<FoundPlace>> {
  return inOneStroke(async () => {
    const { spreadId, uid, on } = check(FindPlaceDto, input, 'item');
    const found = await letOneIn(spreadId, uid, on);
    if (!found)
      throw new BadInput([{ file: 'item', where: 'uid', found: quoted(uid), expected: 'an item of this week' }]);
    return found;
  });
}

/**
 * Adds an item that came up, and lets it in on a spread.
 * @returns where it has its place; null: it is of another week, and only in the agenda
 */
export async function cameUp(
  input: unknown,
): Promise<Outcome<{ readonly uid: string; readonly found: FoundPlace | null }>> {
  return inOneStroke(async (trx) => {
    const { spreadId, entry } = check(CameUpDto, input, 'item');
    await mustFind(spreadId);
    const uid = await addItem(trx, entry);
    const found = await letOneIn(spreadId, uid, entry.day);
    return { uid, found };
  });
}

/** @returns null where the week has no such item */
async function letOneIn(spreadId: number, uid: string, on: IsoDay): Promise<FoundPlace | null> {
  const spread = await mustLoad(spreadId);
  const context = contextFrom(spread.context);
  const { placements } = spread;
  const of = context.week.demands.filter((d) => d.uid === uid && d.on === on);
  if (!of.length) return null;
  const placed = matchDemands(placements, context.week.demands);
  const demand = of.find((d) => !placed.has(d.key));
  if (!demand) return { is: 'there already' };
  const repair = letIn(context, placements, demand.key);
  if (!repair) return { is: 'no room', others: roomElsewhere(context, placements, demand) };
  await makeEdit(await store(), spreadId, repair.change);
  const before = new Set(placements.map((p) => p.id));
  const fresh = repair.change.after.filter((p) => !before.has(p.id));
  return {
    is: fresh.every(isWriting) ? 'written' : 'placed',
    moved: repair.moved,
    says: saysFor(context, apply(placements, repair.change), repair.change.after),
  };
}

/** The steps that lay and write some pieces. */
function saysFor(context: Context, placements: readonly Placement[], pieces: readonly Placement[]): string[] {
  const ids = new Set(pieces.map((p) => p.id));
  const bench = benchOf(context, placements);
  const voice = voiceOf(context, placements);
  const laid = bench.steps
    .filter(({ do: work, refs }) => work !== 'white-out' && work !== 'write' && refs.some((id) => ids.has(id)))
    .map((step) => sayStep(step, voice, measuresOf(context, bench)));
  const texts = pieces.flatMap((p) =>
    p.text && !isWriting(p) ? [`Write ${quotedText(p.text)}${p.ink ? ` with ${p.ink}` : ''}.`] : [],
  );
  const onPaper = pieces.filter(isWriting).map((p) => sayStep({ refs: [p.id], about: writingAbout(p) }, voice));
  return [...laid, ...texts, ...onPaper];
}

const writingAbout = (p: Placement) =>
  ({ is: 'write', day: p.day, texts: 1, pens: p.ink ? [p.ink] : [], paper: [p.id] }) as const;

/** Days of the week on which it could be let in, those beside its own first. */
function roomElsewhere(context: Context, placements: readonly Placement[], demand: Demand): IsoDay[] {
  return context.week.days
    .map((iso, day) => ({ iso, day, away: Math.abs(day - demand.day) }))
    .filter(({ day }) => day !== demand.day)
    .sort((a, b) => a.away - b.away || b.day - a.day)
    .filter(({ day }) => letInAs(context, placements, [{ ...demand, day, lastDay: day }]))
    .map(({ iso }) => iso);
}

/** Dresses one day and leaves all others as they are (handbook 4: day by day). */
export async function dressDay(input: unknown): Promise<Outcome<{ readonly pieces: number }>> {
  return inOneStroke(async (trx) => {
    const { spreadId, day } = check(DressDayDto, input, 'day');
    const { context: data, placements } = await mustLoad(spreadId);
    const context = contextFrom({ ...data, options: { ...data.options, ahead: 'all' } });
    const change = arrangeDay(context, placements, day);
    if (!change) return { pieces: 0 };
    await makeEdit(trx, spreadId, change);
    return { pieces: change.after.length };
  });
}

/** What its owner writes down of each day. */
export async function saveRecordHabits(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    await writeSetting(trx, 'records', { ...check(RecordHabitsDto, input, 'records') });
    return null;
  });
}
