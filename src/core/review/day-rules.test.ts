import { context, demand, found, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';

const kit = kitOf(piece({ count: 9 }), piece({ code: 'B', kind: 'full-box', height: 48.3, writable: 'no' }));
const at = (...demands: ReturnType<typeof demand>[]) => context({ kit, week: weekWith(...demands) });
const carries = (uid: string, over = {}) => placement({ items: [uid], text: uid, ...over });

describe('D1', () => {
  const box = placement({ code: 'B', h: 48.3, role: 'box', y: 100 });
  const c = at(demand({ uid: 'a' }));
  it('speaks of a box on a day whose items have no place', () =>
    expect(found('D1', c, [box])).toMatchObject([
      { severity: 'fix', message: 'Monday’s full box takes 1 7/8 in while 1 item of the day has no place.' },
    ]));
  it('is silent when they have one', () => expect(found('D1', c, [box, carries('a', { id: 'p2' })])).toEqual([]));
});

describe('D2', () => {
  const c = at(
    demand({ uid: 'a', title: 'vet', start: 600 }),
    demand({ uid: 'b', key: 'b', title: 'choir', start: 1170 }),
  );
  const vet = (over = {}) => carries('a', { text: '10a vet', ...over });
  const choir = (over = {}) => carries('b', { id: 'p2', copy: 2, y: 90, text: '7:30p choir', ...over });
  it('heeds a part of the day where there is no hour: bins at night, never over noon', () => {
    const bins = { uid: 'bins', key: 'bins', title: 'bins', kind: 'chore', part: 'evening' } as const;
    const of = (more: object) => at(demand({ uid: 'a', title: 'vet', start: 720 }), demand({ ...bins, ...more }));
    const laid = [vet({ text: '12p vet', y: 90 }), carries('bins', { id: 'b', copy: 3, y: 60 })];
    expect(found('D2', of({}), laid)[0]?.message).toMatch(/“bins” in the evening is 1 3\/16 in above “vet” at 12p/);
    expect(found('D2', of({ part: 'day' }), laid)).toEqual([]);
    expect(found('D2', of({ list: 'to do', kind: 'to-do' }), laid)).toEqual([]);
    expect(found('D2', of({ part: 'morning' }), laid)).toEqual([]);
  });
  it('is silent on items in time order', () => expect(found('D2', c, [vet(), choir()])).toEqual([]));
  it('speaks of two in the wrong order', () =>
    expect(found('D2', c, [vet({ y: 90 }), choir({ y: 60 })])[0]?.message).toBe(
      'Monday: “choir” at 7:30p is 1 3/16 in above “vet” at 10a.',
    ));
  it('speaks of one in another day’s column', () =>
    expect(found('D2', c, [vet({ day: 1, x: 86.2 }), choir()])[0]?.message).toContain(
      'its place is in Tuesday’s column',
    ));
  it('speaks of a sticker that says another time, or other words, than the agenda does by now', () => {
    expect(found('D2', c, [vet({ text: '9a vet' }), choir()])).toMatchObject([
      { severity: 'fix', message: '“vet” is at 10a, and its sticker says “9a vet”.' },
    ]);
    expect(found('D2', c, [vet({ text: '10a dentist' }), choir()])).toMatchObject([
      { severity: 'look', message: 'The sticker for “vet” says “10a dentist”: 0 of its 1 words.' },
    ]);
  });
});

describe('D5', () => {
  const c = at(
    demand({ uid: 'a', title: 'vet' }),
    demand({ uid: 'b', key: 'b', title: 'a title that goes on and on' }),
  );
  it('stops at an item without a place, with ways out', () => {
    const [f] = found('D5', c, [
      carries('a'),
      placement({ id: 'f', copy: 2, y: 74, h: 128.4, locked: true }),
      placement({ id: 'g', copy: 3, y: 31, h: 28, locked: true }),
    ]);
    expect(f).toMatchObject({ severity: 'stop', message: expect.stringMatching(/“a title that goes on and on” .*\d/) });
    expect(f?.remedy).toContain('or ');
  });
  it('tells of a title written short', () =>
    expect(found('D5', c, [carries('a'), carries('b', { id: 'p2', copy: 2, y: 90, text: 'a title…' })])).toMatchObject([
      { severity: 'look', message: expect.stringContaining('20 of its 27 letters') },
    ]));
  it('is silent before anything is laid', () => expect(found('D5', c, [])).toEqual([]));
});

describe('D6', () => {
  const twice = at(demand({ uid: 'a', title: 'Oats' }), demand({ uid: 'b', key: 'b', title: 'oats.', list: 'to buy' }));
  it('asks about the same thing on a list and alone', () =>
    expect(found('D6', twice, [])).toMatchObject([
      { message: '“Oats” comes twice on Monday, once on a list and once alone.' },
    ]));
  it('is silent on the same thing at two times, or on two days', () => {
    expect(
      found('D6', at(demand({ uid: 'a', start: 540 }), demand({ uid: 'a', key: 'a~2', start: 1140 })), []),
    ).toEqual([]);
    expect(found('D6', at(demand({ uid: 'a' }), demand({ uid: 'a', key: 'a#1', day: 1 })), [])).toEqual([]);
  });
  it('speaks of one item with two places', () =>
    expect(
      found('D6', at(demand({ uid: 'a' })), [carries('a'), carries('a', { id: 'p2', copy: 2, y: 90 })])[0]?.message,
    ).toContain('has 2 places and is wanted 1 time'));
});
