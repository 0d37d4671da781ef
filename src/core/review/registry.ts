import { b1WhiteOut } from './b1-white-out';
import { b2BottomWashi } from './b2-bottom-washi';
import { b5DateNumbers } from './b5-date-numbers';
import { c3NeighborBoxes } from './c3-neighbor-boxes';
import { d1RoomBesideBox } from './d1-room-beside-box';
import { d2TimeOrder } from './d2-time-order';
import { d5NoPlace } from './d5-no-place';
import { d6Twice } from './d6-twice';
import { f1Fits } from './f1-fits';
import type { Rule } from './finding';
import { k1Count } from './k1-count';

/** The rules of the handbook that the review knows. One line a rule. */
export const RULES: readonly Rule[] = [b1WhiteOut, b2BottomWashi, b5DateNumbers, f1Fits, d1RoomBesideBox, d2TimeOrder, d5NoPlace, d6Twice, c3NeighborBoxes, k1Count];
