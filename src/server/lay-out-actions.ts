'use server';

import { arrangeRest } from '../core/edit/rearrange';
import { contextFrom } from '../core/spread/context';
import { makeEdit } from '../db/spread-edits';
import { check } from './dto/check';
import { SpreadIdDto } from './dto/spread.dto';
import { mustLoad } from './must-be-there';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';

/** Lays out what is open of a week, round what lies there. @returns how many pieces that took */
export async function layOutWhole(input: unknown): Promise<Outcome<{ readonly pieces: number }>> {
  return inOneStroke(async (trx) => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    const { context, placements } = await mustLoad(spreadId);
    const change = arrangeRest(contextFrom(context), placements);
    if (change) await makeEdit(trx, spreadId, change);
    return { pieces: change?.after.length ?? 0 };
  });
}
