import { breakUpTheColor, bringToTheOtherPage, tipTheScales } from './balance';
import { changePlaces, toItsDay, writeAsItIsNow } from './days';
import { cutLonger, fitIn, lineUp } from './fitting';
import { bringInLine, layOnTop, takeOff, turnAround } from './laying';
import {
  arrangeOpen,
  fewerAtTheirHours,
  letThemIn,
  makeRoom,
  oneList,
  otherWaysOut,
  putOff,
  sendOneNextDoor,
} from './letting-in';
import { recutList } from './lists';
import { exchangeBoxes, swapOne } from './swaps';
import { lastWholeWord, otherPen, otherText } from './writing';
import { otherSetting } from './settings';
import { closeUp, evenOut, toItsHour } from './spacing';
import { anotherCopy, cutFromLeftover, useWhatIsSoonOver } from './stock';
import { keepBoth, tickWhiteOut } from './table';
import type { Idea } from '../remedy';

/** What to try for a rule's findings, the gentlest first. One line a rule. */
export const IDEAS: Readonly<Record<string, readonly Idea[]>> = {
  B1: [tickWhiteOut, otherSetting],
  B2: [fitIn, cutLonger, arrangeOpen, otherSetting],
  B3: [layOnTop, takeOff, otherSetting],
  B4: [layOnTop, takeOff, otherSetting],
  B5: [otherText, arrangeOpen, takeOff, otherSetting],
  B6: [fitIn, takeOff, otherSetting],
  F1: [fitIn, swapOne, takeOff, otherSetting],
  F2: [bringInLine, swapOne, takeOff, otherSetting],
  F3: [bringInLine, takeOff, otherSetting],
  F4: [lineUp, evenOut, otherSetting],
  F5: [cutLonger, takeOff, otherSetting],
  L1: [recutList, arrangeOpen, otherSetting],
  L2: [recutList, swapOne, otherSetting],
  L3: [recutList, otherSetting],
  L4: [recutList, takeOff, otherSetting],
  D1: [letThemIn, arrangeOpen, otherSetting],
  D2: [writeAsItIsNow, changePlaces, toItsDay, toItsHour, fewerAtTheirHours, otherSetting],
  D3: [closeUp, oneList, takeOff, sendOneNextDoor, otherSetting],
  D4: [letThemIn, otherSetting],
  D5: [letThemIn, swapOne, makeRoom, otherWaysOut, sendOneNextDoor, putOff, lastWholeWord, arrangeOpen, otherSetting],
  D6: [takeOff, keepBoth, otherSetting],
  D7: [swapOne, takeOff, otherSetting],
  D8: [arrangeOpen, otherSetting],
  D9: [toItsDay, otherSetting],
  C1: [swapOne, takeOff, otherSetting],
  C2: [swapOne, exchangeBoxes, bringToTheOtherPage, breakUpTheColor, takeOff, otherSetting],
  C3: [exchangeBoxes, swapOne, takeOff, otherSetting],
  C4: [swapOne, exchangeBoxes, takeOff, otherSetting],
  C5: [swapOne, takeOff, otherSetting],
  C6: [swapOne, takeOff, otherSetting],
  C7: [exchangeBoxes, turnAround, swapOne, otherSetting],
  W1: [sendOneNextDoor, arrangeOpen, otherSetting],
  W2: [evenOut, swapOne, otherSetting],
  W3: [tipTheScales, otherSetting],
  W4: [takeOff, otherSetting],
  P1: [otherPen, otherSetting],
  P2: [otherPen, swapOne, otherSetting],
  P3: [otherSetting],
  P4: [otherText, swapOne, otherSetting],
  R1: [swapOne, otherSetting],
  R2: [takeOff, otherSetting],
  R3: [anotherCopy, swapOne, takeOff, otherSetting],
  K1: [otherSetting],
  K2: [arrangeOpen, otherSetting],
  K3: [arrangeOpen, otherSetting],
  K4: [otherSetting],
  K5: [cutFromLeftover, otherSetting],
  K6: [swapOne, useWhatIsSoonOver, takeOff, otherSetting],
};
