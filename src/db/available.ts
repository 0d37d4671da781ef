import type { Placement } from '../core/spread/placement';
import { isWriting } from '../core/spread/placement';
import type { Kit, Piece } from '../core/kit/kit';
import { pieceKey } from '../core/kit/kit';
import type { Taken } from '../core/kit/ledger';
import { Ledger, copyKey } from '../core/kit/ledger';
import type { Database } from './database';
import { asRect } from './json';
import { pieceOfRow } from './kits';

/** A sticker that an edit wants and that is not there: placed elsewhere by now, or gone. */
export class TakenSticker extends Error {
  constructor(readonly placement: Placement) {
    super(`${pieceKey(placement)}, copy ${placement.copy}, is not there`);
  }
}

const partKey = (p: Placement): string => `${copyKey(p)} ${JSON.stringify(p.cut)}`;

/**
 * Holds the stickers of some placements against all that lies on spreads or is gone, and against each other. An edit
 * is refused for what it lays down, never for what lay there before: what it only moves is not asked about.
 * @param lifted what the edit takes up, already taken out of the database
 * @throws TakenSticker for the first that is not there
 */
export async function mustBeThere(
  trx: Database,
  laid: readonly Placement[],
  lifted: readonly Placement[],
): Promise<void> {
  const moved = new Set(lifted.map(partKey));
  const stickers = laid.filter((p) => !isWriting(p));
  const carried = new Set(stickers.filter((p) => moved.delete(partKey(p))));
  const wanted = stickers.filter((p) => !carried.has(p));
  if (!wanted.length) return;
  const designs = new Map(wanted.map((p) => [pieceKey(p), { kit: p.kit, code: p.code }]));
  const ledger = Ledger.empty();
  const pieces = new Map<string, Piece>();
  for (const [key, { kit, code }] of designs) {
    const piece = await pieceWithFound(trx, kit, code);
    if (!piece) continue;
    pieces.set(key, piece);
    for (const taken of await takenOf(trx, kit, code)) ledger.note(piece, taken);
  }
  for (const p of carried) {
    const piece = pieces.get(pieceKey(p));
    if (piece) ledger.note(piece, p);
  }
  for (const p of wanted) {
    const piece = pieces.get(pieceKey(p));
    if (!piece || !ledger.note(piece, p)) throw new TakenSticker(p);
  }
}

export async function pieceWithFound(trx: Database, kit: string, code: string): Promise<Piece | null> {
  const row = await trx
    .selectFrom('piece')
    .selectAll()
    .where('kit_id', '=', kit)
    .where('code', '=', code)
    .executeTakeFirst();
  if (!row) return null;
  const { found } = await trx
    .selectFrom('stock_event')
    .select((e) => e.fn.countAll<number>().as('found'))
    .where('kit_id', '=', kit)
    .where('code', '=', code)
    .where('what', '=', 'found')
    .executeTakeFirstOrThrow();
  return { ...pieceOfRow(row), count: row.count + found };
}

/** What is taken of a design: on spreads, or gone. */
export async function takenOf(trx: Database, kit: string, code: string): Promise<Taken[]> {
  const own = (table: 'placement' | 'stock_event') =>
    trx.selectFrom(table).where('kit_id', '=', kit).where('code', '=', code);
  const [placed, gone] = await Promise.all([
    own('placement').select(['placement.copy', 'placement.cut']).execute(),
    own('stock_event').select(['stock_event.copy', 'stock_event.cut']).where('what', '!=', 'found').execute(),
  ]);
  return [...placed, ...gone].map(({ copy, cut }) => ({ copy, cut: asRect(cut) }));
}

/** The designs of some placements, as far as they are there, in the form that the core looks pieces up in. */
export async function designsOf(
  db: Database,
  placements: readonly Pick<Placement, 'kit' | 'code'>[],
): Promise<{ kit: Kit; stash: Kit[] }> {
  const wanted = new Map(placements.map((p) => [pieceKey(p), p]));
  const found: Piece[] = [];
  for (const { kit, code } of wanted.values()) {
    const row = await db
      .selectFrom('piece')
      .selectAll()
      .where('kit_id', '=', kit)
      .where('code', '=', code)
      .executeTakeFirst();
    if (row) found.push(pieceOfRow(row));
  }
  return { kit: { name: '', pieces: found }, stash: [] };
}
