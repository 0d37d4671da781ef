import { b1WhiteOut } from './b1-white-out';
import { b2BottomWashi } from './b2-bottom-washi';
import { b3DotsAndCovers } from './b3-dots-and-covers';
import { b4OverlapsOnTop } from './b4-overlaps-on-top';
import { b5DateNumbers } from './b5-date-numbers';
import { b6MonthFlags } from './b6-month-flags';
import { c1MatchingPalette } from './c1-matching-palette';
import { c2ColorsSpread } from './c2-colors-spread';
import { c3NeighborBoxes } from './c3-neighbor-boxes';
import { c4HeaderSequence } from './c4-header-sequence';
import { c5NotBolder } from './c5-not-bolder';
import { c6Foil } from './c6-foil';
import { c7ScenesFaceIn } from './c7-scenes-face-in';
import { d1RoomBesideBox } from './d1-room-beside-box';
import { d2TimeOrder } from './d2-time-order';
import { d3RoomForMore } from './d3-room-for-more';
import { d4LateItems } from './d4-late-items';
import { d5NoPlace } from './d5-no-place';
import { d6Twice } from './d6-twice';
import { d7NotTheSameTwice } from './d7-not-the-same-twice';
import { d8Bands } from './d8-bands';
import { d9PlannedBefore } from './d9-planned-before';
import { f1Fits } from './f1-fits';
import { f2ShortenedBoxes } from './f2-shortened-boxes';
import { f3DoubleBoxes } from './f3-double-boxes';
import { f4CommonEdge } from './f4-common-edge';
import { f5Lengths } from './f5-lengths';
import type { Rule } from './finding';
import { k1Count } from './k1-count';
import { k2WhatLacks } from './k2-what-lacks';
import { k3SpreadByNumber } from './k3-spread-by-number';
import { k4Supplies } from './k4-supplies';
import { k5Leftovers } from './k5-leftovers';
import { k6UseBy } from './k6-use-by';
import { l1RowsOfLists } from './l1-rows-of-lists';
import { l2JoinedLists } from './l2-joined-lists';
import { l3KeptOffcuts } from './l3-kept-offcuts';
import { l4StrippedLists } from './l4-stripped-lists';
import { p1PenForFinish } from './p1-pen-for-finish';
import { p2InkShows } from './p2-ink-shows';
import { p3NearTheBinding } from './p3-near-the-binding';
import { p4TextFits } from './p4-text-fits';
import { r1PermanentLast } from './r1-permanent-last';
import { r2WholeStacks } from './r2-whole-stacks';
import { r3Peeled } from './r3-peeled';
import { w1WhiteSpace } from './w1-white-space';
import { w2HeavyBlock } from './w2-heavy-block';
import { w3PageWeight } from './w3-page-weight';
import { w4Rhythm } from './w4-rhythm';

/** The rules of the handbook that the review knows. One line a rule. */
export const RULES: readonly Rule[] = [
  b1WhiteOut,
  b2BottomWashi,
  b3DotsAndCovers,
  b4OverlapsOnTop,
  b5DateNumbers,
  b6MonthFlags,
  f1Fits,
  f2ShortenedBoxes,
  f3DoubleBoxes,
  f4CommonEdge,
  f5Lengths,
  l1RowsOfLists,
  l2JoinedLists,
  l3KeptOffcuts,
  l4StrippedLists,
  d1RoomBesideBox,
  d2TimeOrder,
  d3RoomForMore,
  d4LateItems,
  d5NoPlace,
  d6Twice,
  d7NotTheSameTwice,
  d8Bands,
  d9PlannedBefore,
  c1MatchingPalette,
  c2ColorsSpread,
  c3NeighborBoxes,
  c4HeaderSequence,
  c5NotBolder,
  c6Foil,
  c7ScenesFaceIn,
  w1WhiteSpace,
  w2HeavyBlock,
  w3PageWeight,
  w4Rhythm,
  p1PenForFinish,
  p2InkShows,
  p3NearTheBinding,
  p4TextFits,
  r1PermanentLast,
  r2WholeStacks,
  r3Peeled,
  k1Count,
  k2WhatLacks,
  k3SpreadByNumber,
  k4Supplies,
  k5Leftovers,
  k6UseBy,
];
