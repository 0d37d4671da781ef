/**
 * One toy of each kind of thing that the application can be given, added by its one entry: everything that has to know
 * of it then does. CONTRIBUTING.md names the files of each.
 */
import type * as Arrange from '../src/core/arrange/arrange';
import type * as BenchModule from '../src/core/bench/bench';
import type * as StepRegistry from '../src/core/bench/kinds/registry';
import type { Among, StepKind, ToDo, Unnumbered } from '../src/core/bench/kinds/step-kind';
import type * as BookRegistry from '../src/core/book/registry';
import type * as KindTable from '../src/core/kit/kind-table';
import type * as MannerRegistry from '../src/core/manner/registry';
import type * as OptionRegistry from '../src/core/manner/options/registry';
import type * as RuleRegistry from '../src/core/review/registry';
import type * as WayRegistry from '../src/core/manner/ways/registry';
import type * as OptionsSchema from '../src/core/format/options-schema';
import type * as OptionsJson from '../src/core/format/options-json';
import type * as KitCsv from '../src/core/format/kit-csv';
import type * as Draw from '../src/core/art/draw-piece';
import type * as SpreadContext from '../src/core/spread/context';
import type * as Review from '../src/core/review/review';
import type * as SayReview from '../src/core/review/say';
import type * as Fixtures from './fixtures';
import type * as Spread from '../src/server/dto/spread.dto';
import type * as Check from '../src/server/dto/check';
import type * as Settings from '../src/core/manner/settings';
import type * as Books from '../src/db/books';
import type * as DatabaseModule from '../src/db/database';

/** The module as it would be with one entry more. */
function withEntry<M extends object>(path: string, change: (actual: M) => Partial<M>): void {
  jest.doMock(path, () => {
    const actual = jest.requireActual<M>(path);
    return { ...actual, ...change(actual) };
  });
}

afterEach(() => jest.resetModules());

/** Modules loaded anew and together, so that all that is made from a registry is made from the one with the toy. */
function fresh<A, B = unknown>(first: string, second?: string): [A, B] {
  let loaded: [A, B] | undefined;
  jest.isolateModules(() => {
    // eslint-disable-next-line @typescript-eslint/no-require-imports -- modules are to be loaded anew
    loaded = [require(first) as A, (second ? require(second) : undefined) as B];
  });
  return loaded as [A, B];
}

const doors = () => fresh<typeof Spread, typeof Check>('../src/server/dto/spread.dto', '../src/server/dto/check');

it('a kind of piece: a kit file may have it, it is drawn, and it carries an item', () => {
  withEntry<typeof KindTable>('../src/core/kit/kind-table', ({ KINDS }) => {
    const toy = { ...KINDS['quarter-box'], label: 'ticket', plural: 'tickets', usual: [30, 15] as const };
    return { KINDS: { ...KINDS, ticket: toy } };
  });
  const [{ readKit }] = fresh<typeof KitCsv>('../src/core/format/kit-csv');
  const [piece] = readKit('code,kind,count,width_mm,height_mm\nT,ticket,3,30,15\n', 'toy.kit.csv', 'toy').pieces;
  expect(piece).toMatchObject({ kind: 'ticket', shape: 'rounded', writable: 'yes' });
  expect(fresh<typeof Draw>('../src/core/art/draw-piece')[0].drawPiece(piece!, 'a')).toContain('<path');
  const [{ context, demand, weekWith }, { arrange }] = fresh<typeof Fixtures, typeof Arrange>(
    './fixtures',
    '../src/core/arrange/arrange',
  );
  const c = context({ kit: { name: 'toy', pieces: [piece!] }, week: weekWith(demand()) });
  expect(arrange(c).filter((p) => p.code === 'T' && p.items.includes('a'))).toHaveLength(1);
});

it('a school: a context is made of it, the door lets it in, the schema knows it', () => {
  withEntry<typeof MannerRegistry>('../src/core/manner/registry', ({ MANNERS }) => {
    const toy = { ...(MANNERS.scattered as MannerRegistry.Manner), name: 'toy', says: 'Nothing but boxes.' };
    const all = { ...MANNERS, toy };
    return { MANNERS: all, mannerNamed: (name: string) => new Map(Object.entries(all)).get(name) };
  });
  const [{ contextFrom }, { context }] = fresh<typeof SpreadContext, typeof Fixtures>(
    '../src/core/spread/context',
    './fixtures',
  );
  expect(contextFrom({ ...context(), book: context().printed, manner: 'toy', favorites: [] }).manner.name).toBe('toy');
  const [{ SetMannerDto }, { check }] = doors();
  const wanted = { spreadId: 1, manner: { school: 'toy', options: {}, ways: {} } };
  expect(check(SetMannerDto, wanted, 'manner').manner.school).toBe('toy');
});

it('a way: the settings show it, the door and the options file take it, and no other value', () => {
  withEntry<typeof WayRegistry>('../src/core/manner/ways/registry', ({ WAYS }) => {
    const toy = { key: 'glitter', label: 'Glitter', group: 'Days', values: ['some', 'lots'], usual: 'some' };
    const all = [...WAYS, toy];
    return {
      WAYS: all,
      isWay: (key: string, value: unknown) => all.some((w) => w.key === key && w.values.some((v) => v === value)),
    } as never;
  });
  const [{ readOptions }] = fresh<typeof OptionsJson>('../src/core/format/options-json');
  expect(readOptions('{"ways":{"glitter":"lots"}}', 'o.json').ways).toEqual({ glitter: 'lots' });
  expect(() => readOptions('{"ways":{"glitter":"none"}}', 'o.json')).toThrow('ways.glitter');
  const [{ settingGroups }] = fresh<typeof Settings>('../src/core/manner/settings');
  const days = settingGroups().find((g) => g.group === 'Days')?.settings;
  expect(days?.find((s) => s.label === 'Glitter')?.choices.map((c) => c.label)).toEqual(['some', 'lots']);
  const [{ SetMannerDto }, { check }] = doors();
  const wanted = (glitter: string) => ({
    spreadId: 1,
    manner: { school: 'airy', options: {}, ways: { glitter } },
  });
  expect(check(SetMannerDto, wanted('lots'), 'manner').manner.ways).toEqual({ glitter: 'lots' });
  expect(() => check(SetMannerDto, wanted('none'), 'manner')).toThrow('ways');
});

it('an option: its schema and the settings know it', () => {
  withEntry<typeof OptionRegistry>('../src/core/manner/options/registry', ({ OPTIONS }) => ({
    OPTIONS: [
      ...OPTIONS,
      {
        key: 'scent',
        schema: { enum: ['none', 'sea'] },
        choices: [{ value: 'sea', label: 'of the sea' }],
        usual: 'none',
        setting: { group: 'Days', label: 'Scent' },
      },
    ] as never,
  }));
  const [{ optionsSchema }] = fresh<typeof OptionsSchema>('../src/core/format/options-schema');
  expect(optionsSchema().properties).toHaveProperty('scent.enum', ['none', 'sea']);
  const [{ settingGroups }] = fresh<typeof Settings>('../src/core/manner/settings');
  expect(
    settingGroups()
      .flatMap((g) => g.settings)
      .map((s) => s.label),
  ).toContain('Scent');
});

it('a rule, also one of two digits: it is checked, sorted after the others, and said', () => {
  withEntry<typeof RuleRegistry>('../src/core/review/registry', ({ RULES }) => ({
    RULES: [
      ...RULES,
      ...(['D12', 'D10'] as const).map((code) => ({
        code,
        title: 'Toys are put away',
        check: () => [
          { rule: code, severity: 'look' as const, page: 0, x: 1, y: 1, placements: [], about: { is: 'toy', mm: 3 } },
        ],
        say: () => ({ message: 'A toy lies 3 mm from the edge.', remedy: 'Put it away.' }),
      })),
    ],
  }));
  const [{ review, viewOf }, { context, placement, weekWith, demand }] = fresh<typeof Review, typeof Fixtures>(
    '../src/core/review/review',
    './fixtures',
  );
  const view = viewOf(context({ week: weekWith(demand(), demand({ uid: 'b', key: 'b' })) }), [placement()]);
  const found = review(view).filter((f) => f.severity === 'look' && f.rule.startsWith('D'));
  expect(found.map((f) => f.rule).slice(-2)).toEqual(['D10', 'D12']);
  const [{ sayFinding }] = fresh<typeof SayReview>('../src/core/review/say');
  expect(sayFinding(found.at(-1)!, {} as never).message).toBe('A toy lies 3 mm from the edge.');
});

it('a kind of step: it has its place in the order, waits for what it must, and is said', () => {
  withEntry<typeof StepRegistry>('../src/core/bench/kinds/registry', ({ STEP_KINDS, stepKind }) => {
    const toy = {
      is: 'burnish',
      stepsOf: ({ stacks }: ToDo) =>
        stacks.flatMap(([p]) =>
          p?.role === 'box' ? [{ do: 'place', key: `burnish:${p.id}`, refs: [p.id], about: { is: 'burnish' } }] : [],
        ),
      standsAt: ({ refs }: Unnumbered) => ({ by: refs[0] }),
      edgesOf: ({ key, refs }: Unnumbered, { laidBy }: Among) => [
        { before: laidBy.get(refs[0]!)!, after: key, because: 'lies under it' },
      ],
      say: () => 'Rub the box down.',
      size: () => 1,
      stickersOf: () => [],
    } as unknown as StepKind;
    return {
      STEP_KINDS: [toy, ...STEP_KINDS],
      stepKind: (about) => ((about.is as string) === 'burnish' ? toy : stepKind(about)),
    };
  });
  const [{ demoSpread }, { benchOf }] = fresh<typeof Fixtures, typeof BenchModule>(
    './fixtures',
    '../src/core/bench/bench',
  );
  const { context, placements } = demoSpread();
  const { steps } = benchOf(context, placements);
  const rubbed = steps.filter((s) => s.key.startsWith('burnish:'));
  expect(rubbed.length).toBeGreaterThan(3);
  for (const s of rubbed) {
    const laid = steps.find((other) => other.about.is === 'lay' && other.refs.includes(s.refs[0]!))!;
    expect(s.n).toBeGreaterThan(laid.n);
    expect(s.group).toEqual(laid.group);
  }
});

it('a book that ships: old databases have it, and its corrections, with no row of it', async () => {
  withEntry<typeof BookRegistry>('../src/core/book/registry', ({ BOOKS }) => {
    const toy = { ...(BOOKS['three-box'] as BookRegistry.Book), name: 'Toy book' };
    const all = { ...BOOKS, toy };
    return { BOOKS: all, bookNamed: (name: string) => new Map(Object.entries(all)).get(name) };
  });
  const [{ findBook, listBooks }, { openDatabase }] = fresh<typeof Books, typeof DatabaseModule>(
    '../src/db/books',
    '../src/db/database',
  );
  const db = await openDatabase(':memory:');
  expect((await findBook(db, 'toy'))?.name).toBe('Toy book');
  expect((await listBooks(db)).map((b) => b.id)).toContain('toy');
  await db.destroy();
});
