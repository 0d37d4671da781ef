import { voiceOf } from '../spread/voice';
import { sayRemedy } from './say';
import { sayFinding } from '../review/say';
import { demand, demoContext, demoKit, demoSpread } from '../../../tests/fixtures';
import type { Context, Placement } from '../spread/placement';
import { copyKey } from '../kit/ledger';
import { apply } from '../edit/change';
import { stackOf } from '../edit/stack';
import { overdrawnPlacements } from '../edit/stock-check';
import { review, viewOf } from '../review/review';
import { findingKey } from '../review/wave';
import { makeRoom, otherWaysOut, putOff, sendOneNextDoor } from './ideas/letting-in';
import { remediesFor } from './remedies';
import { withPatch } from './remedy';

const { context: c, placements } = demoSpread();
type Spread = readonly [Context, readonly Placement[]];
const kindOf = (p: Placement) => viewOf(c, placements).pieceOf(p)?.kind;
const the = (test: (p: Placement) => boolean): Placement => placements.find(test) as Placement;
const altered = (p: Placement, to: Partial<Placement>): readonly Placement[] =>
  placements.map((q) => (q.id === p.id ? { ...q, ...to } : q));
const once = (p: Placement): boolean =>
  c.week.demands.filter((d) => p.items.includes(d.uid) && d.kind !== 'band').length === 1;
const single = the(
  (p) => once(p) && p.role === 'day' && p.layer === 0 && p.items.length === 1 && kindOf(p) !== 'checklist',
);
const plain = the(
  (p) =>
    once(p) &&
    p.role === 'day' &&
    p.items.length === 1 &&
    kindOf(p) !== 'checklist' &&
    p.w > 36 &&
    stackOf(placements, p.id).length === 1,
);
const box = the((p) => p.role === 'box');
const cover = the((p) => kindOf(p) === 'date-cover');
const list = the((p) => kindOf(p) === 'checklist' && p.role === 'day' && p.items.length > 1);

/** A good week with one thing spoiled, by the rule that must speak of it. One line a rule. */
const SPOILED: Readonly<Record<string, () => Spread>> = {
  B1: () => [c, placements],
  B2: () => [c, placements.filter((p) => kindOf(p) !== 'bottom-washi')],
  B5: () => [
    c,
    placements.map((p) =>
      kindOf(p) === 'date-dot' && p.day === 2
        ? { ...p, code: the((q) => kindOf(q) === 'date-dot' && q.day === 3).code, copy: 2 }
        : p,
    ),
  ],
  F1: () => [c, altered(single, { x: single.x + 4 })],
  F4: () => [c, altered(plain, { x: plain.x + 3, w: plain.w - 3, cut: { x: 0, y: 0, w: plain.w - 3, h: plain.h } })],
  L1: () => {
    const text = list.text?.split('\n').slice(1).join('\n') ?? null;
    return [c, altered(list, { items: list.items.slice(1), text })];
  },
  D2: () => [c, altered(single, { day: ((single.day as number) + 1) % 7 })],
  D4: () => [
    {
      ...c,
      week: {
        ...c.week,
        demands: [...c.week.demands, demand({ uid: 'late', key: 'late', title: 'plumber', day: 3, start: 660 })],
      },
    },
    placements,
  ],
  D5: () => [c, placements.filter((p) => p.items.length === 0 || p.day === null || p.day > 4)],
  D6: () => [
    {
      ...c,
      week: {
        ...c.week,
        demands: [
          ...c.week.demands,
          { ...(c.week.demands[0] as Context['week']['demands'][number]), uid: 'again', key: 'again' },
        ],
      },
    },
    placements,
  ],
  P1: () => [c, altered(single, { text: 'vet', ink: 'black permanent marker' })],
  P2: () => [c, altered(single, { text: 'vet', ink: 'white gel pen' })],
  P3: () => [c, placements],
  P4: () => [
    c,
    altered(single, { text: `${single.text} and a good many words more than there is any room for on this` }),
  ],
  R3: () => [{ ...c, peeled: { [copyKey(box)]: 3 } }, placements],
  K3: () => [c, placements.filter((p) => p !== cover && !(p.day === cover.day && kindOf(p) === 'date-dot'))],
  K4: () => [{ ...c, options: { ...c.options, tapeMeters: 0.1 } }, placements],
};

it.each(Object.keys(SPOILED))('offers what truly takes a finding of %s away', (rule) => {
  const [context, laid] = (SPOILED[rule] as () => Spread)();
  const before = review(viewOf(context, laid));
  const finding = before.find((f) => f.rule === rule);
  if (!finding) throw new Error(`${rule} does not speak of it`);
  const [remedy] = remediesFor(context, laid, finding);
  if (!remedy) throw new Error(`nothing helps: ${sayFinding(finding, voiceOf(context, laid)).message}`);
  const next = remedy.patch ? withPatch(context, remedy.patch) : context;
  const after = remedy.change ? apply(laid, remedy.change) : laid;
  const left = review(viewOf(next, after));
  expect(left.map(findingKey)).not.toContain(findingKey(finding));
  expect(left.filter((f) => f.severity === 'stop').length).toBeLessThanOrEqual(
    before.filter((f) => f.severity === 'stop').length,
  );
  expect(overdrawnPlacements(next, after)).toEqual([]);
});

it('offers to move what is loose, and leaves it where it is once it is locked', () => {
  const loose = altered(single, { x: single.x + 4 });
  const touched = (laid: readonly Placement[]) =>
    review(viewOf(c, laid))
      .filter((f) => f.rule === 'F1')
      .flatMap((finding) => remediesFor(c, laid, finding))
      .flatMap(({ change }) => change?.before.map((p) => p.id) ?? []);
  expect(touched(loose)).toContain(single.id);
  const locked = loose.map((p) => (p.id === single.id ? { ...p, locked: true } : p));
  expect(review(viewOf(c, locked)).some((f) => f.rule === 'F1')).toBe(true);
  expect(touched(locked)).not.toContain(single.id);
});

it('lets a stash that is soon over in where it suits', () => {
  const frost = demoKit('stash');
  const context = demoContext({
    stash: [{ name: 'frost', pieces: frost.pieces.map((p) => ({ ...p, kit: 'frost' })) }],
    useBy: { frost: '2027-02-20' },
  });
  const laid = placements.filter((p) => p.kit === context.kit.name);
  const finding = review(viewOf(context, laid)).find((f) => f.rule === 'K6');
  const [remedy] = remediesFor(context, laid, finding!);
  expect(remedy?.change?.after.some((p) => p.kit === 'frost')).toBe(true);
});

describe('an item for a day that is stuck down', () => {
  const late = demand({
    uid: 'late',
    key: 'late',
    title: 'plumber',
    day: 2,
    start: null,
    part: 'evening',
    on: c.week.days[2],
    kind: 'to-do',
  });
  const context: Context = { ...c, week: { ...c.week, demands: [...c.week.demands, late] } };
  const stuck = placements.map((p) => (p.day === 2 ? { ...p, locked: true } : p));
  const column = context.book.regions.find((r) => r.kind === 'day' && r.day === 2)!;
  const full = [
    ...stuck,
    ...Array.from({ length: 12 }, (_, i) => ({
      ...box,
      id: `w${i}`,
      code: box.code,
      layer: 0,
      page: column.page,
      day: 2,
      x: column.x,
      y: column.y + i * 14.3,
      h: 3,
      items: [],
      locked: true,
      role: 'finish' as const,
    })),
  ];
  const finding = review(viewOf(context, full)).find((f) => f.rule === 'D5');
  const offered = [makeRoom, otherWaysOut, putOff].flatMap((idea) =>
    idea({ context, placements: full, finding: finding! }),
  );

  it('is noted in the sidebar, and counts as placed', () => {
    const note = offered.find((r) => r.deed.do === 'note in sidebar')!;
    const after = apply(full, note.change!);
    expect(after.find((p) => p.items.includes('late'))).toMatchObject({
      role: 'sidebar',
      day: null,
      text: expect.stringMatching(/(^|\n)Wed plumber$/),
    });
    expect(review(viewOf(context, after)).filter((f) => f.about.demands?.includes('late'))).toEqual([]);
  });

  it('is put off to the next week, and asks for no place any more', () => {
    const off = offered.find((r) => r.deed.do === 'put off')!;
    expect(sayRemedy(off.deed, voiceOf(context, full))).toBe('Put “plumber” off to next Monday, Feb 15');
    expect(off).toMatchObject({
      deed: { do: 'put off', title: 'plumber', to: '2027-02-15' },
      change: null,
      patch: { moved: { uid: 'late', to: '2027-02-15' } },
    });
    expect(
      review(viewOf(withPatch(context, off.patch!), full)).filter((f) => f.about.demands?.includes('late')),
    ).toEqual([]);
  });

  it('goes to a neighbor day, in the agenda too, so that D2 has nothing to say', () => {
    const moved = offered.find((r) => r.patch?.moved)!;
    expect(moved.patch?.moved).toMatchObject({ uid: 'late', on: '2027-02-10' });
    const next = withPatch(context, moved.patch!);
    expect(review(viewOf(next, apply(full, moved.change!))).filter((f) => f.about.demands?.includes('late'))).toEqual(
      [],
    );
    expect(
      review(viewOf(context, apply(full, moved.change!))).filter(
        (f) => f.rule === 'D2' && f.about.demands?.includes('late'),
      ),
    ).toHaveLength(1);
  });
});

it('sends something with no hour next door when a day is too full, in the agenda too', () => {
  const loose = c.week.demands.find(
    (d) =>
      d.start === null &&
      d.list === null &&
      d.aspect === 'item' &&
      d.kind !== 'band' &&
      d.on === c.week.days[d.day] &&
      placements.some((p) => p.day === d.day && p.items.length === 1 && p.items[0] === d.uid),
  )!;
  const finding = {
    rule: 'D3',
    severity: 'look' as const,
    page: 0,
    x: 0,
    y: 0,
    placements: [],
    about: { is: 'full', days: [loose.day] },
  };
  const sent = sendOneNextDoor({ context: c, placements, finding });
  expect(sent.length).toBeGreaterThan(0);
  for (const { change, patch } of sent) {
    const after = apply(placements, change!);
    const next = withPatch(c, patch!);
    const moved = patch!.moved!;
    const to = after.find((p) => p.items.includes(moved.uid) && c.week.days[p.day ?? -1] === moved.to);
    expect(to ? Math.abs((to.day as number) - loose.day) : moved.to).toBe(to ? 1 : '2027-02-15');
    expect(review(viewOf(next, after)).filter((f) => f.severity !== 'look')).toEqual(
      review(viewOf(c, placements)).filter((f) => f.severity !== 'look'),
    );
    expect(overdrawnPlacements(next, after)).toEqual([]);
  }
});
