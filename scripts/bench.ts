// `npm run bench`: measures what design.md part 5 sets bars for, as far as it is built, and writes docs/benchmarks.md.
import { writeFileSync } from 'node:fs';
import { cpus, totalmem } from 'node:os';
import { gzipSync } from 'node:zlib';
import { arrange } from '../src/core/arrange/arrange';
import { contextFrom } from '../src/core/spread/context';
import type { Context, Placement } from '../src/core/spread/placement';
import { assignBoxes } from '../src/core/arrange/exact/box-assignment';
import { completeSpread } from '../src/core/format/spread-file';
import { threeBox } from '../src/core/book/three-box';
import { apply } from '../src/core/edit/change';
import { movePiece } from '../src/core/edit/move';
import type { Calendar } from '../src/core/week/calendar';
import { readCalendar } from '../src/core/format/calendar';
import { alternativesOf } from '../src/core/compare/alternatives';
import { packColumn } from '../src/core/arrange/exact/day-packing';
import { letIn } from '../src/core/repair/let-in';
import { whiteSpace } from '../src/core/review/balance';
import { bestPacking, generatedWeek } from '../tests/columns';
import { corpus } from '../tests/corpus';
import { isItEnough } from '../src/core/arrange/counting/enough';
import type { Kit, Piece } from '../src/core/kit/kit';
import { searchOf } from '../src/core/kit/search';
import { benchOf } from '../src/core/bench/bench';
import { benchPdf } from '../src/core/format/bench-pdf';
import { review, viewOf } from '../src/core/review/review';
import type { Demand } from '../src/core/week/demand';
import { demandsOfWeek } from '../src/core/week/demands';
import { weekAfter } from '../src/core/week/week';
import { printFonts } from '../src/server/fonts';
import { demoKit, demoSpread, demand, weekWith } from '../tests/fixtures';
import { Hobnail } from '../e2e/hobnail';
import { chromium } from '@playwright/test';
import { growthSvg } from './growth-svg';

const rows: [string, string, string][] = [];
const say = (what: string, bar: string, measured: string): void => {
  rows.push([what, bar, measured]);
  console.log(`${what}: ${measured}${bar ? `  (bar: ${bar})` : ''}`);
};
const quantile = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * q))] as number;

function timed(runs: number, run: (i: number) => unknown, warm = 2): { median: number; p95: number } {
  for (let i = 0; i < warm; i++) run(i);
  const times = Array.from({ length: runs }, (_, i) => {
    const started = performance.now();
    run(i);
    return performance.now() - started;
  }).sort((a, b) => a - b);
  return { median: quantile(times, 0.5), p95: quantile(times, 0.95) };
}
const ms = (n: number): string => `${n < 10 ? n.toFixed(1) : Math.round(n)} ms`;

const WORDS = [
  'vet, both hounds',
  'laundry',
  'choir rehearsal',
  'dig the far bed',
  'early ferry',
  'post parcel',
  'bathroom',
  'dinner: fish soup',
];

/** A week of `count` items, a third of them in lists, evenly over the days. */
function weekOf(count: number, stash: readonly Kit[] = [demoKit('stash')]): Context {
  const demands = Array.from({ length: count }, (_, i): Demand => {
    const listed = i % 3 === 2;
    return demand({
      uid: `u${i}`,
      key: `u${i}`,
      title: WORDS[i % WORDS.length],
      day: i % 7,
      kind: listed ? 'to-do' : 'appointment',
      list: listed ? 'to do' : null,
      start: listed ? null : 7 * 60 + ((i * 97) % 840),
    });
  });
  const kit = demoKit('rockpool');
  return contextFrom({
    book: threeBox,
    kit,
    stash,
    week: weekWith(...demands),
    manner: 'scattered',
    options: {},
    seed: 1,
    usedElsewhere: [],
  });
}

function core(): void {
  for (const count of [15, 30, 45, 60, 100, 200]) {
    const c = weekOf(count);
    const { median } = timed(9, () => arrange(c));
    const placed = count - viewOf(c, arrange(c)).unplaced.length;
    say(
      `a whole week arranged, ${count} items, 287 stickers and the stash`,
      count === 45 ? 'median under 300 ms' : '',
      `median ${ms(median)}, ${placed} of ${count} items placed`,
    );
  }
  growth();
  const onDay = Array.from({ length: 8 }, (_, b) => Array.from({ length: 7 }, (_, d) => (b * 7 + d * 5) % 11));
  say(
    'full-box assignment, 8 boxes on 7 days, exact',
    'equal to brute force (src/core/arrange/exact.test.ts)',
    `median ${ms(
      timed(50, () =>
        assignBoxes(
          onDay.map((d) => ({ onDay: d })),
          7,
          { without: () => 9, beside: () => 1 },
        ),
      ).median,
    )}`,
  );
  const { context, placements } = demoSpread();
  say(
    'white-out, cuts, order of work, stock of that spread',
    '',
    `median ${ms(timed(15, () => completeSpread(context, placements)).median)}`,
  );
  const events = Array.from(
    { length: 5000 },
    (_, i) =>
      `BEGIN:VEVENT\r\nUID:${i}\r\nDTSTART;VALUE=DATE:2026${String(1 + (i % 12)).padStart(2, '0')}${String(1 + (i % 28)).padStart(2, '0')}\r\nSUMMARY:errand ${i}\r\n${i % 5 ? '' : 'RRULE:FREQ=WEEKLY\r\n'}END:VEVENT`,
  ).join('\r\n');
  const ics = `BEGIN:VCALENDAR\r\n${events}\r\nEND:VCALENDAR`;
  say(
    'a calendar file of 5,000 events (1,000 of them weekly) read',
    '',
    `median ${ms(timed(5, () => readCalendar(ics, 'bench.ics')).median)}`,
  );
  const large = Array.from(
    { length: 45_000 },
    (_, i) =>
      `BEGIN:VEVENT\r\nUID:${i}\r\nDTSTART;TZID=America/Halifax:2027${String(1 + (i % 12)).padStart(2, '0')}${String(1 + (i % 28)).padStart(2, '0')}T100000\r\nSUMMARY:errand ${i}\r\nDESCRIPTION:${'words '.repeat(170)}\r\nEND:VEVENT`,
  ).join('\r\n');
  say(
    'a calendar file of 50 MB, 45,000 events, its zone not described, read',
    '',
    `median ${ms(timed(1, () => readCalendar(`BEGIN:VCALENDAR\r\n${large}\r\nEND:VCALENDAR`, 'large.ics')).median)}`,
  );
  const fresh = Array.from({ length: 7 }, () => readCalendar(ics, 'bench.ics'));
  say(
    'the first week after reading it, 1,000 items',
    '',
    `median ${ms(timed(5, (i) => demandsOfWeek([fresh[i + 2] as Calendar], '2027-W06')).median)}`,
  );
  const calendar = fresh[0] as Calendar;
  say(
    'any other week of it, 1,000 items',
    'under 100 ms (issue 3)',
    `median ${ms(timed(25, (i) => demandsOfWeek([calendar], weekAfter('2027-W06', i))).median)}`,
  );
}

/** The first of all, as in a browser that does nothing else. */
function reviewing(): void {
  for (const spread of [demoSpread(), fullest()]) {
    const box = spread.placements.find((p) => p.role === 'box' || (p.role === 'day' && p.layer === 0))!;
    const edit = timed(
      300,
      (i) =>
        review(
          viewOf(
            spread.context,
            apply(
              spread.placements,
              movePiece(spread.context, spread.placements, box.id, {
                page: box.page,
                x: box.x,
                y: box.y - 1 - (i % 5),
                day: box.day,
              })!,
            ),
          ),
        ),
      100,
    );
    say(
      `review after one edit, ${spread.placements.length} placements, a hundred edits before`,
      'under 16 ms at the 95th percentile, 150 placements',
      `median ${ms(edit.median)}, 95th ${ms(edit.p95)}`,
    );
  }
}

/**
 * As many pieces as go into one week: eighty items on dressed bases, times in circles, framed boxes, a band along the
 * top.
 */
function fullest(): { context: Context; placements: readonly Placement[] } {
  const words = ['vet', 'laundry', 'choir', 'dig', 'ferry', 'parcel', 'bathroom', 'soup', 'call', 'rent'];
  const demands = Array.from({ length: 80 }, (_, i) =>
    demand({
      uid: `u${i}`,
      key: `u${i}`,
      title: words[i % 10],
      day: i % 7,
      kind: i % 2 ? 'appointment' : 'chore',
      start: i % 2 ? 420 + ((i * 97) % 840) : null,
    }),
  );
  const more = { name: 'more', pieces: demoKit('night-almanac').pieces.map((p) => ({ ...p, kit: 'more' })) };
  const context = contextFrom({
    book: threeBox,
    kit: demoKit('rockpool'),
    stash: [demoKit('stash'), more],
    week: weekWith(...demands),
    manner: 'crowned',
    options: {},
    ways: { boxes: 7 },
    seed: 1,
    usedElsewhere: [],
  });
  return { context, placements: arrange(context) };
}

/** Time against items, with two, four and eight kits of stickers to choose from; drawn in docs/growth.svg. */
function growth(): void {
  const stash = (n: number): Kit[] => [
    demoKit('stash'),
    ...Array.from({ length: n }, (_, i) => ({
      name: `kit ${i}`,
      pieces: demoKit(i % 2 ? 'rockpool' : 'night-almanac').pieces.map((p) => ({ ...p, kit: `kit ${i}` })),
    })),
  ];
  const lines = [0, 2, 6].map((n) => {
    const kits = stash(n);
    const pieces = kits.reduce(
      (sum, k) => sum + k.pieces.reduce((m, p) => m + p.count, 0),
      demoKit('rockpool').pieces.reduce((m, p) => m + p.count, 0),
    );
    return {
      name: `${pieces} stickers`,
      points: [15, 45, 75, 100, 150, 200].map((items) => ({
        items,
        ms: timed(3, () => arrange(weekOf(items, kits))).median,
      })),
    };
  });
  writeFileSync('docs/growth.svg', growthSvg(lines));
  const [few, many] = [lines[0], lines.at(-1)] as [(typeof lines)[number], (typeof lines)[number]];
  const ratio = (a: number, b: number): string => (a / b).toFixed(1);
  const at = (line: typeof few, items: number): number => line.points.find((p) => p.items === items)?.ms as number;
  say(
    'growth, drawn in [growth.svg](growth.svg)',
    'no faster than items × pieces to 200 items',
    `from 45 to 200 items (× 4.4): time × ${ratio(at(few, 200), at(few, 45))}; from ${few.name} to ${many.name}: × ${ratio(at(many, 45), at(few, 45))}; both: × ${ratio(at(many, 200), at(few, 45))}`,
  );
}

/** 200 kits of 150 designs: the search over all of them, and whether a kit is enough for eight weeks. */
function kits(): void {
  const model = demoKit('rockpool').pieces;
  const many = Array.from({ length: 200 }, (_, k) => ({
    name: `kit ${k}`,
    pieces: Array.from({ length: 150 }, (_, i): Piece => ({
      ...(model[i % model.length] as Piece),
      kit: `kit ${k}`,
      code: `P${i}`,
      color: `#${((k * 7919 + i * 104729) % 0x1000000).toString(16).padStart(6, '0')}`,
    })),
  }));
  const all = many.flatMap((k) => k.pieces);
  const queries = ['coral header', 'laundry', '38x12', 'checklist teal', 'header zeppelin'];
  say(
    'search over 200 kits, 30,000 pieces',
    'under 50 ms (issue 4)',
    `median ${ms(timed(25, (i) => all.filter(searchOf(queries[i % queries.length] as string))).median)}`,
  );
  const [kit, ...stash] = many;
  const small = { ...(kit as Kit), pieces: (kit as Kit).pieces.slice(0, 20) };
  const weeks = Array.from({ length: 8 }, () => weekOf(45));
  say(
    'is it enough, eight weeks, 199 other kits to choose substitutes from',
    'under 300 ms (issue 4)',
    `median ${ms(timed(5, () => weeks.map((c) => isItEnough({ ...c, kit: small, stash }))).median)}`,
  );
}

/** Column packing and cutting against HiGHS. */
async function exact(): Promise<void> {
  let [columns, equal, within, full] = [0, 0, 0, 0];
  for (let seed = 1; seed <= 60; seed++) {
    for (const column of generatedWeek(seed)) {
      const packed = packColumn(column.items, column.stretches, column.gap);
      const best = (await bestPacking(column)) as number;
      columns++;
      if (Math.abs(packed.cost - best) < 1e-4) equal++;
      if (packed.cost <= best * 1.02 + 1e-4) within++;
      if (packed.chosen.includes(null) === best >= 700) full++;
    }
  }
  say(
    `day packing, ${columns} columns of 60 generated weeks, against HiGHS`,
    'within 2 % of its optimum; infeasible exactly when it is',
    `equal in ${equal}, within 2 % in ${within}, full exactly when HiGHS says so in ${full}`,
  );
  const { context, placements } = demoSpread();
  const late = [0, 1, 2, 3, 4, 5, 6].map((day) =>
    demand({ uid: `late${day}`, key: `late${day}`, title: 'plumber', day, start: 660, kind: 'appointment' }),
  );
  const busy = { ...context, week: { ...context.week, demands: [...context.week.demands, ...late] } };
  const repair = timed(140, (i) => letIn(busy, placements, `late${i % 7}`));
  say(
    `a late item let in with the fewest moves, ${placements.length} placements`,
    'under 16 ms at the 95th percentile',
    `median ${ms(repair.median)}, 95th ${ms(repair.p95)}`,
  );
  say('three alternatives that differ', '', `median ${ms(timed(3, () => alternativesOf(context)).median)}`);
}

/** The corpus: what becomes of sixty generated weeks, so that a change which makes it worse is seen. */
function corpusTable(): string {
  const lines = corpus().map(({ name, context, placements }) => {
    const view = viewOf(context, placements);
    const findings = review(view);
    const count = (severity: string): number => findings.filter((f) => f.severity === severity).length;
    const items = context.week.demands.length;
    return {
      name,
      items,
      placed: items - view.unplaced.length,
      stop: count('stop'),
      fix: count('fix'),
      look: count('look'),
      white: [0, 1, 2, 3, 4, 5, 6].map((day) => whiteSpace(view, day)),
    };
  });
  const sum = (of: (l: (typeof lines)[number]) => number): number => lines.reduce((n, l) => n + of(l), 0);
  say(
    `corpus: ${lines.length} generated weeks over all books, schools and kits`,
    '',
    `${((sum((l) => l.placed) / sum((l) => l.items)) * 100).toFixed(1)} of 100 items placed; ${sum((l) => l.stop)} would not work, ${sum((l) => l.fix)} would show, ${sum((l) => l.look)} good to know`,
  );
  const share = (n: number): string => String(Math.round(n * 100));
  return `\n## Corpus\n\nSixty generated weeks of 12 to 50 items (tests/corpus.ts). Findings: would not work / would show / good to know. White: of 100, by day.\n\n| week | items placed | findings | white |\n|---|---|---|---|\n${lines.map((l) => `| ${l.name} | ${l.placed} of ${l.items} | ${l.stop} / ${l.fix} / ${l.look} | ${l.white.map(share).join(' ')} |`).join('\n')}\n`;
}

async function print(): Promise<void> {
  const { context, placements } = demoSpread();
  const started = performance.now();
  await benchPdf(context, benchOf(context, placements), printFonts());
  say('the print (PDF)', '', ms(performance.now() - started));
}

async function browser(): Promise<void> {
  const hobnail = new Hobnail();
  hobnail.seed();
  await hobnail.start();
  const chrome = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  const page = await chrome.newPage({ viewport: { width: 1280, height: 800 } });
  const scripts: Promise<number>[] = [];
  page.on('response', (r) => r.url().endsWith('.js') && scripts.push(r.body().then((b) => gzipSync(b).length)));
  await page.goto(`${hobnail.url}/spreads/1`);
  await page.getByTestId('piece').nth(20).waitFor();
  await page.waitForLoadState('networkidle');
  const bytes = (await Promise.all(scripts)).reduce((a, b) => a + b, 0);
  say('script of the spread screen, compressed, first load', 'under 350 kB', `${Math.round(bytes / 1000)} kB`);
  const piece = page.locator('[data-role="box"]').first();
  const at = (await piece.boundingBox())!;
  const placed = await page.getByTestId('piece').count();
  // as text: the helper names that the compiler adds are not known in the page
  await page.evaluate(
    'window.frames_ = []; let last = performance.now(); requestAnimationFrame(function tick(now) { frames_.push(now - last); last = now; requestAnimationFrame(tick); });',
  );
  await page.mouse.move(at.x + 10, at.y + 10);
  await page.mouse.down();
  for (let i = 0; i < 120; i++) await page.mouse.move(at.x + 10 + (i % 60), at.y + 10 - (i % 40));
  const frames = ((await page.evaluate('frames_')) as number[]).slice(5).sort((a, b) => a - b);
  await page.keyboard.press('Escape');
  await page.mouse.up();
  say(
    `dragging, ${placed} placements, ${frames.length} frames`,
    'no frame over 25 ms at the 95th percentile, 150 placements',
    `median ${ms(quantile(frames, 0.5))}, 95th ${ms(quantile(frames, 0.95))}`,
  );
  await chrome.close();
  await hobnail.kill();
}

async function main(): Promise<void> {
  reviewing();
  core();
  await exact();
  const table50 = corpusTable();
  kits();
  await print();
  await browser();
  const machine = `${cpus().length} cores (${cpus()[0]?.model.trim() ?? 'unknown'}), ${Math.round(totalmem() / 2 ** 30)} GiB, Node ${process.versions.node}`;
  const table = rows.map(([what, bar, measured]) => `| ${what} | ${bar} | ${measured} |`).join('\n');
  writeFileSync(
    'docs/benchmarks.md',
    `# Benchmarks\n\nWritten by \`npm run bench\` (build first: \`npm run demo\` does). Machine: ${machine}. Times are wall clock on a machine whose speed varies; read them as an order of size.\n\n| what | bar | measured |\n|---|---|---|\n${table}\n${table50}`,
  );
}

main().then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error);
    process.exit(1);
  },
);
