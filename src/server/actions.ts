'use server';

import { revalidatePath } from 'next/cache';
import { contextFrom } from '../core/spread/context';
import type { Placement } from '../core/spread/placement';
import type { Change } from '../core/edit/change';
import { applies, apply } from '../core/edit/change';
import { piecesOfStep } from '../core/bench/step-key';
import { stickDown } from '../core/edit/stick-down';
import { tasteOf } from '../core/edit/liking';
import { overdrawnPlacements } from '../core/edit/stock-check';
import { BadInput, quoted } from '../core/format/fault';
import { MANNERS } from '../core/manner/registry';
import { isWeekName } from '../core/week/week';
import { findBook } from '../db/books';
import { findKit } from '../db/kits';
import { learn } from '../db/likes';
import { listManners } from '../db/manners';
import type { History } from '../db/spreads';
import { StaleEdit, addSpread, deleteSpread, findSpreadOfWeek, makeEdit, setWaved, stepHistory } from '../db/spreads';
import { setTick, untickPieces } from '../db/ticks';
import { check } from './dto/check';
import { SaveEditDto } from './dto/change.dto';
import { SpreadIdDto, StartSpreadDto, StepHistoryDto, TickDto, WaveDto } from './dto/spread.dto';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import type { SpreadData } from './spread-data';
import { loadSpread } from './spread-data';
import { store } from './store';

/** Opens a week: a new spread, empty, with its book and kit; or the one that is there already. */
export async function startSpread(input: unknown): Promise<Outcome<{ id: number }>> {
  return outcome(async () => {
    const { week, bookId, kitId, manner } = check(StartSpreadDto, input, 'new week');
    const db = await store();
    if (!isWeekName(week))
      throw new BadInput([{ file: 'new week', where: 'week', found: quoted(week), expected: 'a week of that year' }]);
    const there = await findSpreadOfWeek(db, week);
    if (there) return { id: there.id };
    if (!(await findBook(db, bookId)))
      throw new BadInput([{ file: 'new week', where: 'book', found: quoted(bookId), expected: 'one of your books' }]);
    if (!(await findKit(db, kitId)))
      throw new BadInput([{ file: 'new week', where: 'kit', found: quoted(kitId), expected: 'one of your kits' }]);
    const own = (await listManners(db)).find((m) => m.name === manner);
    if (!own && !Object.hasOwn(MANNERS, manner))
      throw new BadInput([
        {
          file: 'new week',
          where: 'manner',
          found: quoted(manner),
          expected: `a manner of your own, or one of ${Object.keys(MANNERS).join(', ')}`,
        },
      ]);
    const id = await addSpread(db, {
      week,
      book_id: bookId,
      kit_id: kitId,
      manner: own?.school ?? manner,
      seed: 1,
      options: JSON.stringify(own?.options ?? {}),
      ways: JSON.stringify(own?.ways ?? {}),
    });
    revalidatePath('/');
    return { id };
  });
}

/** Gives a week up: its spread is gone, its stickers are free again. */
export async function dropSpread(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    await deleteSpread(await store(), spreadId);
    revalidatePath('/');
    return null;
  });
}

/** Makes one edit. When this answers ok, it is on the disk. */
export async function saveEdit(input: unknown): Promise<Outcome<History>> {
  return outcome(async () => {
    const { spreadId, change } = check(SaveEditDto, input, 'edit');
    const edit = plain(change);
    const spread = await loadSpread(spreadId);
    if (!spread || !applies(spread.placements, edit)) throw new StaleEdit(edit.label);
    const after = apply(spread.placements, edit);
    const [over] = overdrawnPlacements(contextFrom(spread.context), after);
    if (over)
      throw new BadInput([
        {
          file: 'edit',
          where: over.id,
          found: `${over.kit}/${over.code}, copy ${over.copy}`,
          expected: 'a sticker that is still there',
        },
      ]);
    const db = await store();
    const history = await makeEdit(db, spreadId, edit);
    await learn(db, tasteOf(spread.context, edit));
    await untickPieces(db, spreadId, liftedBy(edit));
    return history;
  });
}

export async function undoOrRedo(input: unknown): Promise<Outcome<{ change: Change; history: History } | null>> {
  return outcome(async () => {
    const { spreadId, way } = check(StepHistoryDto, input, 'history');
    const db = await store();
    const made = await stepHistory(db, spreadId, way);
    if (made) await untickPieces(db, spreadId, liftedBy(made.change));
    return made;
  });
}

/** The spread as it is on the disk, for a window that fell behind. */
export async function readSpread(input: unknown): Promise<Outcome<Pick<SpreadData, 'placements' | 'history'>>> {
  return outcome(async () => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    const spread = await loadSpread(spreadId);
    if (!spread)
      throw new BadInput([
        { file: 'spread', where: 'id', found: String(spreadId), expected: 'a spread that was not given up' },
      ]);
    return { placements: spread.placements, history: spread.history };
  });
}

/** Waves a finding through, or takes that back. @returns all that are waved through */
export async function waveThrough(input: unknown): Promise<Outcome<string[]>> {
  return outcome(async () => {
    const { spreadId, key, wanted } = check(WaveDto, input, 'finding');
    return setWaved(await store(), spreadId, key, wanted);
  });
}

/** Notes that a step of the bench is done, or is not; pieces that it sticks down are never moved from then on. */
export async function tickStep(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { spreadId, step, done } = check(TickDto, input, 'bench');
    const db = await store();
    const ids = piecesOfStep(step);
    const spread = ids.length ? await loadSpread(spreadId) : null;
    const change = spread && stickDown(contextFrom(spread.context), spread.placements, ids, done);
    if (change) await makeEdit(db, spreadId, change);
    await setTick(db, spreadId, step, done);
    return null;
  });
}

/** Ids of the pieces that an edit lifts after they were stuck down. */
const liftedBy = ({ before, after }: Change): ReadonlySet<string> =>
  new Set(before.filter((p) => p.locked && !after.some((q) => q.id === p.id && q.locked)).map((p) => p.id));

/** Plain objects again, with every key there is. */
const plain = (change: { label: string; before: readonly Placement[]; after: readonly Placement[] }): Change =>
  JSON.parse(JSON.stringify({ ...change, before: change.before.map(whole), after: change.after.map(whole) })) as Change;

const whole = (p: Placement): Placement => ({
  ...p,
  day: p.day ?? null,
  cut: p.cut ?? null,
  text: p.text ?? null,
  ink: p.ink ?? null,
});
