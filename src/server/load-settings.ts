import 'server-only';
import { houseWeekStart } from './week-start';
import type { OwnWays } from '../core/manner/own-ways';
import type { WeekStart } from '../core/week/week';
import type { Hand } from '../core/measure/hand';
import type { ShortForm } from '../core/manner/options/short-forms';
import type { TypingHabits } from '../core/week/typed/habits';
import type { TaughtWord } from '../core/week/taught';
import { allKits } from '../db/kits';
import type { LearnedChoice } from '../db/liked-choices';
import { listChoices } from '../db/liked-choices';
import type { Like } from '../db/likes';
import { listLikes } from '../db/likes';
import { ownerZone } from './calendars';
import type { DoorState } from './door/keeper';
import { doorState } from './door/keeper';
import { ownWays } from './own-ways';
import { measuredHand, ownerHand, ownShortForms, taughtWords, typingHabits } from './settings';
import { store } from './store';

export interface Settings {
  readonly hand: Hand;
  /** whether it was measured, or is a usual one */
  readonly measured: boolean;
  readonly weekStart: WeekStart;
  readonly ways: OwnWays;
  readonly zone: string;
  readonly zones: readonly string[];
  readonly typing: TypingHabits;
  readonly likes: readonly Like[];
  readonly likedChoices: readonly LearnedChoice[];
  readonly taught: readonly TaughtWord[];
  readonly shortForms: readonly ShortForm[];
  /** what icons of the owner's kits can mean */
  readonly meanings: readonly string[];
  readonly door: DoorState;
}

export async function loadSettings(): Promise<Settings> {
  const db = await store();
  const [hand, set, zone] = await Promise.all([ownerHand(db), measuredHand(db), ownerZone(db)]);
  const [likes, likedChoices, taught, shortForms, kits] = await Promise.all([
    listLikes(db),
    listChoices(db),
    taughtWords(db),
    ownShortForms(db),
    allKits(db),
  ]);
  const meanings = [...new Set(kits.flatMap((k) => k.pieces.flatMap((p) => (p.icon ? [p.icon] : []))))].sort();
  return {
    likes,
    likedChoices,
    taught,
    shortForms,
    meanings,
    door: await doorState(db),
    hand,
    measured: set !== null,
    zone,
    weekStart: await houseWeekStart(db),
    ways: await ownWays(db),
    typing: await typingHabits(db),
    zones: Intl.supportedValuesOf('timeZone'),
  };
}
