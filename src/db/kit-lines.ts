import type { Correction } from '../core/kit/correction';
import type { Kit } from '../core/kit/kit';
import type { StockEvent } from '../core/kit/stock';
import type { Database } from './database';
import type { KitStep } from './kit-edits';
import { pieceRow } from './kits';
import type { KitTable } from './schema';

/** The steps that bring a kit from one list of lines to another. */
export async function stepsOfCorrection(
  db: Database,
  kit: string,
  { added, changed, removed }: Correction,
): Promise<KitStep[]> {
  const gone = await stepsToRemove(
    db,
    kit,
    removed.map((p) => p.code),
  );
  return [
    ...gone,
    ...[...changed, ...added].map(({ piece, position }): KitStep => ({
      table: 'piece',
      key: [kit, piece.code],
      row: pieceRow({ ...piece, kit }, position),
    })),
  ];
}

/** A change of the stock as a step. */
export const stepOfEvent = ({ kit, cut, ...rest }: StockEvent): KitStep => ({
  table: 'stock_event',
  key: null,
  row: { ...rest, kit_id: kit, cut: cut && JSON.stringify(cut) },
});

/** The steps that take lines out with all that is known of them, so that all of it comes back when they are undone. */
export async function stepsToRemove(db: Database, kit: string, codes: readonly string[]): Promise<KitStep[]> {
  const wanted = new Set(codes);
  const ofThem = (r: { readonly code: string }): boolean => wanted.has(r.code);
  const [events, favorites, likes] = await Promise.all([
    db.selectFrom('stock_event').select(['seq', 'code']).where('kit_id', '=', kit).orderBy('seq', 'desc').execute(),
    db.selectFrom('favorite').select(['id', 'code']).where('kit_id', '=', kit).execute(),
    db.selectFrom('learned_like').select('code').where('kit_id', '=', kit).execute(),
  ]);
  const out = (table: KitStep['table'], key: KitStep['key']): KitStep => ({ table, key, row: null });
  return [
    ...events.filter(ofThem).map((r) => out('stock_event', r.seq)),
    ...favorites.filter(ofThem).map((r) => out('favorite', r.id)),
    ...likes.filter(ofThem).map((r) => out('learned_like', [kit, r.code])),
    ...codes.map((code) => out('piece', [kit, code])),
  ];
}

/** The steps that take a kit out with all that is known of it. */
export async function stepsToRemoveKit(db: Database, { name, pieces }: Kit): Promise<KitStep[]> {
  const [weeks, spreads] = await Promise.all([
    db.selectFrom('kit_week').select('week').where('kit_id', '=', name).execute(),
    db.selectFrom('spread_stash').select('spread_id').where('kit_id', '=', name).execute(),
  ]);
  const lines = await stepsToRemove(
    db,
    name,
    pieces.map((p) => p.code),
  );
  return [
    ...weeks.map((w): KitStep => ({ table: 'kit_week', key: w.week, row: null })),
    ...spreads.map((s): KitStep => ({ table: 'spread_stash', key: [s.spread_id, name], row: null })),
    ...lines,
    { table: 'kit', key: name, row: null },
  ];
}

/** The steps that put a new kit in. */
export const stepsToAddKit = ({ name, pieces }: Kit, role: KitTable['role'], facts: object = {}): KitStep[] => [
  { table: 'kit', key: name, row: { role, facts: JSON.stringify(facts) } },
  ...pieces.map((piece, i): KitStep => ({
    table: 'piece',
    key: [name, piece.code],
    row: pieceRow({ ...piece, kit: name }, i),
  })),
];
