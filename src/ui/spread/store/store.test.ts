import { USUAL_PLAN } from '../../../core/bench/plan';
import { demoContext, demoSpread } from '../../../../tests/fixtures';
import { movePiece } from '../../../core/edit/move';
import { removePiece } from '../../../core/edit/remove';
import type { Change } from '../../../core/edit/change';
import { apply, invert } from '../../../core/edit/change';
import { lateItems } from '../../../core/review/late-items';
import { viewOf } from '../../../core/review/review';
import type { SpreadData } from '../../../server/spread-of';
import type { Running } from '../../../workers/arranger';
import { Arranger } from '../../../workers/arranger';
import { arrangeService } from '../../../workers/service';
import { createSpreadStore } from './create';
import { pagesShown } from './pages-shown';

const { context, placements } = demoSpread();
const box = placements.find((p) => p.role === 'box')!;

/** What the server would answer; each test sets what it needs. */
const server = {
  saveEdit: jest.fn(),
  undoOrRedo: jest.fn(),
  readSpread: jest.fn(),
  waveThrough: jest.fn(),
  tickSteps: jest.fn(),
  setStash: jest.fn(),
  setMannerOf: jest.fn(),
  keepBoth: jest.fn(),
  moveItems: jest.fn(),
  mend: jest.fn(),
};
jest.mock('../../../server/actions', () => ({
  saveEdit: (input: unknown) => server.saveEdit(input),
  undoOrRedo: (input: unknown) => server.undoOrRedo(input),
  readSpread: (input: unknown) => server.readSpread(input),
  waveThrough: (input: unknown) => server.waveThrough(input),
  setStash: (input: unknown) => server.setStash(input),
}));
jest.mock('../../../server/bench-actions', () => ({ tickSteps: (input: unknown) => server.tickSteps(input) }));
jest.mock('../../../server/manner-actions', () => ({ setMannerOf: (input: unknown) => server.setMannerOf(input) }));
jest.mock('../../../server/agenda-actions', () => ({
  keepBoth: (input: unknown) => server.keepBoth(input),
  moveItems: (input: unknown) => server.moveItems(input),
}));
jest.mock('../../../server/repair-actions', () => ({ mend: (input: unknown) => server.mend(input) }));

const data: SpreadData = {
  id: 7,
  context: {
    ...demoContext(),
    book: context.printed,
    manner: 'scattered',
    favorites: [],
    options: {},
    ways: {},
  },
  placements,
  history: { revision: 1, undo: { do: 'arrange', what: 'week' }, redo: null, at: { undo: 1, redo: null } },
  waved: [],
  work: USUAL_PLAN,
  keep: null,
  own: { options: {}, ways: {} },
};

const inPlace = (): Running => {
  const service = arrangeService();
  return {
    service: Object.fromEntries(
      Object.entries(service).map(([name, work]) => [
        name,
        async (...args: never[]) => (work as never as (...a: never[]) => unknown)(...args),
      ]),
    ) as never,
    onEnd: () => {},
    end: () => {},
  };
};
const arranger = new Arranger(inPlace);
const begin = (over: Partial<SpreadData> = {}) => createSpreadStore({ ...data, ...over }, () => arranger);
const settled = () => new Promise((done) => setTimeout(done, 20));
const move = (by: number, from = placements): Change =>
  movePiece(context, from, box.id, { page: box.page, x: box.x, y: box.y + by, day: box.day })!;

beforeEach(() => {
  jest.resetAllMocks();
  let revision = 1;
  server.saveEdit.mockImplementation(({ change }: { change: Change }) =>
    Promise.resolve({ ok: true, value: { revision: ++revision, undo: change.deed, redo: null } }),
  );
});

it('shows an edit at once and calls it saved when the server has it', async () => {
  const store = begin();
  store.getState().edit(move(3));
  expect(store.getState()).toMatchObject({ saving: 'saving', history: { undo: { do: 'move' }, redo: null } });
  expect(store.getState().placements.find((p) => p.id === box.id)?.y).toBe(box.y + 3);
  await settled();
  expect(store.getState()).toMatchObject({ saving: 'saved', history: { revision: 2 } });
});

it('saves in the order of the hand, one after the other', async () => {
  const order: string[] = [];
  server.saveEdit.mockImplementation(async ({ change }: { change: Change }) => {
    order.push(`begin ${change.deed.do}`);
    await settled();
    order.push(`end ${change.deed.do}`);
    return { ok: true, value: { revision: 2, undo: change.deed, redo: null } };
  });
  const store = begin();
  store.getState().edit(move(3));
  store.getState().edit(removePiece(context, store.getState().placements, box.id));
  await settled();
  await settled();
  await settled();
  expect(order).toEqual(['begin move', 'end move', 'begin take off', 'end take off']);
});

it('shows what is on the disk when an edit is refused, and why', async () => {
  server.saveEdit.mockResolvedValue({ ok: false, messages: ['not so'] });
  server.readSpread.mockResolvedValue({ ok: true, value: { placements: [], history: data.history } });
  const store = begin();
  store.getState().edit(move(3));
  await settled();
  expect(store.getState()).toMatchObject({ saving: 'failed', messages: ['not so'], placements: [] });
});

describe('while the server is away', () => {
  const away = new Error('connection refused');
  const saved = (change: Change) => ({ ok: true, value: { revision: 2, undo: change.deed, redo: null } });
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('keeps what was done in the window, says so, and sends it in order once the server is back', async () => {
    server.saveEdit.mockRejectedValue(away);
    const store = begin();
    store.getState().edit(move(3));
    store.getState().edit(removePiece(context, store.getState().placements, box.id));
    await jest.advanceTimersByTimeAsync(20_000);
    expect(store.getState()).toMatchObject({ saving: 'waiting', messages: [] });
    expect(store.getState().placements.some((p) => p.id === box.id)).toBe(false);
    const sent: string[] = [];
    server.saveEdit.mockImplementation(async ({ change }: { change: Change }) => {
      sent.push(change.deed.do);
      return saved(change);
    });
    await jest.advanceTimersByTimeAsync(10_000);
    expect(sent).toEqual(['move', 'take off']);
    expect(store.getState()).toMatchObject({ saving: 'saved', messages: [] });
    expect(store.getState().history.undo).toMatchObject({ do: 'take off' });
  });

  it('asks for an undo at one revision, however often, and blames nobody when only the answer was lost', async () => {
    server.undoOrRedo
      .mockRejectedValueOnce(away)
      .mockResolvedValue({ ok: false, stale: true, messages: ['other window'] });
    server.readSpread.mockResolvedValue({ ok: true, value: { placements: [], history: data.history } });
    const store = begin();
    store.getState().travel('undo');
    await jest.advanceTimersByTimeAsync(1000);
    expect(server.undoOrRedo.mock.calls.map(([input]) => (input as { revision: number }).revision)).toEqual([1, 1]);
    expect(store.getState()).toMatchObject({ saving: 'saved', messages: [], placements: [] });
  });
});

it('leaves out what was built on an edit that was refused, and says how many that were', async () => {
  server.saveEdit.mockResolvedValue({ ok: false, messages: ['not so'] });
  server.readSpread.mockResolvedValue({ ok: true, value: { placements, history: data.history } });
  const store = begin();
  for (const mm of [1, 2, 3]) store.getState().edit(move(mm, [...store.getState().placements]));
  for (let i = 0; i < 5; i++) await settled();
  expect(server.saveEdit).toHaveBeenCalledTimes(1);
  expect(store.getState().messages).toEqual(['not so', expect.stringContaining('The 2 edits')]);
  expect(store.getState()).toMatchObject({ saving: 'failed', placements });
});

it('nudges from where the piece is by now, however fast the keys come', async () => {
  const store = begin();
  store.getState().select(box.id);
  for (let i = 0; i < 3; i++) store.getState().nudge(0, 1);
  expect(store.getState().placements.find((p) => p.id === box.id)?.y).toBeCloseTo(box.y + 3, 5);
  await settled();
  expect(server.saveEdit).toHaveBeenCalledTimes(3);
});

describe('undo', () => {
  it('does what the server undid', async () => {
    const store = begin();
    store.getState().edit(move(3));
    await settled();
    const history = { revision: 3, undo: data.history.undo, redo: move(3).deed };
    server.undoOrRedo.mockResolvedValue({ ok: true, value: { change: invert(move(3)), history } });
    store.getState().travel('undo');
    await settled();
    expect(store.getState().placements).toEqual(placements);
    expect(store.getState().history).toEqual(history);
  });

  it('asks nothing when there is nothing to redo', async () => {
    begin().getState().travel('redo');
    await settled();
    expect(server.undoOrRedo).not.toHaveBeenCalled();
  });

  it('loads anew what another window changed', async () => {
    const foreign = { ...move(9), before: [{ ...box, y: 1 }] };
    server.undoOrRedo.mockResolvedValue({ ok: true, value: { change: foreign, history: data.history } });
    server.readSpread.mockResolvedValue({ ok: true, value: { placements: [box], history: data.history } });
    const store = begin();
    store.getState().travel('undo');
    await settled();
    expect(store.getState().messages[0]).toContain('another window');
    expect(store.getState().placements).toEqual([box]);
  });
});

describe('arranging', () => {
  it('lays out what the worker says, and saves it', async () => {
    const store = begin({ placements: [] });
    store.getState().arrange('rest');
    expect(store.getState().busy).toBe('Arranging what is open…');
    while (store.getState().busy) await settled();
    expect(store.getState().placements.length).toBeGreaterThan(60);
    expect(server.saveEdit).toHaveBeenCalledTimes(1);
  });

  it('tells “nothing is open” from “no room”', async () => {
    const idle = new Arranger(() => ({
      service: new Proxy({}, { get: () => () => Promise.resolve(null) }) as never,
      onEnd: () => {},
      end: () => {},
    }));
    for (const [there, says] of [
      [placements, { said: expect.stringContaining('Nothing is open'), messages: [] }],
      [[], { said: null, messages: [expect.stringContaining('Nothing more could be placed')] }],
    ] as const) {
      const store = createSpreadStore({ ...data, placements: there }, () => idle);
      store.getState().arrange('rest');
      while (store.getState().busy) await settled();
      expect(store.getState()).toMatchObject(says);
    }
  });

  it('can be cancelled: nothing is changed, and nothing is complained of', async () => {
    const ended = jest.fn();
    const slow = new Arranger(() => ({
      service: new Proxy(
        {},
        { get: (_, what) => () => (what === 'anew' ? new Promise(() => {}) : Promise.resolve()) },
      ) as never,
      onEnd: () => {},
      end: ended,
    }));
    const store = createSpreadStore(data, () => slow);
    store.getState().arrange('anew');
    await settled();
    store.getState().cancel();
    await settled();
    expect(store.getState()).toMatchObject({ busy: null, messages: [], placements });
    expect(ended).toHaveBeenCalledTimes(1);
  });

  it('says a crash, and is ready for the next try', async () => {
    const crashing = new Arranger(() => ({
      service: new Proxy({}, { get: () => () => Promise.reject(new Error('boom')) }) as never,
      onEnd: () => {},
      end: () => {},
    }));
    const store = createSpreadStore(data, () => crashing);
    store.getState().arrange('anew');
    while (store.getState().busy) await settled();
    expect(store.getState().messages[0]).toMatch(/The arranging (crashed|stopped)/);
    expect(store.getState().placements).toEqual(placements);
  });

  it('lets a late item in, says what moved, and marks it', async () => {
    const [found] = placements
      .filter((p) => p.role === 'day' && p.items.length === 1 && p.layer === 0)
      .flatMap((p) => {
        const left = apply(placements, removePiece(context, placements, p.id)!);
        const [demand] = lateItems(viewOf(context, left)).keys();
        return demand ? [{ left, demand }] : [];
      });
    const { left: without, demand: late } = found!;
    const store = begin({ placements: without });
    store.getState().letIn(late.key);
    while (store.getState().busy) await settled();
    expect(store.getState().said).toMatch(/^Let “.*” in: (nothing had to move|\d+ pieces? moved for it)\.$/);
    expect(store.getState().changed.length).toBeGreaterThan(0);
    store.getState().dismiss();
    expect(store.getState()).toMatchObject({ said: null, changed: [] });
  });

  it('does one thing at a time', async () => {
    const store = begin();
    store.getState().arrange('anew');
    store.getState().arrangeDay(2);
    expect(store.getState().busy).toBe('Arranging again…');
    while (store.getState().busy) await settled();
    expect(server.saveEdit).toHaveBeenCalledTimes(1);
  });
});

describe('a remedy', () => {
  it('that is a setting changes the manner, and says what it did', async () => {
    server.setMannerOf.mockImplementation(({ manner }: { manner: { options: object; ways: object } }) =>
      Promise.resolve({ ok: true, value: { context: data.context, own: manner } }),
    );
    const store = begin();
    store.getState().remedy({
      deed: { do: 'without', what: 'headers' },
      change: null,
      patch: { options: { headers: 'none' } },
    });
    await settled();
    expect(server.setMannerOf).toHaveBeenCalledWith({
      spreadId: 7,
      manner: { school: 'scattered', options: { headers: 'none' }, ways: {} },
    });
    expect(store.getState()).toMatchObject({ said: 'No headers this week', mannerBefore: { school: 'scattered' } });
  });

  it.each([
    [{ ticked: 'white-out:0:3:120' }, 'tickSteps', { spreadId: 7, steps: ['white-out:0:3:120'], done: true }],
    [
      { moved: { uid: 'u', on: '2027-02-08', to: '2027-02-09' } },
      'moveItems',
      { items: [{ uid: 'u', on: '2027-02-08' }], to: '2027-02-09' },
    ],
    [{ bothMeant: [['a', 'b']] as const }, 'keepBoth', { pairs: [{ one: 'a', other: 'b' }] }],
  ] as const)('that is done beside the spread is done there: %j', async (patch, action, wanted) => {
    server[action].mockResolvedValue({ ok: true, value: null });
    const store = begin();
    store.getState().remedy({ deed: { do: 'both meant' }, change: null, patch });
    await settled();
    expect(server[action]).toHaveBeenCalledWith(wanted);
    expect(store.getState().saving).toBe('saved');
    if ('ticked' in patch) expect(store.getState().context.ticked).toContain(patch.ticked);
  });
});

it('a stash that was chosen is the context’s from then on', async () => {
  server.setStash.mockResolvedValue({ ok: true, value: { ...data.context, stash: [] } });
  const store = begin();
  store.getState().setStash([]);
  await settled();
  expect(store.getState().context.stash).toEqual([]);
});

it.each([
  [2, 'both', [0, 1]],
  [2, 0, [0]],
  [2, 1, [1]],
  [4, 0, [0, 1]],
  [4, 1, [2, 3]],
  [1, 0, [0]],
] as const)('of %i pages, seen %s, it shows %j', (pages, zoom, shown) =>
  expect(pagesShown(pages, zoom)).toEqual(shown),
);

describe('in hand', () => {
  const item = context.week.demands.find((d) => d.title.startsWith('vet'))!;
  const carrier = placements.find((p) => p.items.includes(item.uid))!;

  it('an item with a sticker leads to it; one without is offered places, and is placed by one of them', async () => {
    const store = begin();
    store.getState().pickItem(item.key);
    expect(store.getState()).toMatchObject({ selected: carrier.id, item: null });
    store.getState().edit(removePiece(context, placements, carrier.id));
    store.getState().pickItem(item.key);
    expect(store.getState()).toMatchObject({ selected: null, item: item.key, offers: null });
    while (store.getState().offers === null) await settled();
    store.getState().edit(store.getState().offers![0]!.change);
    expect(store.getState().item).toBeNull();
  });

  it('several are chosen with one more click each, let go with another, and move together', () => {
    const [one, two] = placements.filter((p) => p.role === 'day' && p.layer === 0 && !p.locked) as [
      typeof box,
      typeof box,
    ];
    const store = begin();
    store.getState().select(one.id);
    store.getState().selectAlso(two.id);
    expect(store.getState().also).toEqual([two.id]);
    store.getState().nudge(0, 2);
    const at = (id: string) => store.getState().placements.find((p) => p.id === id)!.y;
    expect([at(one.id), at(two.id)]).toEqual([one.y + 2, two.y + 2]);
    store.getState().selectAlso(two.id);
    expect(store.getState().also).toEqual([]);
  });

  it('a sticker that was dragged to another day asks whether its item goes with it', async () => {
    server.moveItems.mockResolvedValue({ ok: true, value: null });
    const store = begin();
    const to = (item.day + 1) % 7;
    store
      .getState()
      .edit(movePiece(context, placements, carrier.id, { page: carrier.page, x: carrier.x, y: carrier.y, day: to }));
    store.getState().moved(carrier);
    expect(store.getState().astray).toEqual({ key: item.key, day: to, last: true });
    store.getState().followSticker();
    await settled();
    expect(server.moveItems).toHaveBeenCalledWith({
      items: [{ uid: item.uid, on: item.on }],
      to: context.week.days[to],
      withSpread: 7,
    });
    expect(store.getState()).toMatchObject({ astray: null, said: expect.stringContaining('agenda has it') });
    expect(store.getState().context.week.demands.find((d) => d.uid === item.uid)?.day).toBe(to);
  });

  it('each step of the work opens the drawer where it is done', () => {
    const store = begin();
    store.getState().fold(true);
    store.getState().setStep('Kit');
    expect(store.getState()).toMatchObject({ drawer: 'sheets', folded: false });
    store.getState().setStep('Days');
    expect(store.getState().drawer).toBe('findings');
  });
});
