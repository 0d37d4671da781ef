import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { readCalendar } from '../src/core/format/calendar';
import { demandsOfWeek } from '../src/core/week/demands';
import { weekAfter, weekOf } from '../src/core/week/week';
import { writeKit } from '../src/core/format/kit-csv';
import { openDatabase } from '../src/db/database';
import { findKit } from '../src/db/kits';
import { placementsOf } from '../src/db/placements';
import { historyOf } from '../src/db/spread-edits';
import { findSpreadOfWeek } from '../src/db/spreads';
import { demoAgenda } from './agenda';
import { seedDemo } from './seed';
import { kitOf, tidelineAlbum } from './tideline-album/kit';
import { painted } from './tideline-album/paint';

it.each(['2027-02-03', '2026-12-31', '2028-02-29', '2027-03-14'])(
  'lies around %s: every week has items, the coming one a band, lists and tasks',
  (today) => {
    const calendar = readCalendar(demoAgenda(today), 'demo.ics');
    const week = (away: number) => demandsOfWeek([calendar], weekAfter(weekOf(today), away)).demands;
    const weeks = Array.from({ length: 19 }, (_, i) => i - 10);
    // the week off is quiet: no chores, no rota, no swim; so are four days of a family visit
    for (const away of weeks) expect(week(away).length).toBeGreaterThan(away === 4 ? 5 : 12);
    expect(week(4).filter((d) => d.repeated && (d.kind === 'chore' || d.list || /ferry|swim/.test(d.title)))).toEqual(
      [],
    );
    const aspects = weeks.flatMap((away) => week(away).map((d) => d.aspect));
    for (const aspect of ['due', 'reminder', 'countdown']) expect(aspects).toContain(aspect);
    const coming = demandsOfWeek([calendar], weekAfter(weekOf(today), 1)).demands;
    expect(coming.filter((d) => d.kind === 'band')).toHaveLength(1);
    expect(new Set(coming.map((d) => d.list))).toEqual(new Set([null, 'to do', 'to buy', 'allotment', 'cleaning']));
    expect(coming.some((d) => d.tentative)).toBe(true);
    expect(new Set(coming.map((d) => d.key)).size).toBe(coming.length);
  },
);

it('keeps the eight-day rota: two early, two late, four off', () => {
  const calendar = readCalendar(demoAgenda('2027-02-03'), 'demo.ics');
  const shifts = [0, 1, 2]
    .flatMap((away) => {
      const week = demandsOfWeek([calendar], weekAfter('2027-W05', away));
      return week.days.map(
        (_, day) => week.demands.find((d) => d.day === day && d.title.endsWith('ferry'))?.title[0] ?? '-',
      );
    })
    .join('');
  expect(shifts).toContain('eell----eell');
});

it('seeds this week laid out, and everything findable', async () => {
  const db = await openDatabase(':memory:');
  await seedDemo(db, '2027-02-03');
  const spread = (await findSpreadOfWeek(db, '2027-W05'))!;
  expect((await placementsOf(db, spread.id)).length).toBeGreaterThan(60);
  expect((await historyOf(db, spread.id)).undo).toEqual({ do: 'arrange', what: 'week' });
  expect(await findSpreadOfWeek(db, '2027-W06')).toBeUndefined();
  await db.destroy();
});

describe('the third kit', () => {
  const folder = join(__dirname, 'tideline-album', 'pictures');
  const designs = tidelineAlbum();

  it('ships as it is painted: its list, and a picture for each design that has a painter', async () => {
    expect(readFileSync(join(__dirname, 'kits', 'tideline-album.kit.csv'), 'utf8')).toBe(writeKit(kitOf(designs)));
    const painters = designs.filter((d) => d.paint);
    expect(readdirSync(folder).sort()).toEqual(painters.map((d) => `${d.piece.code}.webp`).sort());
    const label = painters.find((d) => d.piece.kind === 'label')!;
    const shipped = readFileSync(join(folder, `${label.piece.code}.webp`));
    expect(Buffer.compare(Buffer.from(await painted(label)), shipped)).toBe(0);
  });

  it('has paper that is seen through, and photographs that are not', async () => {
    const cover = async (code: string) => (await sharp(join(folder, `${code}.webp`)).stats()).channels[3]?.mean ?? 255;
    expect(await cover('WA-1')).toBeLessThan(220);
    expect(await cover('FB-1')).toBe(255);
  });

  it('lies on last week with its pictures, where somebody keeps them', async () => {
    const db = await openDatabase(':memory:');
    const kept: string[] = [];
    await seedDemo(db, '2027-02-03', null, (piece) => {
      const picture = kept.push(piece.code).toString(16).padStart(64, '0');
      return Promise.resolve({ ...piece, picture });
    });
    const spread = (await findSpreadOfWeek(db, '2027-W04'))!;
    const pictures = new Map((await findKit(db, 'tideline-album'))!.pieces.map((p) => [p.code, p.picture]));
    const laid = await placementsOf(db, spread.id);
    expect(laid.filter((p) => pictures.get(p.code)).length).toBeGreaterThan(30);
    expect(kept).toHaveLength(designs.filter((d) => d.paint).length);
    await db.destroy();
  });
});
