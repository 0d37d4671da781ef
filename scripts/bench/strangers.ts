import { arrange } from '../../src/core/arrange/arrange';
import { benchOf } from '../../src/core/bench/bench';
import { letIn } from '../../src/core/repair/let-in';
import type { Placement } from '../../src/core/spread/placement';
import { shippedLetters } from '../../src/server/fonts';
import { faultsOf, takenOff } from '../../tests/strangers/check';
import { strangersWeek } from '../../tests/strangers/weeks';
import { say } from './report';

const WEEKS = 200;

/** Weeks of books, kits and agendas made without our tables, looked over by a check that asks nothing of the review. */
export function strangers(): void {
  let [texts, faults, items, refused] = [0, 0, 0, 0];
  const bands = { strip: 0, line: 0, arrow: 0 };
  for (let seed = 1; seed <= WEEKS; seed++) {
    const context = strangersWeek(seed);
    const placements = arrange(context);
    texts += placements.filter((p) => p.text).length;
    faults += faultsOf(context, placements, benchOf(context, placements), shippedLetters()).length;
    for (const { without, key } of takenOff(context, placements)) {
      items++;
      if (!letIn(context, without, key)) refused++;
    }
    for (const band of context.week.demands.filter((d) => d.kind === 'band')) {
      const name = placements.find((p) => p.items.includes(band.uid));
      if (!name) continue;
      const isLined = placements.some((p) => p.text?.includes('—') && p.page === name.page && near(p, name));
      bands[name.text?.includes('→') ? 'arrow' : isLined ? 'line' : 'strip']++;
    }
  }
  say(`${WEEKS} strangers’ weeks, ${texts} texts: differences between plan, drawing, letters, steps, ruler, cuts, half-covered marks, dates and order`, '0', String(faults)); // prettier-ignore
  say(`their items taken off one by one and let in again`, 'all', `${items - refused} of ${items}`);
  say(`their bands`, '', `${bands.strip} by strips, ${bands.line} by lines of ink, ${bands.arrow} by an arrow`);
}

const near = (a: Placement, b: Placement): boolean => a.y < b.y + b.h && b.y < a.y + a.h;
