import { ahead } from './ahead';
import { bottomWashi } from './bottom-washi';
import { dateCovers } from './date-covers';
import { foils } from './foils';
import { gap } from './gap';
import { hand } from './hand';
import { headers } from './headers';
import { kitOnly } from './kit-only';
import { littles } from './littles';
import { monthFlags } from './month-flags';
import { notes } from './notes';
import { onPaper } from './on-paper';
import { shortForms } from './short-forms';
import { sidebar } from './sidebar';
import { smallest } from './smallest';
import { tapeMeters } from './tape-meters';
import { weekendBanner } from './weekend-banner';
import { whiteSpace } from './white-space';
import { writeOnBoxes } from './write-on-boxes';
import type { Option } from './option';

/** All that can be set for a spread, in the order that the settings show it. One line an option. */
export const OPTIONS = [
  bottomWashi,
  dateCovers,
  monthFlags,
  headers,
  writeOnBoxes,
  littles,
  gap,
  whiteSpace,
  ahead,
  foils,
  kitOnly,
  weekendBanner,
  sidebar,
  onPaper,
  smallest,
  notes,
  hand,
  shortForms,
  tapeMeters,
] as const;

type AnyOption = (typeof OPTIONS)[number];

/** What a spread is laid out by (docs/formats). Lengths in mm, shares 0-1. */
export type Options = { readonly [O in AnyOption as O['key']]: O extends Option<string, infer V> ? V : never };

/** What most decorators do, from which each school departs. Common practice. */
export const USUAL_HABITS = Object.fromEntries(OPTIONS.map((o) => [o.key, o.usual])) as Options;
