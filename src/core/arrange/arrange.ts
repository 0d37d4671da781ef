import { bands } from './base/bands';
import { banner } from './base/banner';
import { bottomWashi } from './base/bottom-washi';
import { boxes } from './boxes/boxes';
import { cutting } from './finish/cutting';
import { dates } from './base/dates';
import { days } from './days/days';
import { Draft } from '../spread/draft';
import type { Stage } from '../spread/draft';
import { extender } from './base/extender';
import { dressLeft } from './finish/dress-left';
import { filling } from './finish/filling';
import { finish } from './finish/finish';
import { notes } from './finish/notes';
import { raising } from './finish/raising';
import { penDates } from './base/pen-dates';
import { headers } from './base/headers';
import { overlays } from './finish/overlays';
import { sidebar } from './sidebar/sidebar';
import { topBand } from './base/top-band';
import type { Context, Placement } from '../spread/placement';

/**
 * The order of work (handbook 4). A stage adds placements of its own and never moves what is there. One line a stage.
 */
const STAGES: readonly Stage[] = [
  bottomWashi,
  extender,
  topBand,
  dates,
  headers,
  penDates,
  sidebar,
  banner,
  bands,
  boxes,
  days,
  dressLeft,
  raising,
  notes,
  finish,
  overlays,
  filling,
  cutting,
];

/**
 * Lays out a whole spread. The same context and seed give the same spread.
 * @param kept placements that stay as they are, such as locked ones; the rest is arranged round them
 * @returns placements in mm on their pages, in the order in which they were laid
 * @example arrange(contextFrom(data)).filter((p) => p.day === 0) // Monday
 */
export function arrange(context: Context, kept: readonly Placement[] = []): readonly Placement[] {
  return STAGES.reduce<Draft>((draft, stage) => stage(draft, context), Draft.begin(context, kept)).placements;
}
