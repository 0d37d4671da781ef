import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { arrange } from '../src/core/arrange/arrange';
import { strokesOf } from '../src/core/bench/strokes';
import type { Stroke } from '../src/core/bench/strokes';
import { whiteOutKey } from '../src/core/bench/step-key';
import { whiteOutOf } from '../src/core/bench/white-out';
import type { ContextData } from '../src/core/spread/context';
import { contextFrom } from '../src/core/spread/context';
import type { Context, Placement } from '../src/core/spread/placement';
import { threeBox } from '../src/core/book/three-box';
import { readCalendar } from '../src/core/format/calendar';
import { readKit } from '../src/core/format/kit-csv';
import type { Kit, Piece } from '../src/core/kit/kit';
import { review, viewOf } from '../src/core/review/review';
import type { Finding, Said } from '../src/core/review/finding';
import { sayFinding } from '../src/core/review/say';
import { voiceOf } from '../src/core/spread/voice';
import type { Demand, WeekDemands } from '../src/core/week/demand';
import { demandsOfWeek } from '../src/core/week/demands';
import type { Rule } from '../src/core/week/recur/rule';
import { daysOfWeek } from '../src/core/week/week';
import { demoAgenda } from '../demo/agenda';

export const WEEK = '2027-W06';

export const piece = (over: Partial<Piece> = {}): Piece => ({
  kit: 'test',
  code: 'Q-1',
  kind: 'quarter-box',
  count: 1,
  width: 38.1,
  height: 12,
  sheet: 1,
  shape: 'rect',
  color: '#e4f3ef',
  accent: '#1f6f78',
  motif: '',
  words: '',
  icon: '',
  writable: 'yes',
  opacity: 1,
  finish: 'matte-removable',
  foil: 'none',
  rows: 0,
  faces: 'none',
  ...over,
});

export const kitOf = (...pieces: readonly Piece[]): Kit => ({ name: 'test', pieces });

export const demand = (over: Partial<Demand> = {}): Demand => {
  const day = over.day ?? 0;
  return {
    key: over.uid ?? 'a',
    uid: 'a',
    title: 'swim',
    kind: 'chore',
    day,
    lastDay: day,
    start: null,
    end: null,
    part: 'day',
    tentative: false,
    list: null,
    room: null,
    categories: [],
    aspect: 'item',
    repeated: false,
    on: '2027-02-08',
    from: null,
    ...over,
  };
};

/** A recurrence rule that says no more than that it comes every day. */
export const rule = (over: Partial<Rule> = {}): Rule => ({
  freq: 'DAILY',
  interval: 1,
  count: null,
  until: null,
  weekStart: 0,
  byMonth: null,
  byWeekNo: null,
  byYearDay: null,
  byMonthDay: null,
  byDay: null,
  byHour: null,
  byMinute: null,
  bySecond: null,
  bySetPos: null,
  ...over,
});

export const weekWith = (...demands: readonly Demand[]): WeekDemands => ({
  week: WEEK,
  days: daysOfWeek(WEEK),
  demands,
});

export const context = (over: Partial<ContextData> = {}): Context =>
  contextFrom({
    book: threeBox,
    kit: kitOf(piece()),
    stash: [],
    week: weekWith(),
    manner: 'scattered',
    options: {},
    seed: 1,
    boxesBefore: [],
    usedElsewhere: [],
    ...over,
  });

export const placement = (over: Partial<Placement> = {}): Placement => ({
  id: 'p1',
  kit: 'test',
  code: 'Q-1',
  copy: 1,
  page: 0,
  x: 46.1,
  y: 60,
  w: 38.1,
  h: 12,
  turn: 0,
  layer: 0,
  role: 'day',
  day: 0,
  cut: null,
  items: [],
  text: null,
  size: 1,
  ink: null,
  locked: false,
  ...over,
});

/** What one rule finds on some placements, with how it is said. */
export function found(rule: string, c: Context, placements: readonly Placement[]): (Finding & Said)[] {
  const voice = voiceOf(c, placements);
  return review(viewOf(c, placements))
    .filter((f) => f.rule === rule)
    .map((f) => ({ ...f, ...sayFinding(f, voice) }));
}

/** So many strokes of the tape, one mm long in all. */
export const strokes = (count: number, mm = 1): Stroke[] =>
  Array<Stroke>(count).fill({
    page: 0, x: 0, y: 0, w: mm / count, h: 0.3, length: mm / count, day: null, region: null,
  }); // prettier-ignore

/** The key of the step that whites out a page of a spread. */
export function whiteOutKeyOf(c: Context, placements: readonly Placement[], page: number): string {
  const list = whiteOutOf(c, placements).filter((w) => w.page === page);
  return whiteOutKey(page, list, strokesOf({ book: c.book, placements }, list));
}

export const demoKit = (name: string): Kit =>
  readKit(readFileSync(join(__dirname, '..', 'demo', 'kits', `${name}.kit.csv`), 'utf8'), `${name}.kit.csv`, name);

/** The demo scenario's week, with a kit and the stash. */
export function demoContext(over: Partial<ContextData> = {}, kit = 'rockpool'): Context {
  const calendar = readCalendar(demoAgenda('2027-02-03'), 'demo.ics');
  return context({ kit: demoKit(kit), stash: [demoKit('stash')], week: demandsOfWeek([calendar], WEEK), ...over });
}

const laid = new Map<string, { context: Context; placements: readonly Placement[] }>();

/** The demo's week laid out; one that is asked for again is the same. */
export function demoSpread(
  over: Partial<ContextData> = {},
  kit = 'rockpool',
): { context: Context; placements: readonly Placement[] } {
  const key = `${kit} ${JSON.stringify(over)}`;
  const known = laid.get(key);
  if (known) return known;
  const c = demoContext(over, kit);
  const spread = { context: c, placements: arrange(c) };
  laid.set(key, spread);
  return spread;
}
