'use server';

import { revalidatePath } from 'next/cache';
import { arrangeRest } from '../core/edit/rearrange';
import { contextFrom } from '../core/spread/context';
import { makeEdit } from '../db/spread-edits';
import { check } from './dto/check';
import { SpreadIdDto } from './dto/spread.dto';
import { mustLoad } from './must-be-there';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** Lays out what is open of a week, round what lies there. @returns how many pieces that took */
export async function layOutWhole(input: unknown): Promise<Outcome<{ readonly pieces: number }>> {
  return outcome(async () => {
    const { spreadId } = check(SpreadIdDto, input, 'spread');
    const { context, placements } = await mustLoad(spreadId);
    const change = arrangeRest(contextFrom(context), placements);
    if (change) await makeEdit(await store(), spreadId, change);
    revalidatePath('/', 'layout');
    return { pieces: change?.after.length ?? 0 };
  });
}
