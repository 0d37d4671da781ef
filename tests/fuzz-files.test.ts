import fc from 'fast-check';
import { threeBox } from '../src/core/book/three-box';
import { arrange } from '../src/core/arrange/arrange';
import type { Book } from '../src/core/book/book';
import { readBook, writeBook } from '../src/core/format/book-json';
import { decodeText } from '../src/core/format/decode';
import { BadInput } from '../src/core/format/fault';
import { readKit, writeKit } from '../src/core/format/kit-csv';
import { readOptions } from '../src/core/format/options-json';
import { readOrders, writeOrders } from '../src/core/format/orders-csv';
import { spreadSvg } from '../src/core/format/spread-svg';
import type { Kit } from '../src/core/kit/kit';
import { review, viewOf } from '../src/core/review/review';
import { context, demand, demoKit, weekWith } from './fixtures';
import { mutated } from './mutated';

const RUNS = Number(process.env.HOBNAIL_FUZZ ?? 60);
const SEED = Number(process.env.HOBNAIL_SEED ?? 47);
/** ms */
const LONG = 60_000 + RUNS * 200;
/** Of what is taken in one in so many is laid out, too: that takes longest. */
const LAID = 10;

const week = weekWith(demand({ title: 'vet, both hounds' }), demand({ title: 'swim', day: 3, kind: 'chore' }));

/** What a reader gives; null where it refuses, which it does with faults that say where. */
function read<T>(reader: () => T): T | null {
  try {
    return reader();
  } catch (error) {
    if (!(error instanceof BadInput)) throw error;
    expect(error.faults.length).toBeGreaterThan(0);
    for (const f of error.faults) for (const part of [f.where, f.found, f.expected]) expect(part.trim()).not.toBe('');
    return null;
  }
}

/** Lays a week out and draws it. */
function use(over: { kit?: Kit; book?: Book }): void {
  const c = context({ week, ...over });
  const placements = arrange(c);
  review(viewOf(c, placements));
  expect(spreadSvg(c, placements, [])).not.toMatch(/NaN|undefined|[\u0000-\u0008\u000b\u000c\u000e-\u001f]/);
}

const CELLS: readonly string[] = [
  '',
  '0',
  '-1',
  '1e9',
  '38,1',
  '38.1',
  'NaN',
  'Infinity',
  '__proto__',
  'constructor',
  'label',
  'full-box',
  'washi',
  'checklist',
  'both',
  '#12345',
  '#1F6F78',
  'red',
  '=1+1',
  '-2+3',
  '@sum',
  '"',
  '""',
  'a\u0000b',
  'x'.repeat(300),
  '🐚',
  '\u202e',
];
const lines = writeKit({ name: 'demo', pieces: demoKit('rockpool').pieces.slice(0, 14) })
  .trim()
  .split('\n');
const HEAD = lines[0]!.split(',');

/** A kit's table with some cells replaced, columns taken out or doubled, and its text spoiled here and there. */
const table = (rows: readonly (readonly string[])[]): fc.Arbitrary<string> =>
  fc
    .tuple(
      fc.array(fc.tuple(fc.nat(500), fc.nat(40), fc.oneof(fc.constantFrom(...CELLS), fc.string())), { maxLength: 3 }),
      fc.constantFrom(',', ',', ',', ';', '\t'),
      fc.constantFrom('\n', '\r\n', '\r'),
      fc.option(fc.nat(2000), { freq: 6 }),
    )
    .map(([changes, separator, end, cut]) => {
      const cells = rows.map((r) => [...r]);
      for (const [row, column, value] of changes) {
        const line = cells[row % cells.length]!;
        line[column % (line.length + 1)] = value;
      }
      const text = cells.map((r) => r.join(separator)).join(end);
      return cut === null ? text : text.slice(0, cut);
    });

const runs = { numRuns: RUNS, seed: SEED };

it(
  `a kit that is taken in can be written, read again the same, laid out and drawn (${RUNS} tables, seed ${SEED})`,
  () => {
    let taken = 0;
    fc.assert(
      fc.property(table(lines.map((l) => l.split(','))), (csv) => {
        const kit = read(() => readKit(csv, 'fuzz.kit.csv', 'rockpool'));
        if (!kit) return;
        expect(readKit(writeKit(kit), 'again.kit.csv', 'rockpool')).toEqual(kit);
        if (taken++ % LAID === 0) use({ kit });
      }),
      runs,
    );
    expect(HEAD.length).toBeGreaterThan(10);
    expect(taken).toBeGreaterThan(RUNS / 20);
  },
  LONG,
);

it(
  'a book that is taken in can be written, read again the same, laid out in and drawn',
  () => {
    let taken = 0;
    fc.assert(
      fc.property(
        mutated(JSON.parse(writeBook(threeBox))).map((json) => JSON.stringify(json) ?? ''),
        (json) => {
          const book = read(() => readBook(json, 'fuzz.book.json'));
          if (!book) return;
          expect(readBook(writeBook(book), 'again.book.json')).toEqual(book);
          if (taken++ % LAID === 0) use({ book });
        },
      ),
      runs,
    );
    expect(taken).toBeGreaterThan(RUNS / 20);
  },
  LONG,
);

it(
  'options that are taken in can be laid out by',
  () => {
    const good = {
      ways: { boxes: 5, headers: 'by day' },
      gap: 3,
      headers: 'from washi',
      seed: 2,
      hand: { lettersPerLine: 18, lineWidth: 38.1, linePitch: 4.5 },
      shortForms: { appointment: 'appt' },
      whiteSpace: 0.2,
    };
    let taken = 0;
    fc.assert(
      fc.property(
        mutated(good).map((json) => JSON.stringify(json) ?? ''),
        (json) => {
          const own = read(() => readOptions(json, 'fuzz.json'));
          if (!own || taken++ % LAID) return;
          const c = context({ week, options: own.options, ways: own.ways });
          expect(spreadSvg(c, arrange(c), [])).not.toMatch(/NaN|undefined/);
        },
      ),
      runs,
    );
  },
  LONG,
);

it('an order list that is taken in is the same when it is written and read again', () => {
  const rows = [
    ['what', 'count', 'shop', 'days', 'needed_by', 'state'],
    ['headers', '2', 'loft', '3', '2027-02-15', 'to order'],
    ['=dots', '1', '', '0', '2027-02-16', 'here'],
  ];
  fc.assert(
    fc.property(table(rows), (csv) => {
      const orders = read(() => readOrders(csv, 'fuzz.csv'));
      if (orders) expect(readOrders(writeOrders(orders), 'again.csv')).toEqual(orders);
    }),
    runs,
  );
});

it('bytes are a text or refused with the line', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 300 }), (bytes) => {
      read(() => decodeText(bytes, 'fuzz.csv'));
    }),
    runs,
  );
});
