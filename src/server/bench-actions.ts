'use server';

import { revalidatePath } from 'next/cache';
import { piecesOfStep } from '../core/bench/step-key';
import { stickDown } from '../core/edit/stick-down';
import { BadInput, quoted } from '../core/format/fault';
import { choiceOf, choicesMade } from '../core/manner/choices';
import { designsOf } from '../db/available';
import { together } from '../db/database';
import { NotGivenUp, giveUp, takeUp } from '../db/given-up';
import { finish, judge, judgeChoices, setNote, setPhoto, unfinish } from '../db/keeps';
import { placementsOf } from '../db/placements';
import { makeEdit } from '../db/spread-edits';
import { noTapeLeft } from '../db/tape';
import { setTick } from '../db/ticks';
import { setWorkPlan, workPlanOf } from '../db/work-plans';
import { check } from './dto/check';
import { GiveUpDto, JudgeDto, KeepNoteDto, SpreadIdDto, TakeUpDto, TickDto, WorkPlanDto } from './dto/spread.dto';
import { mustBeKept, mustFind, mustLoad } from './must-be-there';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store, today } from './store';

/** Notes that steps of the bench are done, or are not; pieces that they stick down are never moved from then on. */
export async function tickSteps(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { spreadId, steps, done } = check(TickDto, input, 'bench');
    return together(await store(), async (trx) => {
      const ids = steps.flatMap(piecesOfStep);
      const placements = ids.length ? await placementsOf(trx, spreadId) : [];
      const change = stickDown(await designsOf(trx, placements), placements, ids, done);
      if (change) await makeEdit(trx, spreadId, change);
      const at = new Date().toISOString();
      for (const step of steps) await setTick(trx, spreadId, step, done, at);
      return null;
    });
  });
}

/** In which order its owner works on a spread. */
export async function saveWorkPlan(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { spreadId, ...plan } = check(WorkPlanDto, input, 'work');
    const db = await store();
    const row = await mustFind(spreadId);
    await together(db, async (trx) => {
      if (plan.tapeOut && !workPlanOf(row.work).tapeOut) await noTapeLeft(trx);
      await setWorkPlan(trx, spreadId, plan);
    });
    return null;
  });
}

/** The spread is on paper, or is not after all. */
export async function finishSpread(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    await mustFind(spreadId);
    await finish(await store(), spreadId, today());
    revalidatePath('/');
    return null;
  });
}

export async function unfinishSpread(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    await together(await store(), (trx) => unfinish(trx, spreadId));
    revalidatePath('/');
    return null;
  });
}

/** What was loved and what jarred in a spread that is on paper: it is learned. */
export async function judgeSpread(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { spreadId, loved, jarred } = check(JudgeDto, input, 'spread');
    await mustBeKept(spreadId);
    const there = new Set((await placementsOf(await store(), spreadId)).map((p) => `${p.kit}/${p.code}`));
    const strange = [...loved, ...jarred].find((key) => !there.has(key));
    if (strange !== undefined)
      throw new BadInput([
        { file: 'spread', where: 'pieces', found: quoted(strange), expected: 'pieces of this spread' },
      ]);
    await together(await store(), (trx) => judge(trx, spreadId, { loved, jarred }));
    return null;
  });
}

/** What was loved, and what jarred, of how a week was laid out: new weeks of its school heed it. */
export async function judgeLayout(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { spreadId, loved, jarred } = check(JudgeDto, input, 'spread');
    await mustBeKept(spreadId);
    const { context, own } = await mustLoad(spreadId);
    const made = new Set(choicesMade(context.manner, own).map(choiceOf));
    const strange = [...loved, ...jarred].find((choice) => !made.has(choice));
    if (strange !== undefined)
      throw new BadInput([
        { file: 'spread', where: 'choices', found: quoted(strange), expected: 'how this spread was laid out' },
      ]);
    await together(await store(), (trx) => judgeChoices(trx, spreadId, { loved, jarred }));
    revalidatePath('/');
    return null;
  });
}

export async function saveKeepNote(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { spreadId, note } = check(KeepNoteDto, input, 'note');
    await mustBeKept(spreadId);
    await setNote(await store(), spreadId, note);
    return null;
  });
}

export async function removePhoto(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { spreadId } = check(SpreadIdDto, input, 'photo');
    await setPhoto(await store(), spreadId, '');
    revalidatePath('/');
    return null;
  });
}

/**
 * Gives a week up: its spread is gone, its stickers are free again, but for those that were really stuck.
 * @returns the number by which it can be taken up again
 */
export async function dropSpread(input: unknown): Promise<Outcome<{ givenUp: number | null }>> {
  return outcome(async () => {
    const { spreadId, stuck } = check(GiveUpDto, input, 'spread');
    const givenUp = await giveUp(await store(), spreadId, new Set(stuck), new Date().toISOString());
    revalidatePath('/');
    return { givenUp };
  });
}

/** Takes a given-up week up again. */
export async function takeUpSpread(input: unknown): Promise<Outcome<{ id: number }>> {
  return outcome(async () => {
    const { id } = check(TakeUpDto, input, 'week');
    const spread = await takeUp(await store(), id).catch((error: unknown) => {
      if (!(error instanceof NotGivenUp)) throw error;
      throw new BadInput([
        { file: 'week', where: 'given up', found: error.message, expected: 'a week that can be taken up' },
      ]);
    });
    revalidatePath('/');
    return { id: spread };
  });
}
