import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { arrange } from '../src/core/arrange/arrange';
import { benchOf } from '../src/core/bench/bench';
import { USUAL_PACE, sizeOf } from '../src/core/bench/pace';
import type { Book } from '../src/core/book/book';
import { BOOKS } from '../src/core/book/registry';
import { readCalendar } from '../src/core/format/calendar';
import { readKit } from '../src/core/format/kit-csv';
import { DEMO_HABITS, lifeOf } from './past-life';
import { PAST_KITS, pastKit } from './past-kits';
import type { Kit } from '../src/core/kit/kit';
import { NO_FACTS } from '../src/core/kit/suggest';
import type { DayRecord } from '../src/core/keep/day-record';
import { randomFrom } from '../src/core/measure/random';
import { contextFrom } from '../src/core/spread/context';
import type { Context, Placement } from '../src/core/spread/placement';
import type { WeekDemands } from '../src/core/week/demand';
import { demandsOfWeek } from '../src/core/week/demands';
import { plus } from '../src/core/week/typed/calendar-days';
import { isTicked } from '../src/core/week/undone';
import { daysOfWeek, weekAfter, weekOf } from '../src/core/week/week';
import type { Database } from '../src/db/database';
import { transaction } from '../src/db/database';
import { addKit } from '../src/db/kits';
import { finish, judge, setNote, setPhoto, setRating, setTags } from '../src/db/keeps';
import { setMark } from '../src/db/marks';
import { putRecord } from '../src/db/records';
import { writeSetting } from '../src/db/settings';
import { addSpread } from '../src/db/spreads';
import { makeEdit } from '../src/db/spread-edits';
import { demoAgenda } from './agenda';

/** How a past week was laid out, and what was said of it. */
interface PastWeek {
  /** weeks from this one */
  readonly away: number;
  readonly kit: string;
  readonly manner: string;
  readonly rating: number;
  readonly tags: readonly string[];
  readonly note: string;
}

const PAST_WEEKS: readonly PastWeek[] = [
  { away: -13, kit: 'marigold-quay', manner: 'scattered', rating: 3, tags: ['allotment'], note: 'Too much orange on Friday; the list was right.' },
  { away: -12, kit: 'marigold-quay', manner: 'three-rows', rating: 4, tags: [], note: 'Calm. The littles block held all week.' },
  { away: -11, kit: 'marigold-quay', manner: 'crowned', rating: 2, tags: ['harvest'], note: 'The garland ate the mornings.' },
  { away: -10, kit: 'choir-stalls', manner: 'scattered', rating: 5, tags: ['concert', 'choir'], note: 'The concert box high on Thursday: do that again.' },
  { away: -9, kit: 'choir-stalls', manner: 'grounded', rating: 4, tags: ['choir'], note: 'Boxes on the floor leave a long today.' },
  { away: -8, kit: 'choir-stalls', manner: 'airy', rating: 3, tags: [], note: '' },
  { away: -7, kit: 'fog-bell', manner: 'airy', rating: 4, tags: ['vet'], note: 'Gray suits a week of fog.' },
  { away: -6, kit: 'fog-bell', manner: 'three-rows', rating: 3, tags: ['family'], note: 'Family week; half of the list was let go.' },
  { away: -5, kit: 'fog-bell', manner: 'scattered', rating: 2, tags: [], note: 'Too pale to read in the wheelhouse.' },
  { away: -4, kit: 'kelp-lantern', manner: 'scattered', rating: 5, tags: ['allotment', 'seed swap'], note: 'Best green so far.' },
  { away: -3, kit: 'kelp-lantern', manner: 'grounded', rating: 4, tags: ['dentist'], note: '' },
  { away: -2, kit: 'kelp-lantern', manner: 'crowned', rating: 4, tags: ['Moth'], note: 'Lanterns over the weekend, lovely.' },
]; // prettier-ignore

/** The week whose finished pages were photographed. */
const PHOTOGRAPHED = -4;
const SEED = 20_270_131;
/** Marks of what was not done: the rest of 1 is. */
const LET_GO = 0.05;
const BROUGHT = 0.05;
const LEFT_OPEN = 0.04;
/** A routine that has been skipped of late. */
const SKIPPED = 'water the beans';

/** Takes a photo of a spread that is on paper. */
export type TakePhoto = (context: Context, placements: readonly Placement[]) => Promise<string>;

/**
 * Twelve weeks that were kept, in four kits and five schools, with what was written down of every day, the time at the
 * bench, and what became of the items.
 * @param photo stores a photo of one week; without it none has one
 */
export async function seedPast(db: Database, today: string, photo: TakePhoto | null = null): Promise<void> {
  const random = randomFrom(SEED);
  const book = BOOKS['three-box'];
  if (!book) return;
  const like = readKit(readFileSync(join(__dirname, 'kits', 'rockpool.kit.csv'), 'utf8'), 'rockpool', 'rockpool');
  const kits = new Map(PAST_KITS.map((past) => [past.name, pastKit(like, past)]));
  for (const { name, price, moods } of PAST_KITS) {
    await addKit(db, kits.get(name) as Kit, 'kit');
    const facts = { ...NO_FACTS, price, moods, shop: 'the print loft', retired: true };
    await db
      .updateTable('kit')
      .set({ facts: JSON.stringify(facts) })
      .where('id', '=', name)
      .execute();
  }
  await writeSetting(db, 'records', DEMO_HABITS);
  const calendar = readCalendar(demoAgenda(today), 'household');
  const shifts = new Set<string>();
  for (const past of PAST_WEEKS) {
    const week = demandsOfWeek([calendar], weekAfter(weekOf(today), past.away));
    for (const d of week.demands) if (d.title.endsWith('ferry')) shifts.add(week.days[d.day] as string);
    await transaction(db, (trx) => layPast(trx, past, week, book, kits.get(past.kit) as Kit, random, photo));
    await markPast(db, week, past.away, random);
  }
  for (const away of [-1, 0]) {
    const week = demandsOfWeek([calendar], weekAfter(weekOf(today), away));
    for (const d of week.demands) {
      if (d.title.endsWith('ferry')) shifts.add(week.days[d.day] as string);
      if (d.title === SKIPPED && d.on < today) await setMark(db, d.uid, d.on, null);
    }
  }
  const first = daysOfWeek(weekAfter(weekOf(today), -13))[0] as string;
  await putAll(
    db,
    lifeOf(first, plus(today, -1), (day) => shifts.has(day), random),
  );
  await putAll(db, aYearAgo(today, random));
}

/** The same week a year ago, of which only what was written down is left. */
function aYearAgo(today: string, random: () => number): DayRecord[] {
  const [year = '', number = ''] = weekOf(today).split('-W');
  const days = daysOfWeek(`${Number(year) - 1}-W${number === '53' ? '52' : number}`);
  return lifeOf(days[0] as string, days[6] as string, () => false, random);
}

const putAll = (db: Database, records: readonly DayRecord[]): Promise<void> =>
  transaction(db, async (trx) => {
    for (const record of records) await putRecord(trx, record);
  });

async function layPast(
  db: Database,
  past: PastWeek,
  week: WeekDemands,
  book: Book,
  kit: Kit,
  random: () => number,
  photo: TakePhoto | null,
): Promise<void> {
  const { manner } = past;
  const gone = await db
    .selectFrom('placement')
    .select(['kit_id', 'code', 'copy', 'cut'])
    .where('kit_id', '=', kit.name)
    .execute();
  const usedElsewhere = gone.map((p) => ({
    kit: p.kit_id,
    code: p.code,
    copy: p.copy,
    cut: p.cut === null ? null : (JSON.parse(p.cut) as Placement['cut']),
    where: '',
  }));
  const context = contextFrom({ book, kit, stash: [], week, manner, options: {}, seed: 1, usedElsewhere });
  const id = await addSpread(db, {
    week: week.week,
    book_id: 'three-box',
    kit_id: kit.name,
    manner,
    seed: 1,
    options: '{}',
  });
  const placements = arrange(context);
  await makeEdit(db, id, {
    deed: { do: 'arrange', what: 'week' },
    before: [],
    after: placements.map((p) => ({ ...p, locked: true })),
  });
  await tickAll(db, id, context, placements, plus(week.days[0] as string, -1), random);
  await finish(db, id, plus(week.days[0] as string, -1));
  await setRating(db, id, past.rating);
  await setTags(db, id, past.tags);
  if (past.note) await setNote(db, id, past.note);
  const boxes = placements.filter((p) => p.role === 'box').map((p) => `${p.kit}/${p.code}`);
  const [loved, jarred] = past.rating >= 4 ? [boxes.slice(0, 2), []] : [[], boxes.slice(0, past.rating < 3 ? 1 : 0)];
  await judge(db, id, { loved, jarred });
  if (photo && past.away === PHOTOGRAPHED) await setPhoto(db, id, await photo(context, placements));
}

/** The evening at the bench, step by step, with a pause for tea. */
async function tickAll(
  db: Database,
  id: number,
  context: Context,
  placements: readonly Placement[],
  evening: string,
  random: () => number,
): Promise<void> {
  let at = Date.parse(`${evening}T19:00:00Z`);
  const { steps } = benchOf(context, placements);
  const pace = 0.75 + 0.5 * random();
  const rows = steps.map((step, i) => {
    at += 1000 * pace * (0.6 + 0.8 * random()) * Math.min(420, USUAL_PACE[step.do] * sizeOf(step));
    if (i === steps.length >> 1) at += 25 * 60_000;
    return { spread_id: id, step: step.key, at: new Date(at).toISOString(), tape: 0 };
  });
  for (let i = 0; i < rows.length; i += 100)
    await db
      .insertInto('tick')
      .values(rows.slice(i, i + 100))
      .execute();
}

/** Not everything was done: some was let go, some brought over, some nobody said anything of. */
async function markPast(db: Database, week: WeekDemands, away: number, random: () => number): Promise<void> {
  for (const d of week.demands) {
    if (!isTicked(d)) continue;
    const at = random();
    const mark =
      at < LET_GO ? 'let go' : at < LET_GO + BROUGHT ? 'brought' : at < LET_GO + BROUGHT + LEFT_OPEN ? null : 'done';
    await setMark(db, d.uid, d.on, d.title === SKIPPED && away >= -4 ? null : mark);
  }
}
