import { voiceOf } from '../spread/voice';
import { sayFinding } from './say';
import { findingKey } from './wave';
import { context, demand, demoSpread, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { openB6 } from '../book/open-b6';
import { RULES } from './registry';
import { review, viewOf } from './review';
import { scoreOf } from './score';

it('knows its rules, each by its code and once, in the files named by them', () => {
  const codes = RULES.map((r) => r.code);
  expect(new Set(codes).size).toBe(codes.length);
  expect(codes).toEqual(
    expect.arrayContaining([
      'B1',
      'B2',
      'B3',
      'B4',
      'B5',
      'B6',
      'F1',
      'F2',
      'F3',
      'F4',
      'L1',
      'L2',
      'L3',
      'L4',
      'C1',
      'C2',
      'C3',
      'C4',
      'C5',
      'C6',
      'C7',
      'D1',
      'D2',
      'D5',
      'D6',
      'W3',
      'W4',
      'K1',
      'K3',
    ]),
  );
  expect(RULES.every((r) => r.title.length > 8)).toBe(true);
  // a finding of another code could not be written into a file (docs/formats)
  expect(RULES.filter((r) => !/^[BFLDCWPRK]\d{1,2}$/.test(r.code))).toEqual([]);
});

it('finds the same whatever the order of the placements, what stops the week first', () => {
  const { context: c, placements } = demoSpread({ book: openB6 });
  const one = review(viewOf(c, placements));
  const other = review(viewOf(c, [...placements].reverse()));
  const said = (list: typeof one) => list.map((f) => `${f.severity} ${findingKey(f)}`).sort();
  expect(said(other)).toEqual(said(one));
  const rank = { stop: 0, fix: 1, look: 2 };
  expect(one.map((f) => rank[f.severity])).toEqual([...one].map((f) => rank[f.severity]).sort());
});

it('speaks as a friend would: whole sentences with a number, and something to do about it', () => {
  const { context: c, placements } = demoSpread({ book: openB6 }, 'night-almanac');
  const voice = voiceOf(c, placements);
  for (const finding of review(viewOf(c, placements))) {
    const f = sayFinding(finding, voice);
    expect(f.message).toMatch(/^[A-Z“].*\.$/);
    expect(f.message).toMatch(/\d|twice|one thing/);
    expect(f.message).not.toMatch(/undefined|NaN|null/);
    expect(f.remedy).toMatch(/^[A-Z].*\.$/);
  }
});

it('points each finding into the pages', () => {
  const { context: c, placements } = demoSpread();
  for (const f of review(
    viewOf(
      c,
      placements.map((p) => ({ ...p, y: p.y + 4 })),
    ),
  )) {
    const page = c.book.pages[f.page]!;
    expect(f.x >= 0 && f.x <= page.width && f.y >= 0 && f.y <= page.height + 10).toBe(true);
    for (const id of f.placements) expect(placements.some((p) => p.id === id)).toBe(true);
  }
});

it('scores by rule, no rule worth more than a quarter, never under nothing', () => {
  const finding = {
    rule: 'F1',
    severity: 'fix' as const,
    page: 0,
    x: 0,
    y: 0,
    placements: [],
    about: { is: 'touches', mm: 2 },
  };
  expect(scoreOf([])).toMatchObject({ total: 100, parts: { F1: 0, D5: 0 } });
  expect(scoreOf([finding, { ...finding, severity: 'look' }])).toMatchObject({ total: 96.5, parts: { F1: -3.5 } });
  expect(scoreOf(Array.from({ length: 99 }, () => finding)).total).toBe(75);
});

it('is silent about items and dates before anything is laid', () => {
  const c = context({ kit: kitOf(piece()), week: weekWith(demand()) });
  expect(
    review(viewOf(c, []))
      .map((f) => f.rule)
      .filter((r) => r === 'D5' || r === 'B5'),
  ).toEqual([]);
  expect(review(viewOf(c, [placement()])).map((f) => f.rule)).toContain('D5');
});
