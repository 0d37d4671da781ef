import type { FoundPiece, ReadSheet } from '../../core/scan/found';
import { remove, tell } from '../../core/scan/correct';
import type { Opened } from '../../workers/scan-service';
import type { Scanner } from './scanner';
import { createScan } from './store';

const corners = [
  { x: 10, y: 10 },
  { x: 1510, y: 10 },
  { x: 1510, y: 2110 },
  { x: 10, y: 2110 },
] as const;
const opened = (over: Partial<Opened> = {}): Opened => ({
  width: 1520,
  height: 2120,
  dpi: 300,
  corners,
  sure: true,
  card: null,
  ...over,
});
const found = (design: number): FoundPiece => ({
  x: 5, y: 5 + 20 * design, w: 38, h: 12, shape: 'rect', color: '#c2543d', accent: '#c2543d', foil: 'none', rows: 0, kind: 'label', design, doubts: [],
}); // prettier-ignore
const sheet = (count = 2): ReadSheet => ({
  width: 127,
  height: 178,
  backing: '#f4f1ea',
  pieces: Array.from({ length: count }, (_, i) => found(i)),
});

/** A scanner that is played: it can be told what to answer, and when. */
function played(over: Partial<Scanner> = {}) {
  const asked: unknown[][] = [];
  let ended = 0;
  const scanner: Scanner = {
    open: async (file) => (asked.push(['open', file.name]), opened()),
    read: async (id, _, width, height, onStep) => {
      asked.push(['read', id, width, height]);
      onStep('lines');
      return { sheet: sheet(), picture: new Blob(['picture']) };
    },
    rescale: async (id, factor) => void asked.push(['rescale', id, factor]),
    cut: async (id, pieces) => (asked.push(['cut', id]), pieces.map(() => new Blob(['cut']))),
    drop: async (id) => void asked.push(['drop', id]),
    end: () => ended++,
    ...over,
  };
  let started = 0;
  const scan = createScan(() => (started++, scanner));
  return { scan, asked, counts: () => ({ started, ended }) };
}
const file = (name: string) => new File(['bytes'], name);
const settled = () => new Promise((done) => setTimeout(done, 5));

it('reads one picture after the other, at the size that their resolution tells', async () => {
  const { scan, asked } = played();
  scan.getState().add([file('one.jpg'), file('two.jpg')]);
  expect(scan.getState().sheets.map((s) => s.state)).toEqual(['waiting', 'waiting']);
  await settled();
  expect(asked).toEqual([
    ['open', 'one.jpg'],
    ['read', 1, 127, 177.8],
    ['open', 'two.jpg'],
    ['read', 2, 127, 177.8],
  ]);
  expect(scan.getState()).toMatchObject({ current: 1 });
  expect(scan.getState().sheets.map((s) => [s.state, s.stickers.length])).toEqual([
    ['read', 2],
    ['read', 2],
  ]);
});

it('asks how large a sheet is whose picture does not tell, and reads it then', async () => {
  const { scan, asked } = played({ open: async () => opened({ dpi: null }) });
  scan.getState().add([file('photo.jpg')]);
  await settled();
  expect(scan.getState().sheets[0]).toMatchObject({ state: 'asking', width: 127, height: 178 });
  scan.getState().setSheet(1, { width: 140, height: 216 });
  scan.getState().read(1);
  await settled();
  expect(asked).toEqual([['read', 1, 140, 216]]);
  expect(scan.getState().sheets[0]?.state).toBe('read');
});

it('asks for the corners where no sheet was told from what is behind it, but on a picture that is cut to the sheet', async () => {
  const wide = { width: 2550, height: 3300 };
  const answers = new Map([
    ['glass.jpg', opened({ sure: false, ...wide })],
    ['cropped.jpg', opened({ sure: false })],
  ]);
  const { scan } = played({ open: async (f) => answers.get(f.name) ?? opened() });
  scan.getState().add([file('glass.jpg'), file('cropped.jpg')]);
  await settled();
  expect(scan.getState().sheets.map((s) => s.state)).toEqual(['asking', 'read']);
});

it('corners that are moved keep the picture’s scale, and what was read comes back as it was', async () => {
  const { scan } = played();
  scan.getState().add([file('one.jpg')]);
  await settled();
  scan.getState().correct((all) => tell(all, [1], { words: 'tide' }));
  const read = scan.getState().sheets[0];
  scan.getState().setSheet(1, { state: 'asking' });
  const [a, b, c, d] = corners;
  scan.getState().setSheet(1, { corners: [a, { ...b, x: 1210 }, { ...c, x: 1210 }, d] });
  expect(scan.getState().sheets[0]).toMatchObject({ state: 'asking', width: 101.6, height: 177.8 });
  scan.getState().setSheet(1, { width: 90 });
  expect(scan.getState().sheets[0]).toMatchObject({ width: 90, height: 177.8 });
  scan.getState().backToStickers(1);
  expect(scan.getState().sheets[0]).toEqual(read);
});

it('says of each picture by itself what is wrong with it', async () => {
  const { scan } = played({
    open: async (f) => {
      if (f.name === 'list.pdf') throw new Error('list.pdf, picture: found a PDF');
      return opened();
    },
    read: async (id) => ({ sheet: sheet(id === 2 ? 0 : 2), picture: new Blob() }),
  });
  scan.getState().add([file('list.pdf'), file('cat.jpg'), file('sheet.jpg')]);
  await settled();
  expect(scan.getState().sheets.map((s) => [s.state, s.said])).toEqual([
    ['failed', 'list.pdf, picture: found a PDF'],
    ['failed', 'No stickers were found in this picture.'],
    ['read', ''],
  ]);
});

it('corrections are undone and made again, sheet by sheet', async () => {
  const { scan } = played();
  scan.getState().add([file('one.jpg')]);
  await settled();
  const kinds = () => scan.getState().sheets[0]?.stickers.map((s) => s.kind);
  scan.getState().select([1]);
  scan.getState().correct((all) => tell(all, [1], { kind: 'flag' }));
  scan.getState().correct((all) => remove(all, [1]));
  expect([kinds(), scan.getState().selected]).toEqual([['label'], []]);
  scan.getState().step('undo');
  expect(kinds()).toEqual(['flag', 'label']);
  scan.getState().step('undo');
  expect(kinds()).toEqual(['label', 'label']);
  scan.getState().step('redo');
  expect(kinds()).toEqual(['flag', 'label']);
  scan.getState().correct((all) => all);
  scan.getState().step('redo');
  expect(kinds()).toEqual(['flag', 'label']);
});

it('a measured sticker puts the whole sheet right', async () => {
  const { scan, asked } = played();
  scan.getState().add([file('one.jpg')]);
  await settled();
  scan.getState().rescale(2);
  expect(scan.getState().sheets[0]).toMatchObject({ width: 254 });
  expect(scan.getState().sheets[0]?.stickers[0]).toMatchObject({ w: 76, y: 10 });
  expect(asked.at(-1)).toEqual(['rescale', 1, 2]);
  scan.getState().rescale(Number.NaN);
  expect(scan.getState().sheets[0]).toMatchObject({ width: 254 });
});

it.each([
  ['late', true],
  ['never', false],
])(
  'cancel ends the worker, which answers %s; what was read stays, and is cut after it is read anew',
  async (_, answers) => {
    let answer: () => void = () => {};
    let held = true;
    const { scan, asked, counts } = played({
      open: (f) =>
        f.name === 'slow.jpg' ? new Promise((done) => (answer = () => done(opened()))) : Promise.resolve(opened()),
      cut: async (_, pieces) => (held ? ((held = false), null) : pieces.map(() => new Blob(['cut']))),
    });
    scan.getState().add([file('one.jpg'), file('slow.jpg')]);
    await settled();
    scan.getState().cancel();
    if (answers) answer();
    await settled();
    expect(scan.getState().sheets.map((s) => [s.state, s.said])).toEqual([
      ['read', ''],
      ['failed', 'Reading was cancelled.'],
    ]);
    expect(counts().ended).toBe(1);
    scan.getState().add([file('three.jpg')]);
    await settled();
    expect(scan.getState().sheets[2]?.state).toBe('read');
    const [first] = scan.getState().sheets;
    expect(await scan.getState().pictures(1, first!.stickers)).toHaveLength(2);
    expect(asked.filter(([what]) => what === 'read')).toHaveLength(3);
    expect(counts().started).toBe(2);
  },
);

it('a sheet that is removed gives its place to another', async () => {
  const { scan, asked } = played();
  scan.getState().add([file('one.jpg'), file('two.jpg')]);
  await settled();
  scan.getState().drop(1);
  expect([scan.getState().current, scan.getState().sheets.length, asked.at(-1)]).toEqual([2, 1, ['drop', 1]]);
});

describe('a size that is told by what lies beside the sheet', () => {
  // the sheet is 1500 by 2100 px here, the card 856 by 539.8: ten pixels a millimeter
  const card = [
    { x: 1600, y: 100 },
    { x: 2456, y: 100 },
    { x: 2456, y: 639.8 },
    { x: 1600, y: 639.8 },
  ] as const;

  it('is taken from a bank card by itself, and follows its corners', async () => {
    const { scan, asked } = played({ open: async () => opened({ dpi: null, card, width: 2600 }) });
    scan.getState().add([file('photo.jpg')]);
    await settled();
    expect(scan.getState().sheets[0]).toMatchObject({ state: 'asking', sizeBy: 'card', width: 150, height: 210 });
    const moved = card.map(({ x, y }) => ({ x: 1600 + (x - 1600) * 2, y: 100 + (y - 100) * 2 }));
    scan.getState().setSheet(1, { card: moved as unknown as typeof card });
    expect(scan.getState().sheets[0]).toMatchObject({ width: 75, height: 105 });
    scan.getState().read(1);
    await settled();
    expect(asked.at(-1)).toEqual(['read', 1, 75, 105]);
  });

  it('is taken from a ruler when its owner says how long it is, and typed again when that is wanted', async () => {
    const { scan } = played({ open: async () => opened({ dpi: null }) });
    scan.getState().add([file('photo.jpg')]);
    await settled();
    expect(scan.getState().sheets[0]).toMatchObject({ sizeBy: 'typed', width: 127, height: 178 });
    const along = { from: { x: 0, y: 2200 }, to: { x: 1000, y: 2200 }, mm: 100 };
    scan.getState().setSheet(1, { sizeBy: 'ruler', rulers: [along] });
    expect(scan.getState().sheets[0]).toMatchObject({ width: 150, height: 210 });
    scan.getState().setSheet(1, { rulers: [along, { from: { x: 5, y: 0 }, to: { x: 5, y: 1000 }, mm: 90 }] });
    expect(scan.getState().sheets[0]).toMatchObject({ width: 150, height: 189 });
    scan.getState().setSheet(1, { sizeBy: 'typed', width: 140 });
    expect(scan.getState().sheets[0]).toMatchObject({ width: 140, height: 189 });
  });
});
