'use server';

import { piecesOfStep } from '../core/bench/step-key';
import { stickDown } from '../core/edit/stick-down';
import { BadInput, quoted } from '../core/format/fault';
import { choiceOf, choicesMade } from '../core/manner/choices';
import { designsOf } from '../db/available';
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
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import { today } from './today';

/** Notes that steps of the bench are done, or are not; pieces that they stick down are never moved from then on. */
export async function tickSteps(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId, steps, done } = check(TickDto, input, 'bench');
    const ids = steps.flatMap(piecesOfStep);
    const placements = ids.length ? await placementsOf(trx, spreadId) : [];
    const change = stickDown(await designsOf(trx, placements), placements, ids, done);
    if (change) await makeEdit(trx, spreadId, change);
    const at = new Date().toISOString();
    for (const step of steps) await setTick(trx, spreadId, step, done, at);
    return null;
  }, 'nothing');
}

/** In which order its owner works on a spread. */
export async function saveWorkPlan(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId, ...plan } = check(WorkPlanDto, input, 'work');
    const row = await mustFind(spreadId);
    if (plan.tapeOut && !workPlanOf(row.work).tapeOut) await noTapeLeft(trx);
    await setWorkPlan(trx, spreadId, plan);
    return null;
  }, 'nothing');
}

/** The spread is on paper, or is not after all. */
export async function finishSpread(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    await mustFind(spreadId);
    await finish(trx, spreadId, await today());
    return null;
  }, 'shelf');
}

export async function unfinishSpread(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    await unfinish(trx, spreadId);
    return null;
  }, 'shelf');
}

/** What was loved and what jarred in a spread that is on paper: it is learned. */
export async function judgeSpread(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId, loved, jarred } = check(JudgeDto, input, 'spread');
    await mustBeKept(spreadId);
    const there = new Set((await placementsOf(trx, spreadId)).map((p) => `${p.kit}/${p.code}`));
    const strange = [...loved, ...jarred].find((key) => !there.has(key));
    if (strange !== undefined)
      throw new BadInput([
        { file: 'spread', where: 'pieces', found: quoted(strange), expected: 'pieces of this spread' },
      ]);
    await judge(trx, spreadId, { loved, jarred });
    return null;
  }, 'nothing');
}

/** What was loved, and what jarred, of how a week was laid out: new weeks of its school heed it. */
export async function judgeLayout(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId, loved, jarred } = check(JudgeDto, input, 'spread');
    await mustBeKept(spreadId);
    const { context, own } = await mustLoad(spreadId);
    const made = new Set(choicesMade(context.manner, own).map(choiceOf));
    const strange = [...loved, ...jarred].find((choice) => !made.has(choice));
    if (strange !== undefined)
      throw new BadInput([
        { file: 'spread', where: 'choices', found: quoted(strange), expected: 'how this spread was laid out' },
      ]);
    await judgeChoices(trx, spreadId, { loved, jarred });
    return null;
  }, 'shelf');
}

export async function saveKeepNote(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId, note } = check(KeepNoteDto, input, 'note');
    await mustBeKept(spreadId);
    await setNote(trx, spreadId, note);
    return null;
  }, 'nothing');
}

export async function removePhoto(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const { spreadId } = check(SpreadIdDto, input, 'photo');
    await setPhoto(trx, spreadId, '');
    return null;
  }, 'shelf');
}

/**
 * Gives a week up: its spread is gone, its stickers are free again, but for those that were really stuck.
 * @returns the number by which it can be taken up again
 */
export async function dropSpread(input: unknown): Promise<Outcome<{ givenUp: number | null }>> {
  return inOneStroke(async (trx) => {
    const { spreadId, stuck } = check(GiveUpDto, input, 'spread');
    const givenUp = await giveUp(trx, spreadId, new Set(stuck), new Date().toISOString());
    return { givenUp };
  }, 'shelf');
}

/** Takes a given-up week up again. */
export async function takeUpSpread(input: unknown): Promise<Outcome<{ id: number }>> {
  return inOneStroke(async (trx) => {
    const { id } = check(TakeUpDto, input, 'week');
    const spread = await takeUp(trx, id).catch((error: unknown) => {
      if (!(error instanceof NotGivenUp)) throw error;
      throw new BadInput([
        { file: 'week', where: 'given up', found: error.message, expected: 'a week that can be taken up' },
      ]);
    });
    return { id: spread };
  }, 'shelf');
}
