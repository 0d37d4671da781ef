import { bands } from './bands';
import { banner } from './banner';
import { bottomWashi } from './bottom-washi';
import { boxes } from './boxes';
import { cutting } from './cutting';
import { dates } from './dates';
import { days } from './days';
import { Draft } from './draft';
import type { Stage } from './draft';
import { extender } from './extender';
import { finish } from './finish';
import { headers } from './headers';
import { sidebar } from './sidebar';
import { topBand } from './top-band';
import type { Context, Placement } from './spread';

/**
 * The order of work (handbook 4). A stage adds placements of its own and never moves what is there. One line a stage.
 */
const STAGES: readonly Stage[] = [
  bottomWashi,
  extender,
  topBand,
  dates,
  headers,
  sidebar,
  banner,
  bands,
  boxes,
  days,
  finish,
  cutting,
];

/**
 * Lays out a whole spread. The same context and seed give the same spread.
 * @param kept placements that stay as they are, such as locked ones; the rest is arranged round them
 */
export function arrange(context: Context, kept: readonly Placement[] = []): readonly Placement[] {
  return STAGES.reduce<Draft>((draft, stage) => stage(draft, context), Draft.begin(context, kept)).placements;
}
