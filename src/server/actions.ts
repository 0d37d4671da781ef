'use server';

import type { Placement } from '../core/spread/placement';
import type { Change } from '../core/edit/change';
import type { Deed } from '../core/edit/deed';
import { BadInput, quoted } from '../core/format/fault';
import { isWeekName } from '../core/week/week';
import { listKits } from '../db/kits';
import type { History, Step } from '../db/spread-edits';
import { changesBack, makeEdit, stepHistory } from '../db/spread-edits';
import { addSpread, chooseStash, findSpread, findSpreadOfWeek, setWaved } from '../db/spreads';
import { check } from './dto/check';
import { SaveEditDto } from './dto/change.dto';
import type { StashChoice } from './stash';
import { choicesFor, usualStash } from './stash';
import { SpreadIdDto, StartSpreadDto, StashDto, StepHistoryDto, WaveDto } from './dto/spread.dto';
import { FIRST_SEED, newWeek } from './new-week';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import type { SpreadData } from './spread-data';
import { loadSpread } from './spread-data';
import { store } from './store';

/** Opens a week: a new spread, empty, with its book and kit; or the one that is there already. */
export async function startSpread(input: unknown): Promise<Outcome<{ id: number }>> {
  return inOneStroke(async (trx) => {
    const chosen = check(StartSpreadDto, input, 'new week');
    const { week, bookId, kitId } = chosen;
    const there = isWeekName(week) && (await findSpreadOfWeek(trx, week));
    if (there) return { id: there.id };
    const { manner, options, ways } = await newWeek(trx, chosen);
    const made = await addSpread(trx, {
      week,
      book_id: bookId,
      kit_id: kitId,
      manner,
      seed: FIRST_SEED,
      options: JSON.stringify(options),
      ways: JSON.stringify(ways),
    });
    await chooseStash(trx, made, await usualStash(trx, week, kitId));
    return { id: made };
  }, 'shelf');
}

/** Makes one edit. When this answers ok, it is on the disk. */
export async function saveEdit(input: unknown): Promise<Outcome<History>> {
  return inOneStroke(async (trx) => {
    const { spreadId, change } = check(SaveEditDto, input, 'edit');
    return makeEdit(trx, spreadId, plain(change));
  }, 'nothing');
}

export async function undoOrRedo(input: unknown): Promise<Outcome<Step | null>> {
  return inOneStroke(async (trx) => {
    const { spreadId, way, revision } = check(StepHistoryDto, input, 'history');
    return stepHistory(trx, spreadId, way, revision);
  }, 'nothing');
}

/** Edits that are shown as pictures, to be gone back to. From memory: a strip that is looked over at once. */
const MOST_BACK = 12;

/** What undo would change, one edit after the other, the next first. */
export async function changesToUndo(input: unknown): Promise<Outcome<readonly Change[]>> {
  return outcome(async () => changesBack(await store(), check(SpreadIdDto, input, 'spread').spreadId, MOST_BACK));
}

/** What could lie ready beside a spread's own kit. */
export async function stashChoices(input: unknown): Promise<Outcome<StashChoice[]>> {
  return outcome(async () => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    const db = await store();
    const row = await findSpread(db, spreadId);
    if (!row) throw new BadInput([noSpread(spreadId)]);
    return choicesFor(db, spreadId, row.kit_id);
  });
}

/** Chooses the kits that a spread may take from beside its own. @returns its context as it is now */
export async function setStash(input: unknown): Promise<Outcome<SpreadData['context']>> {
  return inOneStroke(async (trx) => {
    const { spreadId, kits } = check(StashDto, input, 'stash');
    const known = new Set((await listKits(trx)).map((k) => k.id));
    const strange = kits.find((kit) => !known.has(kit));
    if (strange !== undefined)
      throw new BadInput([{ file: 'stash', where: 'kits', found: quoted(strange), expected: 'kits of your own' }]);
    await chooseStash(trx, spreadId, kits);
    const spread = await loadSpread(spreadId);
    if (!spread) throw new BadInput([noSpread(spreadId)]);
    return spread.context;
  }, 'nothing');
}

/** The spread as it is on the disk, for a window that fell behind. */
export async function readSpread(input: unknown): Promise<Outcome<Pick<SpreadData, 'placements' | 'history'>>> {
  return outcome(async () => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    const spread = await loadSpread(spreadId);
    if (!spread) throw new BadInput([noSpread(spreadId)]);
    return { placements: spread.placements, history: spread.history };
  });
}

/** Waves a finding through, or takes that back. @returns all that are waved through */
export async function waveThrough(input: unknown): Promise<Outcome<string[]>> {
  return inOneStroke(async (trx) => {
    const { spreadId, key, wanted } = check(WaveDto, input, 'finding');
    return setWaved(trx, spreadId, key, wanted);
  }, 'nothing');
}

const noSpread = (id: number) => ({
  file: 'spread',
  where: 'id',
  found: String(id),
  expected: 'a spread that was not given up',
});

/** Plain objects again, with every key there is. */
const plain = (change: { deed: Deed; before: readonly Placement[]; after: readonly Placement[] }): Change =>
  JSON.parse(JSON.stringify({ ...change, before: change.before.map(whole), after: change.after.map(whole) })) as Change;

const whole = (p: Placement): Placement => ({
  ...p,
  day: p.day ?? null,
  cut: p.cut ?? null,
  text: p.text ?? null,
  ink: p.ink ?? null,
});
