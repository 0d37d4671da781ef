'use server';

import { revalidatePath } from 'next/cache';
import { BadInput, quoted } from '../core/format/fault';
import { readKit } from '../core/format/kit-csv';
import { readOrders } from '../core/format/orders-csv';
import type { Piece } from '../core/kit/kit';
import { searchOf } from '../core/kit/search';
import type { StockEvent } from '../core/kit/stock';
import { stockOfKit } from '../core/kit/stock';
import type { Database } from '../db/database';
import { addKit, allKits, findKit, setKitFacts } from '../db/kits';
import { dropOrder, dropSupply, planKit, putOrders, putSupply } from '../db/plans';
import { addStockEvent, stepStock, stockEvents, usesOf } from '../db/stock';
import { NameDto } from './dto/agenda.dto';
import { check } from './dto/check';
import { FindDto } from './dto/find.dto';
import { KitFactsDto, KitTextDto, OrderIdDto, OrdersTextDto, PlanKitDto, PutOrderDto, StockChangeDto, StockStepDto, SupplyDto } from './dto/kits.dto';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** Takes a kit in that was looked over and confirmed. */
export async function addCheckedKit(input: unknown): Promise<Outcome<{ name: string; designs: number }>> {
  return changed(async (db) => {
    const { name, role, csv } = check(KitTextDto, input, 'kit');
    const kit = readKit(csv, `${name}.kit.csv`, name);
    if (!(await addKit(db, kit, role))) throw new BadInput([{ file: 'kit', where: 'name', found: quoted(name), expected: 'a name that no kit has yet' }]);
    return { name, designs: kit.pieces.length };
  });
}

export async function saveFacts(input: unknown): Promise<Outcome<null>> {
  return changed(async (db) => {
    const { kit, facts } = check(KitFactsDto, input, 'kit');
    await known(db, kit);
    await setKitFacts(db, kit, { ...facts });
    return null;
  });
}

/** Notes that a sticker was spoiled, used elsewhere, or found; one that lies on a spread is first taken off there. */
export async function changeStock(input: unknown): Promise<Outcome<null>> {
  return changed(async (db) => {
    const { what, kit: name, code, copy, reason } = check(StockChangeDto, input, 'stock');
    const kit = await known(db, name);
    const lines = stockOfKit(kit, await usesOf(db, name), await stockEvents(db, name));
    const line = lines.find((l) => l.piece.code === code);
    if (!line) throw new BadInput([{ file: 'stock', where: 'code', found: quoted(code), expected: `a piece of ${name}` }]);
    const free = what === 'found' ? line.copies.length + 1 : line.copies.find((c) => (copy === null ? c.state === 'whole' : c.copy === copy))?.copy;
    const state = line.copies.find((c) => c.copy === free)?.state;
    if (free === undefined || (what !== 'found' && state !== 'whole')) {
      throw new BadInput([{ file: 'stock', where: code, found: copy === null ? 'no copy that is whole' : `copy ${copy}, ${state ?? 'which is not there'}`, expected: 'a whole sticker; one that lies on a spread is taken off there first' }]);
    }
    await addStockEvent(db, { what, kit: name, code, copy: free, reason } satisfies StockEvent);
    return null;
  });
}

export async function undoStock(input: unknown): Promise<Outcome<null>> {
  return changed(async (db) => {
    const { way } = check(StockStepDto, input, 'stock');
    const last = (await stockEvents(db)).at(-1);
    const lying = way === 'undo' && last?.what === 'found' && (await usesOf(db, last.kit)).some((u) => u.code === last.code && u.copy === last.copy);
    if (lying) throw new BadInput([{ file: 'stock', where: way, found: `${last.code}, found and by now on a spread`, expected: 'that it is taken off there first' }]);
    if (!(await stepStock(db, way))) throw new BadInput([{ file: 'stock', where: way, found: 'nothing', expected: 'a change made here' }]);
    return null;
  });
}

export async function choosePlanned(input: unknown): Promise<Outcome<null>> {
  return changed(async (db) => {
    const { week, kit } = check(PlanKitDto, input, 'week');
    if (kit !== null) await known(db, kit);
    await planKit(db, week, kit);
    return null;
  });
}

export async function saveOrder(input: unknown): Promise<Outcome<null>> {
  return changed(async (db) => {
    const { id, order } = check(PutOrderDto, input, 'order');
    await putOrders(db, [{ ...order }], id);
    return null;
  });
}

/** Adds the orders of a file, all or none. */
export async function takeOrders(input: unknown): Promise<Outcome<{ count: number }>> {
  return changed(async (db) => {
    const { file, csv } = check(OrdersTextDto, input, 'orders');
    const orders = readOrders(csv, file);
    await putOrders(db, orders);
    return { count: orders.length };
  });
}

export async function removeOrder(input: unknown): Promise<Outcome<null>> {
  return changed(async (db) => {
    await dropOrder(db, check(OrderIdDto, input, 'order').id);
    return null;
  });
}

export async function saveSupply(input: unknown): Promise<Outcome<null>> {
  return changed(async (db) => {
    await putSupply(db, { ...check(SupplyDto, input, 'supply') });
    return null;
  });
}

export async function removeSupply(input: unknown): Promise<Outcome<null>> {
  return changed(async (db) => {
    await dropSupply(db, check(NameDto, input, 'supply').name);
    return null;
  });
}

const MOST_FOUND = 120;

/** Pieces of all kits and the whole stash that a search asks for. */
export async function searchPieces(input: unknown): Promise<Outcome<{ pieces: Piece[]; more: number }>> {
  return outcome(async () => {
    const db = await store();
    const test = searchOf(check(FindDto, input, 'search').words);
    const found = (await allKits(db)).flatMap((k) => k.pieces.filter(test));
    return { pieces: found.slice(0, MOST_FOUND), more: Math.max(0, found.length - MOST_FOUND) };
  });
}

async function known(db: Database, name: string) {
  const kit = await findKit(db, name);
  if (!kit) throw new BadInput([{ file: 'kit', where: 'name', found: quoted(name), expected: 'one of your kits' }]);
  return kit;
}

async function changed<T>(run: (db: Database) => Promise<T>): Promise<Outcome<T>> {
  return outcome(async () => {
    const value = await run(await store());
    revalidatePath('/', 'layout');
    return value;
  });
}
