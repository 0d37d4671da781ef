import { context, demand, found, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { discOpen } from '../book/disc-open';

const kit = kitOf(
  piece({ count: 20 }),
  piece({ code: 'G', finish: 'glossy', count: 9 }),
  piece({ code: 'N', color: '#1b2230', count: 9 }),
  piece({ code: 'V', finish: 'vinyl', count: 9 }),
  piece({ code: 'T', kind: 'header', height: 6.4, words: 'to do', count: 9 }),
  piece({ code: 'H', kind: 'header', height: 6.4, words: 'today', count: 9 }),
  piece({ code: 'I', kind: 'icon', width: 9, height: 9, count: 9 }),
  piece({ code: 'W', kind: 'washi', width: 170, height: 9, opacity: 0.55, count: 4 }),
  piece({ code: 'B', kind: 'full-box', height: 48.3, count: 9 }),
  piece({ code: 'D', kind: 'deco', width: 20, height: 20, count: 9 }),
);
const c = context({ kit, week: weekWith(demand({ title: 'vet' })) });
const label = (i: number, y: number, over = {}) =>
  placement({ id: `l${i}`, copy: i + 1, y, items: ['a'], text: 'vet', ink: 'black gel pen', ...over });

it('D3 speaks of a day with no place left', () => {
  const walls = [31, 79.3, 127.6].map((y, i) =>
    placement({ id: `b${i}`, code: 'B', copy: i + 1, y, h: 48.3, role: 'box' }),
  );
  expect(
    found('D3', c, [...walls, label(1, 178), label(2, 190)]).filter((f) => f.message.startsWith('Monday')),
  ).toMatchObject([
    { message: expect.stringContaining('only gaps are bare, and the lowest label needs 3/8 in with its gaps.') },
  ]);
  expect(found('D3', c, [label(1, 60)])).toEqual([]);
});

it('D7 speaks of a header under itself, and lets another be', () => {
  const header = (id: string, code: string, y: number) => placement({ id, code, copy: y > 70 ? 2 : 1, y, h: 6.4 });
  expect(found('D7', c, [header('x', 'T', 60), header('y', 'T', 80)])).toMatchObject([
    { message: 'Monday has the same header “to do” twice, one under the other.' },
  ]);
  expect(found('D7', c, [header('x', 'T', 60), header('y', 'H', 80)])).toEqual([]);
});

it('D8 speaks of a band that stops short, or on the first page', () => {
  const camp = context({ kit, week: weekWith(demand({ title: 'camp', kind: 'band', day: 1, lastDay: 3 })) });
  const name = placement({ x: 86.2, day: 1, items: ['a'], text: 'camp' });
  expect(found('D8', camp, [name]).map((f) => f.severity)).toEqual(['fix', 'look']);
  const strip = placement({
    id: 's',
    code: 'W',
    x: 86.2,
    y: 61,
    w: 78.2,
    h: 9,
    day: 1,
    cut: { x: 0, y: 0, w: 78.2, h: 9 },
  });
  expect(
    found('D8', camp, [
      { ...name, layer: 1 },
      strip,
      placement({ id: 'n', copy: 2, page: 1, x: 13.4, day: 3, items: ['a'], text: 'camp' }),
    ]),
  ).toEqual([]);
});

it('D9 speaks of work that stands on its due day or after it', () => {
  const due = (day: number) =>
    context({
      kit,
      week: weekWith(
        demand({ title: 'form', day }),
        demand({ key: 'due', title: 'form due', day: 3, aspect: 'due', kind: 'deadline' }),
      ),
    });
  expect(found('D9', due(2), [])).toEqual([]);
  expect(found('D9', due(3), [])[0]?.message).toBe(
    '“form” is due on Thursday and planned for that day itself, 0 days ahead.',
  );
  expect(found('D9', due(5), [])[0]?.message).toBe(
    '“form” is due on Thursday and planned for Saturday, 2 days too late.',
  );
});

it('F5 speaks of a strip cut too short, until a picture hides the gap', () => {
  const strip = placement({ id: 's', code: 'W', w: 35, h: 9, cut: { x: 0, y: 0, w: 35, h: 9 } });
  expect(found('F5', c, [strip])[0]?.message).toBe('A strip of 1 3/8 in is 1/8 in too short for its place.');
  expect(found('F5', c, [strip, placement({ id: 'd', code: 'D', x: 76, y: 55, w: 20, h: 20, layer: 1 })])).toEqual([]);
});

it('W1 speaks of a day fuller than wanted', () => {
  const half = context({ kit, options: { whiteSpace: 0.6 } });
  expect(
    found(
      'W1',
      half,
      [0, 1, 2].map((i) => placement({ id: `b${i}`, code: 'B', copy: i + 1, y: 31 + i * 50, h: 48.3, role: 'box' })),
    )[0]?.message,
  ).toBe('Monday is fuller than wanted: 15 % is white, 60 % is wanted.');
  expect(found('W1', half, [label(0, 60)])).toEqual([]);
});

it('W1 speaks of bare paper that something left would fill, once the week is laid', () => {
  const half = piece({ code: 'X', kind: 'half-box', width: 38.1, height: 24.1, count: 3 });
  const on = (over: Partial<Parameters<typeof context>[0]> = {}) =>
    context({ kit: kitOf(...kit.pieces, half), week: weekWith(demand({ title: 'vet' })), ...over });
  const vet = placement({ code: 'L', y: 31, h: 12, items: ['a'], text: 'vet' });
  expect(found('W1', on(), [vet])[0]?.message).toMatch(/^Monday, .* have up to 6 .* in of bare paper in one piece, and a .* that is left would go there\.$/); // prettier-ignore
  // nothing is said of a week that is being laid, of a school that keeps its white, or where nothing is left
  expect(found('W1', on({ week: weekWith(demand({ title: 'vet' }), demand({ uid: 'b', key: 'b', title: 'dig' })) }), [vet])).toEqual([]); // prettier-ignore
  expect(found('W1', on({ manner: 'airy' }), [vet]).filter((f) => f.message.includes('bare paper'))).toEqual([]);
  const none = kitOf(...kit.pieces.filter((p) => p.kind !== 'deco' && p.kind !== 'half-box'));
  expect(found('W1', on({ kit: none }), [vet])).toEqual([]);
});

it('W2 speaks of a heavy block', () => {
  expect(
    found(
      'W2',
      c,
      [0, 1, 2, 3].map((i) => label(i, 60 + i * 12.4)),
    )[0]?.message,
  ).toBe('4 labels in a block of 1 15/16 in make Monday heavy.');
  expect(
    found(
      'W2',
      c,
      [0, 1, 2, 3].map((i) => label(i, 60 + i * 14)),
    ),
  ).toEqual([]);
});

it('P1 and P2 speak of a pen that does not hold, bleeds or does not show', () => {
  expect(found('P1', c, [label(0, 60)])).toEqual([]);
  expect(found('P1', c, [label(0, 60, { code: 'G' })])).toMatchObject([
    { severity: 'fix', remedy: 'Write with black permanent marker.' },
  ]);
  expect(found('P1', c, [label(0, 60, { ink: 'black permanent marker' })])).toMatchObject([{ severity: 'look' }]);
  expect(found('P2', c, [label(0, 60, { code: 'N' })])[0]?.message).toMatch(
    /^Black gel pen hardly shows on Monday’s quarter box: a contrast of 1\.0/,
  );
  expect(found('P2', c, [label(0, 60, { code: 'N', ink: 'white gel pen' })])).toEqual([]);
});

it('P3 speaks of writing beside the coil, and not of pages that come out', () => {
  const near = label(0, 60, { x: 126.3, day: 2 });
  expect(found('P3', c, [near, label(1, 60)])).toMatchObject([
    { placements: ['l0'], message: '1 text on the left page is to be written within 5/16 in of the coil.' },
  ]);
  expect(found('P3', context({ kit, book: discOpen }), [near])).toEqual([]);
});

it('P4 speaks of a text that its base does not take', () => {
  expect(
    found('P4', c, [label(0, 60, { text: 'a text that is much too long for a base of this height' })])[0]?.message,
  ).toMatch(/takes 4 lines at your hand, and Monday’s quarter box has 2/);
  expect(found('P4', c, [label(0, 60)])).toEqual([]);
});

it('R1 and R2 speak of what cannot be lifted, and of stacks that would not hold together', () => {
  const icon = (x: number) => placement({ id: 'i', code: 'I', x, y: 61, w: 9, h: 9, layer: 1 });
  expect(found('R1', c, [label(0, 60, { code: 'V' }), icon(50)])[0]?.message).toContain(
    'can’t be lifted again (vinyl)',
  );
  expect(found('R1', c, [label(0, 60), icon(50)])).toEqual([]);
  expect(found('R2', c, [label(0, 60), icon(80)])[0]?.message).toContain('hangs 3/16 in over its base');
  expect(found('R2', c, [label(0, 60), icon(50)])).toEqual([]);
});
