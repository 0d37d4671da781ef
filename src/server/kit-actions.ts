'use server';

import { BadInput, quoted } from '../core/format/fault';
import { readPicturedKit } from '../core/format/kit-csv';
import { readOrders } from '../core/format/orders-csv';
import type { Piece } from '../core/kit/kit';
import type { OrderLine } from '../core/kit/order';
import { thatGoWith } from '../core/kit/goes-with';
import { searchOf } from '../core/kit/search';
import { stockOfKit } from '../core/kit/stock';
import { editKits, stepKits } from '../db/kit-edits';
import { allKits, factsOf, listKits } from '../db/kits';
import { favoriteOf } from '../db/manners';
import { listOrders, listSupplies } from '../db/plans';
import { stockEvents, usesOf } from '../db/stock';
import { addNewKit } from './add-new-kit';
import { isHousePicture, shownInHouse } from './given-kits';
import { HistoryStepDto, NameDto } from './dto/agenda.dto';
import { check } from './dto/check';
import {
  FavoriteDto,
  KitFactsDto,
  KitTextDto,
  OrderIdDto,
  OrdersTextDto,
  PlanKitDto,
  PutOrderDto,
  SearchPiecesDto,
  StockChangeDto,
  SupplyChangeDto,
} from './dto/kits.dto';
import { knownKit } from './known-kit';
import { mustBeAsSeen } from './conflict';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** Takes a kit in that was looked over and confirmed; what pictures it names are in the house already. */
export async function addCheckedKit(input: unknown): Promise<Outcome<{ name: string; designs: number }>> {
  let pieces: Piece[] = [];
  return inOneStroke(
    async (db) => {
      const { name, role, note } = check(KitTextDto, input, 'kit');
      await addNewKit(db, { name, pieces }, role, note ? { notes: note } : {});
      return { name, designs: pieces.length };
    },
    'all',
    async () => {
      const { name, csv } = check(KitTextDto, input, 'kit');
      const read = readPicturedKit(csv, `${name}.kit.csv`, name, isHousePicture);
      pieces = await Promise.all(read.pieces.map(shownInHouse));
    },
  );
}

export async function saveFacts(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    const { kit, facts, seen } = check(KitFactsDto, input, 'kit');
    await knownKit(db, kit);
    const [row] = await factsOf(db, [kit]);
    mustBeAsSeen(seen, row?.facts ?? null, () => 'Its card says something else by now');
    await editKits(db, { do: 'change card', kit }, [{ table: 'kit', key: kit, row: { facts: JSON.stringify(facts) } }]);
    return null;
  });
}

/** Marks a sticker as one of the owner's favorites: it is placed before others. */
export async function setFavorite(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    const { kit: name, code, liked } = check(FavoriteDto, input, 'favorite');
    const kit = await knownKit(db, name);
    const piece = kit.pieces.find((p) => p.code === code);
    if (!piece)
      throw new BadInput([{ file: 'favorite', where: 'code', found: quoted(code), expected: `a piece of ${name}` }]);
    const there = await favoriteOf(db, name, code);
    if (liked === (there !== null)) return null;
    await editKits(db, { do: liked ? 'like best' : 'like no more', code }, [
      { table: 'favorite', key: there, row: liked ? { kit_id: name, code } : null },
    ]);
    return null;
  });
}

/**
 * Notes that a sticker was spoiled, used elsewhere, or found; one that lies on a spread is first taken off there.
 * @returns the step that takes it back
 */
export async function changeStock(input: unknown): Promise<Outcome<{ readonly step: number }>> {
  return inOneStroke(async (db) => {
    const { what, kit: name, code, copy, reason } = check(StockChangeDto, input, 'stock');
    const kit = await knownKit(db, name);
    const lines = stockOfKit(kit, await usesOf(db, name), await stockEvents(db, name));
    const line = lines.find((l) => l.piece.code === code);
    if (!line)
      throw new BadInput([{ file: 'stock', where: 'code', found: quoted(code), expected: `a piece of ${name}` }]);
    const free =
      what === 'found'
        ? line.copies.length + 1
        : line.copies.find((c) => (copy === null ? c.state === 'whole' : c.copy === copy))?.copy;
    const state = line.copies.find((c) => c.copy === free)?.state;
    if (free === undefined || (what !== 'found' && state !== 'whole')) {
      throw new BadInput([
        {
          file: 'stock',
          where: code,
          found: copy === null ? 'no copy that is whole' : `copy ${copy}, ${state ?? 'which is not there'}`,
          expected: 'a whole sticker; one that lies on a spread is taken off there first',
        },
      ]);
    }
    const step = await editKits(db, { do: 'stock', what, code, reason }, [
      { table: 'stock_event', key: null, row: { what, kit_id: name, code, copy: free, reason } },
    ]);
    return { step };
  });
}

/** Takes the last change of kits, stock, plans, orders or supplies back, or makes it again. */
export async function undoKits(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    const { way, step } = check(HistoryStepDto, input, 'stock');
    if (!(await stepKits(db, way, step)))
      throw new BadInput([{ file: 'kits', where: way, found: 'nothing', expected: 'a change made here' }]);
    return null;
  });
}

export async function choosePlanned(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    const { week, kit } = check(PlanKitDto, input, 'week');
    if (kit !== null) await knownKit(db, kit);
    await editKits(db, { do: 'plan kit', kit, week }, [
      { table: 'kit_week', key: week, row: kit === null ? null : { kit_id: kit } },
    ]);
    return null;
  });
}

export async function saveOrder(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    const { id, order, seen } = check(PutOrderDto, input, 'order');
    const now = (await listOrders(db)).find((o) => o.id === id) ?? null;
    mustBeAsSeen(seen, now, (o) => `It is now ${o.count} × ${o.what}, ${o.state}`);
    await editKits(db, { do: 'order', what: order.what }, [{ table: 'order_item', key: id, row: orderRow(order) }]);
    return null;
  });
}

/** Adds the orders of a file, all or none. */
export async function takeOrders(input: unknown): Promise<Outcome<{ count: number }>> {
  return inOneStroke(async (db) => {
    const { file, csv } = check(OrdersTextDto, input, 'orders');
    const orders = readOrders(csv, file);
    await editKits(
      db,
      { do: 'read orders', file },
      orders.map((o) => ({ table: 'order_item' as const, key: null, row: orderRow(o) })),
    );
    return { count: orders.length };
  });
}

export async function removeOrder(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    await editKits(db, { do: 'drop order' }, [
      { table: 'order_item', key: check(OrderIdDto, input, 'order').id, row: null },
    ]);
    return null;
  });
}

export async function saveSupply(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    const { name, unit, amount, warnAt, reason, seen } = check(SupplyChangeDto, input, 'supply');
    const now = (await listSupplies(db)).find((s) => s.name === name) ?? null;
    mustBeAsSeen(seen, now, (s) => `There is now ${s.amount} ${s.unit} of ${s.name}, which warns at ${s.warnAt}`);
    await editKits(db, { do: 'supply', name, amount, unit, reason }, [
      { table: 'supply', key: name, row: { unit, amount, warn_at: warnAt } },
    ]);
    return null;
  });
}

export async function removeSupply(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    await editKits(db, { do: 'drop supply' }, [
      { table: 'supply', key: check(NameDto, input, 'supply').name, row: null },
    ]);
    return null;
  });
}

const MOST_FOUND = 120;

/** What was found, and where the kits lie that it is of. */
export interface FoundPieces {
  readonly pieces: readonly Piece[];
  readonly places: readonly (readonly [kit: string, place: string])[];
  readonly more: number;
}

/** Pieces of all kits that are not retired, and of the whole stash, that a search asks for. */
export async function searchPieces(input: unknown): Promise<Outcome<FoundPieces>> {
  return outcome(async () => {
    const db = await store();
    const { words, goesWith } = check(SearchPiecesDto, input, 'search');
    const test = searchOf(words);
    const rows = new Map((await listKits(db)).map((k) => [k.id, k.facts] as const));
    const all = (await allKits(db)).flatMap((k) => k.pieces.filter(test));
    const found = goesWith === null ? all : thatGoWith(await knownKit(db, goesWith), all);
    const living = found.filter((p) => !rows.get(p.kit)?.retired);
    const pieces = living.slice(0, MOST_FOUND);
    const places = [...new Set(pieces.map((p) => p.kit))].flatMap((kit) => {
      const place = rows.get(kit)?.place;
      return place ? [[kit, place] as const] : [];
    });
    return { pieces, places, more: Math.max(0, living.length - MOST_FOUND) };
  });
}

const orderRow = ({ neededBy, what, count, shop, days, state }: OrderLine) => ({
  what,
  count,
  shop,
  days,
  needed_by: neededBy,
  state,
});
