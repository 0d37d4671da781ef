import type { Kysely } from 'kysely';
import { sql } from 'kysely';

type Db = Kysely<Record<string, Record<string, unknown>>>;
type Row = Record<string, unknown>;
interface OldPlacement {
  id: string;
  kit: string;
  code: string;
  copy: number;
  text: string | null;
  locked: boolean;
}

/** Books that ship with the application from now on, and are no rows any more. */
const SHIPPED = ['three-box', 'open-b6', 'disc-open', 'wide-undated', 'four-page', 'hourly'];

/**
 * One log of edits for all rooms, with what was done as data; facts that the log alone knew; a revision that only
 * rises; the stash chosen for a week; the stock of every kit summed up by triggers; books that ship out of the table.
 * Runs with foreign keys off (see migrate.ts), since tables are built anew.
 */
export async function up(given: Kysely<unknown>): Promise<void> {
  const db = given as Db;
  await facts(db);
  await spreads(db);
  await log(db);
  await edits(db);
  await agendaAndKits(db);
  await ticks(db);
  await liked(db);
  await stock(db);
}

async function facts(db: Db): Promise<void> {
  await sql`create table sticker_fact (
    spread_id integer not null references spread (id) on delete cascade,
    kit_id text not null, code text not null, copy integer not null,
    down integer not null default 0, peels integer not null default 0,
    primary key (spread_id, kit_id, code, copy)) without rowid`.execute(db);
}

async function spreads(db: Db): Promise<void> {
  await sql`create table new_spread (
    id integer primary key autoincrement,
    week text not null unique,
    book_id text not null,
    kit_id text not null references kit (id),
    manner text not null, seed integer not null, options text not null, ways text not null default '{}',
    waved text not null default '[]',
    revision integer not null default 0,
    said text)`.execute(db);
  await sql`insert into new_spread (id, week, book_id, kit_id, manner, seed, options, ways, revision, said)
    select id, week, book_id, kit_id, manner, seed, options, ways,
      (select count(*) * 2 + coalesce(sum(undone = 0), 0) from edit where spread_id = spread.id),
      json_object('waved', json(waved), 'ticks', json((
        select json_group_array(step) from tick
        where spread_id = spread.id and step not like 'place:%' and step not like 'stack:%' and step not like 'write:%')))
    from spread`.execute(db);
  await sql`update new_spread set said = null
    where json_array_length(said, '$.waved') = 0 and json_array_length(said, '$.ticks') = 0`.execute(db);
  await sql`drop table spread`.execute(db);
  await sql`alter table new_spread rename to spread`.execute(db);
  await sql`create index spread_kit on spread (kit_id)`.execute(db);
  await sql`create index spread_book on spread (book_id)`.execute(db);
  await sql`delete from book_scan where book_id in (${sql.join(SHIPPED)})`.execute(db);
  await sql`delete from book where id in (${sql.join(SHIPPED)})`.execute(db);
  await sql`create table spread_stash (
    spread_id integer not null references spread (id) on delete cascade,
    kit_id text not null references kit (id) on delete cascade,
    primary key (spread_id, kit_id)) without rowid`.execute(db);
  await sql`insert into spread_stash (spread_id, kit_id)
    select spread.id, kit.id from spread, kit where kit.id != spread.kit_id and kit.role = 'stash'
    union select spread_id, placement.kit_id from placement join spread on spread.id = spread_id
      where placement.kit_id != spread.kit_id`.execute(db);
}

async function log(db: Db): Promise<void> {
  await sql`create table log (
    seq integer primary key autoincrement,
    room text not null check (room in ('spread', 'book', 'agenda', 'kits')),
    spread_id integer references spread (id) on delete cascade,
    book_id text references book (id) on delete cascade,
    version integer not null, deed text not null, effects text not null, undone integer not null)`.execute(db);
  await sql`create index log_scope on log (room, spread_id, book_id, undone, seq)`.execute(db);
}

/** How labels of edits began, and what that was. What begins otherwise is kept as it was said. */
const DEEDS: readonly (readonly [RegExp, string])[] = [
  [/^Place /, 'place'],
  [/^Move /, 'move'],
  [/^Turn (?!.* upside down$)/, 'turn'],
  [/^Lock /, 'lock'],
  [/^Unlock /, 'unlock'],
  [/^Write on /, 'write on'],
  [/^Take off |^Take .* off$/, 'take off'],
  [/^Stick down /, 'stick down'],
  [/^Not stuck down yet: /, 'not stuck'],
  [/^Replace the spoiled /, 'replace spoiled'],
];
const ARRANGED = new Map([
  ['Arrange the week', 'week'],
  ['Arrange the rest', 'rest'],
  ['Arrange the week anew', 'anew'],
]);

async function edits(db: Db): Promise<void> {
  const kinds = new Map(
    ((await db.selectFrom('piece').select(['kit_id', 'code', 'kind']).execute()) as Row[]).map((p) => [
      `${String(p.kit_id)}/${String(p.code)}`,
      p.kind,
    ]),
  );
  const thing = (p: OldPlacement | undefined): object => ({
    kind: (p && kinds.get(`${p.kit}/${p.code}`)) ?? null,
    code: p?.code ?? '',
    words: p?.text?.split('\n')[0] ?? '',
  });
  const down = new Map<string, Set<string>>();
  const rows = (await db.selectFrom('edit').selectAll().orderBy('spread_id').orderBy('seq').execute()) as Row[];
  for (const row of rows) {
    const { label, before, after } = JSON.parse(String(row.change)) as {
      label: string;
      before: OldPlacement[];
      after: OldPlacement[];
    };
    const stuck = down.get(String(row.spread_id)) ?? new Set<string>();
    down.set(String(row.spread_id), stuck);
    const sticking = row.undone ? { down: [], freed: [], peeled: [] } : stickingOf(label, before, after, stuck);
    await db
      .insertInto('log')
      .values({
        room: 'spread',
        spread_id: row.spread_id,
        version: 2,
        deed: JSON.stringify(deedOf(label, before, after, thing)),
        effects: JSON.stringify({ before, after, sticking: asCopies(sticking), tastes: [] }),
        undone: row.undone,
      })
      .execute();
    for (const copy of sticking.down) await note(db, row.spread_id, copy, sql`down = 1`);
    for (const copy of sticking.freed) await note(db, row.spread_id, copy, sql`down = 0`);
    for (const copy of sticking.peeled) await note(db, row.spread_id, copy, sql`peels = peels + 1`);
  }
  await sql`drop table edit`.execute(db);
}

function deedOf(
  label: string,
  before: readonly OldPlacement[],
  after: readonly OldPlacement[],
  thing: (p: OldPlacement | undefined) => object,
): object {
  const arranged = ARRANGED.get(label);
  if (arranged) return { do: 'arrange', what: arranged };
  if (label === 'Lift everything') return { do: 'lift all' };
  if (/^Swap /.test(label)) return { do: 'swap', thing: thing(before[0]), by: { ...thing(after[0]), words: '' } };
  const known = DEEDS.find(([begins]) => begins.test(label))?.[1];
  return known ? { do: known, thing: thing(before[0] ?? after[0]) } : { do: 'as said', text: label };
}

const copyOf = (p: OldPlacement): string => JSON.stringify([p.kit, p.code, p.copy]);

function stickingOf(
  label: string,
  before: readonly OldPlacement[],
  after: readonly OldPlacement[],
  stuck: Set<string>,
) {
  if (label.startsWith('Stick down')) {
    for (const p of after) stuck.add(copyOf(p));
    return { down: after.map(copyOf), freed: [], peeled: [] };
  }
  const locked = new Set(before.filter((p) => p.locked).map((p) => p.id));
  const freed = after.filter((p) => !p.locked && locked.has(p.id) && stuck.delete(copyOf(p))).map(copyOf);
  return { down: [], freed, peeled: label.startsWith('Unlock ') ? freed : [] };
}

function asCopies(sticking: ReturnType<typeof stickingOf>): object {
  const copies = (list: readonly string[]): object[] =>
    list.map((one) => {
      const [kit, code, copy] = JSON.parse(one) as [string, string, number];
      return { kit, code, copy };
    });
  return { down: copies(sticking.down), freed: copies(sticking.freed), peeled: copies(sticking.peeled) };
}

async function note(db: Db, spread: unknown, copy: string, set: ReturnType<typeof sql>): Promise<void> {
  const [kit, code, n] = JSON.parse(copy) as [string, string, number];
  await sql`insert or ignore into sticker_fact (spread_id, kit_id, code, copy) values (${spread}, ${kit}, ${code}, ${n})`.execute(
    db,
  );
  await sql`update sticker_fact set ${set} where spread_id = ${spread} and kit_id = ${kit} and code = ${code} and copy = ${n}`.execute(
    db,
  );
}

async function agendaAndKits(db: Db): Promise<void> {
  for (const [table, room] of [
    ['agenda_edit', 'agenda'],
    ['kit_edit', 'kits'],
  ] as const) {
    // favorites have another key from now on: an old edit of one cannot be undone
    await sql`insert into log (room, version, deed, effects, undone)
      select ${room}, 2, json_object('do', 'as said', 'text', label), effects, undone from ${sql.table(table)}
      where effects not like '%"table":"favorite"%' order by seq`.execute(db);
    await sql`drop table ${sql.table(table)}`.execute(db);
  }
}

/** Steps that were named by their words wait in `spread.said` until they are looked up (server/upgrade.ts). */
const ticks = (db: Db) =>
  sql`delete from tick where step not like 'place:%' and step not like 'stack:%' and step not like 'write:%'`.execute(
    db,
  );

async function liked(db: Db): Promise<void> {
  await sql`create table new_favorite (
    id integer primary key autoincrement, kit_id text not null, code text not null, unique (kit_id, code),
    foreign key (kit_id, code) references piece (kit_id, code) on delete cascade)`.execute(db);
  await sql`insert into new_favorite (kit_id, code) select p.kit_id, p.code
    from favorite f join piece p on p.kit_id || '/' || p.code = f.piece order by f.rowid`.execute(db);
  await sql`drop table favorite`.execute(db);
  await sql`alter table new_favorite rename to favorite`.execute(db);
  await sql`create table new_learned_like (
    kit_id text not null, code text not null, weight integer not null, off integer not null default 0,
    primary key (kit_id, code), foreign key (kit_id, code) references piece (kit_id, code) on delete cascade)`.execute(
    db,
  );
  await sql`insert into new_learned_like select p.kit_id, p.code, l.weight, l.off
    from learned_like l join piece p on p.kit_id || '/' || p.code = l.piece`.execute(db);
  await sql`drop table learned_like`.execute(db);
  await sql`alter table new_learned_like rename to learned_like`.execute(db);
}

/** Every begun copy, and sums by kit, kept by triggers: what a screen asks of many kits is read, not counted. */
async function stock(db: Db): Promise<void> {
  await sql`create index placement_piece on placement (kit_id, code, copy)`.execute(db);
  await sql`create index stock_event_piece on stock_event (kit_id, code, copy)`.execute(db);
  await sql`create index kit_week_kit on kit_week (kit_id)`.execute(db);
  await sql`create table copy_state (
    kit_id text not null, code text not null, copy integer not null,
    placed integer not null default 0, gone integer not null default 0, spoiled integer not null default 0,
    primary key (kit_id, code, copy)) without rowid`.execute(db);
  await sql`create table kit_stock (
    kit_id text primary key references kit (id) on delete cascade,
    total integer not null default 0, touched integer not null default 0, spoiled integer not null default 0)
    without rowid`.execute(db);
  await sql`insert into kit_stock (kit_id) select id from kit`.execute(db);
  for (const trigger of triggers()) await sql.raw(trigger).execute(db);
  await sql`insert into copy_state (kit_id, code, copy, placed, gone, spoiled)
    select kit_id, code, copy, sum(placed), sum(gone), sum(spoiled) from (
      select kit_id, code, copy, 1 as placed, 0 as gone, 0 as spoiled from placement
      union all select kit_id, code, copy, 0, what = 'used', what = 'spoiled' from stock_event where what != 'found')
    group by kit_id, code, copy`.execute(db);
  await sql`update kit_stock set total = total
    + coalesce((select sum(count) from piece where piece.kit_id = kit_stock.kit_id), 0)
    + (select count(*) from stock_event e where e.kit_id = kit_stock.kit_id and what = 'found')`.execute(db);
}

function triggers(): string[] {
  const changed = (row: 'new' | 'old', column: string, by: string): string => `
    insert or ignore into copy_state (kit_id, code, copy) values (${row}.kit_id, ${row}.code, ${row}.copy);
    update copy_state set ${column} = ${column} ${by} where kit_id = ${row}.kit_id and code = ${row}.code and copy = ${row}.copy;`;
  const event = (row: 'new' | 'old', sign: '+' | '-'): string => `
    insert or ignore into copy_state (kit_id, code, copy) select ${row}.kit_id, ${row}.code, ${row}.copy where ${row}.what != 'found';
    update copy_state set gone = gone ${sign} (${row}.what = 'used'), spoiled = spoiled ${sign} (${row}.what = 'spoiled')
      where kit_id = ${row}.kit_id and code = ${row}.code and copy = ${row}.copy and ${row}.what != 'found';
    update kit_stock set total = total ${sign} (${row}.what = 'found') where kit_id = ${row}.kit_id;`;
  const touched = (row: 'new' | 'old'): string => `(${row}.spoiled = 0 and (${row}.placed > 0 or ${row}.gone > 0))`;
  return [
    `create trigger kit_stock_begins after insert on kit begin insert into kit_stock (kit_id) values (new.id); end`,
    `create trigger piece_adds after insert on piece begin update kit_stock set total = total + new.count where kit_id = new.kit_id; end`,
    `create trigger piece_goes after delete on piece begin
      update kit_stock set total = total - old.count where kit_id = old.kit_id;
      delete from copy_state where kit_id = old.kit_id and code = old.code; end`,
    `create trigger placement_adds after insert on placement begin ${changed('new', 'placed', '+ 1')} end`,
    `create trigger placement_goes after delete on placement begin ${changed('old', 'placed', '- 1')} end`,
    `create trigger stock_event_adds after insert on stock_event begin ${event('new', '+')} end`,
    `create trigger stock_event_goes after delete on stock_event begin ${event('old', '-')} end`,
    `create trigger copy_begins after insert on copy_state begin
      update kit_stock set touched = touched + ${touched('new')}, spoiled = spoiled + (new.spoiled > 0) where kit_id = new.kit_id; end`,
    `create trigger copy_changes after update on copy_state begin
      update kit_stock set touched = touched + ${touched('new')} - ${touched('old')},
        spoiled = spoiled + (new.spoiled > 0) - (old.spoiled > 0) where kit_id = new.kit_id; end`,
    `create trigger copy_goes after delete on copy_state begin
      update kit_stock set touched = touched - ${touched('old')}, spoiled = spoiled - (old.spoiled > 0) where kit_id = old.kit_id; end`,
  ];
}
