import type { Generated } from 'kysely';
import type { Piece } from '../core/kit/kit';

/** A planner; the whole of it as JSON (docs/formats), since it is only ever read whole. */
export interface BookTable {
  id: string;
  name: string;
  json: string;
}

export interface KitTable {
  id: string;
  role: 'kit' | 'stash';
  /** what its owner knows of it, as JSON (`KitFacts`) */
  facts: Generated<string>;
}

/** A change of the stock that no spread made. */
export interface StockEventTable {
  seq: Generated<number>;
  what: 'spoiled' | 'used' | 'found' | 'kept';
  kit_id: string;
  code: string;
  copy: number;
  reason: string;
  /** the part of it that it is about, as JSON; null for all of it */
  cut: string | null;
}

/** The kit planned for a week that is not begun yet. */
export interface KitWeekTable {
  week: string;
  kit_id: string;
}

export interface OrderItemTable {
  id: Generated<number>;
  what: string;
  count: number;
  shop: string;
  /** days from order to door, as the owner knows the shop */
  days: number;
  /** a day */
  needed_by: string;
  state: 'to order' | 'ordered' | 'here';
}

/** Correction tape by the meter, pens by ink: how much is there, and when to warn. */
export interface SupplyTable {
  name: string;
  unit: string;
  amount: number;
  warn_at: number;
}

/** One design of sticker; the columns are those of a kit file. Lengths in mm. */
export interface PieceTable extends Omit<Piece, 'kit' | 'picture' | 'clear' | 'ground'> {
  kit_id: string;
  position: number;
  /** hash of its picture; empty where it has none */
  picture: Generated<string>;
  /** the part of it that can be written on, as JSON; null where its picture does not tell */
  clear: string | null;
  /** the colors that its picture shows where it is written on, as JSON; null where it has none */
  ground: string | null;
}

/** A calendar as it was read, so that it can be given back unchanged; from a file, made here, or from a feed. */
export interface CalendarTable {
  id: Generated<number>;
  name: string;
  ics: string;
  /** goes up with every change of the text */
  revision: Generated<number>;
  /** of a feed; null for all others */
  address: string | null;
  etag: string | null;
  /** when the feed was last asked, and last read; ISO 8601 */
  checked_at: string | null;
  read_at: string | null;
  /** why the last asking failed; null when it did not */
  trouble: string | null;
  /** what the last reading changed, as JSON */
  changes: string | null;
}

/** What became of an item on a day (`done`, `brought`, `let go`); or of a pair of them, with no day: `both meant`. */
export interface ItemMarkTable {
  uid: string;
  day: string;
  mark: string;
}

export interface SettingTable {
  name: string;
  json: string;
}

export interface SpreadTable {
  id: Generated<number>;
  week: string;
  book_id: string;
  kit_id: string;
  manner: string;
  seed: number;
  options: string;
  /** where it differs from its school's ways, as JSON */
  ways: Generated<string>;
  /** keys of findings waved through, as JSON */
  waved: Generated<string>;
  /** goes up with everything that may change its picture */
  revision: Generated<number>;
  /** how its owner works on it, as JSON (`WorkPlan`) */
  work: Generated<string>;
  /** waves and ticks that an older version named by their words, as JSON, until they are looked up */
  said: string | null;
}

/** A school with its owner's changes, as JSON. */
export interface OwnMannerTable {
  name: string;
  school: string;
  options: string;
  ways: string;
}

/** A sticker its owner likes best. */
export interface FavoriteTable {
  id: Generated<number>;
  kit_id: string;
  code: string;
}

/** What was learned of the owner's taste for a sticker. */
export interface LearnedLikeTable {
  kit_id: string;
  code: string;
  weight: number;
  off: Generated<number>;
}

/** What was learned of how a school's weeks are laid out. */
export interface LearnedChoiceTable {
  manner: string;
  choice: string;
  weight: number;
  off: Generated<number>;
}

/** The picture of a page that a book was measured from. */
export interface BookScanTable {
  book_id: string;
  page: number;
  type: string;
  data: Uint8Array;
}

export interface PlacementTable {
  spread_id: number;
  id: string;
  kit_id: string;
  code: string;
  copy: number;
  page: number;
  x: number;
  y: number;
  w: number;
  h: number;
  turn: number;
  layer: number;
  role: string;
  day: number | null;
  cut: string | null;
  items: string;
  text: string | null;
  ink: string | null;
  /** how large its text is written, as a share of the owner's hand */
  size: number;
  locked: number;
}

/** What is written straight onto the paper. */
export type WritingTable = Omit<PlacementTable, 'kit_id' | 'code' | 'copy' | 'turn' | 'cut'>;

/** Edits of all rooms, in order; an undone one waits to be redone (see log.ts). */
export interface LogTable {
  seq: Generated<number>;
  room: 'spread' | 'book' | 'agenda' | 'kits';
  spread_id: number | null;
  book_id: string | null;
  /** of the form that its effects are written in */
  version: number;
  /** what was done, as JSON */
  deed: string;
  /** what that did, so that it can be undone, as JSON */
  effects: string;
  undone: number;
}

/** What is known of a sticker that lies on a spread beside where it lies: stuck down or not, and how often peeled. */
export interface StickerFactTable {
  spread_id: number;
  kit_id: string;
  code: string;
  copy: number;
  down: Generated<number>;
  peels: Generated<number>;
}

/** A kit or stash that a spread may take from, beside its own kit. */
export interface SpreadStashTable {
  spread_id: number;
  kit_id: string;
}

/** A copy that was begun: parts on spreads, used elsewhere, spoiled. Kept by triggers. */
export interface CopyStateTable {
  kit_id: string;
  code: string;
  copy: number;
  placed: number;
  gone: number;
  spoiled: number;
}

/** Copies of a kit: all there were, those begun, those spoiled. Kept by triggers. */
export interface KitStockTable {
  kit_id: string;
  total: number;
  touched: number;
  spoiled: number;
}

/** A step of the bench that is done, by what it is about. */
export interface TickTable {
  spread_id: number;
  step: string;
  /** when, ISO 8601; empty where an older version did not write it down */
  at: Generated<string>;
  /** meters of tape that it took from what is in the house */
  tape: Generated<number>;
}

/** What came of a spread that is on paper. */
export interface KeepTable {
  spread_id: number;
  /** the day it was finished */
  finished: string;
  /** hash of a photo of it; empty where there is none */
  photo: Generated<string>;
  /** `kit/code` of what was loved, and of what jarred, as JSON */
  loved: Generated<string>;
  jarred: Generated<string>;
  /** how it was laid out, what of that was loved, and what jarred, as JSON */
  loved_choices: Generated<string>;
  jarred_choices: Generated<string>;
  note: Generated<string>;
  /** 1 to 5; 0: none was given */
  rating: Generated<number>;
  /** words that its owner finds it by, as JSON */
  tags: Generated<string>;
}

/** What was written down of a day: a dinner, a habit that was kept, hours, money, a moment. */
export interface RecordTable {
  day: string;
  what: string;
  /** which habit, which work, what for; empty where there is one only */
  name: string;
  amount: Generated<number>;
  text: Generated<string>;
}

/** An item of a week that is over, as the calendars had it then. */
export interface PastItemTable {
  week: string;
  key: string;
  uid: string;
  day: string;
  /** the day on which its calendar had it: its mark is of that day */
  on_day: string;
  title: string;
  kind: string;
  start: number | null;
  list: string | null;
  /** it is ticked when it is done; all else passes by itself */
  ticked: number;
  repeated: number;
  /** the day it was put off from */
  moved_from: string | null;
  /** what became of it; kept by triggers */
  mark: Generated<string | null>;
}

/** A week that is over, and as of which state of the calendars its items were kept. */
export interface PastWeekTable {
  week: string;
  as_of: string;
}

/** A week whose words are to be written anew before they are looked for. Kept by triggers. */
export interface StaleWeekTable {
  week: string;
}

/** A week that was given up, with all its rows as JSON, and the stock that stayed used. */
export interface GivenUpTable {
  id: Generated<number>;
  week: string;
  at: string;
  rows: string;
  stuck: string;
}

/** One row: goes on with every change of a kit or a piece. Kept by triggers. */
export interface KitClockTable {
  id: number;
  time: number;
}

export interface Tables {
  book: BookTable;
  book_scan: BookScanTable;
  favorite: FavoriteTable;
  kit: KitTable;
  learned_like: LearnedLikeTable;
  learned_choice: LearnedChoiceTable;
  kit_week: KitWeekTable;
  order_item: OrderItemTable;
  stock_event: StockEventTable;
  supply: SupplyTable;
  piece: PieceTable;
  calendar: CalendarTable;
  item_mark: ItemMarkTable;
  setting: SettingTable;
  spread: SpreadTable;
  own_manner: OwnMannerTable;
  placement: PlacementTable;
  writing: WritingTable;
  log: LogTable;
  sticker_fact: StickerFactTable;
  spread_stash: SpreadStashTable;
  copy_state: CopyStateTable;
  kit_stock: KitStockTable;
  kit_clock: KitClockTable;
  tick: TickTable;
  keep: KeepTable;
  given_up: GivenUpTable;
  record: RecordTable;
  past_item: PastItemTable;
  past_week: PastWeekTable;
  stale_week: StaleWeekTable;
}
