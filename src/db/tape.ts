import type { Selectable } from 'kysely';
import type { Database } from './database';
import { listSupplies } from './plans';
import type { SupplyTable } from './schema';

/** The supply whose meters the white-out is counted against (handbook K4). */
export const isTape = ({ name, unit }: Pick<Selectable<SupplyTable>, 'name' | 'unit'>): boolean =>
  /correction tape/i.test(name) && unit === 'm';

const tenthOfMm = (meters: number): number => Math.round(meters * 10_000) / 10_000;

/** Takes tape from what is in the house, m. @returns how much was there to be taken */
export async function takeTape(trx: Database, meters: number): Promise<number> {
  let left = meters;
  for (const { name, amount } of (await listSupplies(trx)).filter(isTape)) {
    const taken = Math.min(left, amount);
    if (taken <= 0) continue;
    await setAmount(trx, name, amount - taken);
    left -= taken;
  }
  return tenthOfMm(meters - left);
}

/** Gives back what was taken by a step that is not done after all. */
export async function giveTape(trx: Database, meters: number): Promise<void> {
  const [first] = (await listSupplies(trx)).filter(isTape);
  if (first && meters > 0) await setAmount(trx, first.name, first.amount + meters);
}

/** No tape is left in the house, whatever was thought. */
export async function noTapeLeft(trx: Database): Promise<void> {
  for (const { name } of (await listSupplies(trx)).filter(isTape)) await setAmount(trx, name, 0);
}

const setAmount = async (trx: Database, name: string, meters: number): Promise<void> => {
  await trx
    .updateTable('supply')
    .set({ amount: tenthOfMm(meters) })
    .where('name', '=', name)
    .execute();
};
