import { sql } from 'kysely';
import { benchOf } from '../src/core/bench/bench';
import { sayStep } from '../src/core/bench/say-step';
import { threeBox } from '../src/core/book/three-box';
import { lockPiece } from '../src/core/edit/alter';
import { apply } from '../src/core/edit/change';
import type { Change } from '../src/core/edit/change';
import { sayDeed } from '../src/core/edit/say-deed';
import { stickDown } from '../src/core/edit/stick-down';
import { swapPiece, swapsFor } from '../src/core/edit/swap';
import type { Kit } from '../src/core/kit/kit';
import { review, viewOf } from '../src/core/review/review';
import { sayFinding } from '../src/core/review/say';
import type { Placement } from '../src/core/spread/placement';
import { isWriting } from '../src/core/spread/placement';
import { voiceOf } from '../src/core/spread/voice';
import { demoAgenda } from '../demo/agenda';
import type { Database } from '../src/db/database';
import { MIGRATIONS } from '../src/db/migrate';
import { demoKit, demoSpread } from './fixtures';

/** A week of the demo scenario as it came to be, with what its owner said of it. */
export function demoHistory() {
  const laid = demoSpread();
  const { context } = laid;
  // as it was when all was written at the hand's own size, and on stickers only
  const placements = laid.placements.filter((p) => !isWriting(p)).map((p) => ({ ...p, size: 1 }));
  const edits: Change[] = [{ deed: { do: 'arrange', what: 'week' }, before: [], after: placements }];
  let now: readonly Placement[] = placements;
  const make = (change: Change | null) => {
    if (!change) throw new Error('the demo week has nothing to make that edit of');
    edits.push(change);
    now = apply(now, change);
  };
  const box = now.find((p) => p.role === 'box')!;
  make(swapPiece(context, now, box.id, swapsFor(context, now, box.id)[0]!.piece));
  const item = now.find((p) => p.role === 'day' && p.layer === 0 && p.items.length === 1)!;
  make(stickDown(context, now, [item.id], true));
  make(
    lockPiece(
      context,
      now.find((p) => p.id === item.id)!,
    ),
  );
  const voice = voiceOf(context, now);
  const findings = review(viewOf(context, now));
  const steps = benchOf(context, now).steps;
  return { context, placements: now, edits, item, voice, findings, steps, box };
}

export type DemoHistory = ReturnType<typeof demoHistory>;

/** The schemas before the one log, by the last migration each had. */
export const OLD_SCHEMAS = MIGRATIONS.map(([name]) => name).filter((name) => name < '0008');

/** Fills a database of an old schema as its own version did: labels, waves and ticks in words. */
export async function fillAsThen(db: Database, schema: string, demo: DemoHistory): Promise<void> {
  const from = (name: string): boolean => schema >= name;
  await sql`insert into book (id, name, json) values ('three-box', ${threeBox.name}, ${JSON.stringify(threeBox)})`.execute(
    db,
  );
  await sql`insert into book (id, name, json) values ('my-own', 'mine', ${JSON.stringify({ ...threeBox, name: 'mine' })})`.execute(
    db,
  );
  for (const name of ['rockpool', 'stash']) await addKitAsThen(db, demoKit(name), name === 'stash' ? 'stash' : 'kit');
  await sql`insert into calendar (name, ics) values ('household', ${demoAgenda('2027-02-03')})`.execute(db);
  await sql`insert into spread (week, book_id, kit_id, manner, seed, options)
    values ('2027-W06', 'three-box', 'rockpool', 'scattered', 1, '{}')`.execute(db);
  for (const p of demo.placements) await addPlacementAsThen(db, p);
  for (const [i, { deed, before, after }] of demo.edits.entries()) {
    const label = sayDeed(deed, demo.voice);
    await sql`insert into edit (spread_id, seq, label, change, undone)
      values (1, ${i + 1}, ${label}, ${JSON.stringify({ label, before, after })}, 0)`.execute(db);
  }
  const [white] = demo.steps.filter((s) => s.do === 'white-out');
  const [cut] = demo.steps.filter((s) => s.do === 'cut');
  for (const step of [sayStep(white!, demo.voice), sayStep(cut!, demo.voice), 'place:p1', 'Cut what is gone by now.'])
    await sql`insert into tick (spread_id, step) values (1, ${step})`.execute(db);
  if (schema === '0002-agenda-edits')
    await sql`insert into agenda_edit (calendar, label, before, after, undone)
      values ('household', 'Add “vet”', null, 'text', 0)`.execute(db);
  if (from('0003'))
    await sql`insert into agenda_edit (label, effects, undone) values ('Add “vet”',
      '[{"on":"mark","uid":"v","day":"2027-02-08","before":null,"after":"done"}]', 0)`.execute(db);
  if (from('0004')) {
    await sql`insert into stock_event (what, kit_id, code, copy, reason)
      select 'spoiled', 'rockpool', code, count, 'torn' from piece where kit_id = 'rockpool' and kind = 'icon' limit 1`.execute(
      db,
    );
    await sql`insert into kit_edit (label, effects, undone) values ('Order dots', '[]', 0)`.execute(db);
  }
  if (from('0005'))
    await sql`insert into favorite (piece, liked) values (${`rockpool/${demo.box.code}`}, 1)`.execute(db);
  if (from('0006')) {
    const said = demo.findings.slice(0, 2).map((f) => `${f.rule}: ${sayFinding(f, demo.voice).message}`);
    await sql`update spread set waved = ${JSON.stringify([...said, 'D3: Monday is not said any more.'])}`.execute(db);
  }
  if (from('0007'))
    await sql`insert into learned_like (piece, weight, off) values (${`rockpool/${demo.box.code}`}, -1, 0)`.execute(db);
}

async function addKitAsThen(db: Database, kit: Kit, role: string): Promise<void> {
  await sql`insert into kit (id, role) values (${kit.name}, ${role})`.execute(db);
  for (const [position, { kit: kit_id, clear: _, ground: __, ...rest }] of kit.pieces.entries())
    await db
      .insertInto('piece')
      .values({ ...rest, kit_id, position })
      .execute();
}

const addPlacementAsThen = (db: Database, { kit, cut, items, locked, size: _, ...rest }: Placement): Promise<unknown> =>
  db
    .insertInto('placement')
    .values({
      ...rest,
      spread_id: 1,
      kit_id: kit,
      cut: cut && JSON.stringify(cut),
      items: JSON.stringify(items),
      locked: locked ? 1 : 0,
    } as never)
    .execute();
