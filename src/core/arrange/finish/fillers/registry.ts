import type { Fill } from './filler';
import { boxesToWriteOn } from './boxes-to-write-on';
import { littles } from './littles';
import { strippedLists } from './stripped-lists';
import { pictures } from './pictures';

/** In which ways a day is filled. One line a way. */
export const FILLERS: readonly Fill[] = [pictures, boxesToWriteOn, strippedLists, littles];
