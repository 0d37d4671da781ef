import { arrange } from '../../src/core/arrange/arrange';
import { benchOf } from '../../src/core/bench/bench';
import { benchPdf } from '../../src/core/format/bench-pdf';
import { review, viewOf } from '../../src/core/review/review';
import { letIn } from '../../src/core/repair/let-in';
import type { Placement } from '../../src/core/spread/placement';
import { shippedLetters } from '../../src/server/fonts';
import { printParts } from '../../src/server/print-parts';
import { faultsOf, takenOff } from '../../tests/strangers/check';
import { paintedLetters } from '../../tests/strangers/painted';
import { notPrinted } from '../../tests/strangers/printed';
import { slipsIn } from '../../tests/strangers/sentences';
import { strangersWeek } from '../../tests/strangers/weeks';
import { say } from './report';

const WEEKS = 200;
/** One week in so many is printed. */
const PRINTED = 10;
/** Contrast that large letters need at least (WCAG 2.2), and the share of a text that must show. */
const LEAST = 3;
const WHOLE = 0.9;

/** Weeks of books, kits and agendas made without our tables, looked over by a check that asks nothing of the review. */
export async function strangers(): Promise<void> {
  const n = {
    texts: 0,
    faults: 0,
    items: 0,
    refused: 0,
    slips: 0,
    letters: 0,
    faint: 0,
    covered: 0,
    prints: 0,
    lost: 0,
  };
  const bands = { strip: 0, line: 0, arrow: 0 };
  for (let seed = 1; seed <= WEEKS; seed++) {
    const context = strangersWeek(seed);
    const placements = arrange(context);
    const bench = benchOf(context, placements);
    n.texts += placements.filter((p) => p.text).length;
    n.faults += faultsOf(context, placements, bench, shippedLetters()).length;
    const findings = review(viewOf(context, placements));
    n.slips += slipsIn(context, placements, findings).length;
    const said = new Set(findings.filter((f) => f.rule === 'P2').flatMap((f) => f.placements));
    for (const [id, p] of await paintedLetters(context, placements, bench, shippedLetters())) {
      n.letters++;
      if (p.contrast < LEAST && !said.has(id)) n.faint++;
      if (p.seen < WHOLE) n.covered++;
    }
    if (seed % PRINTED === 0) {
      n.prints++;
      n.lost += notPrinted(placements, await benchPdf(context, bench, printParts())).length;
    }
    for (const { without, key } of takenOff(context, placements)) {
      n.items++;
      if (!letIn(context, without, key)) n.refused++;
    }
    for (const band of context.week.demands.filter((d) => d.kind === 'band')) {
      const name = placements.find((p) => p.items.includes(band.uid));
      if (!name) continue;
      const isLined = placements.some((p) => p.text?.includes('—') && p.page === name.page && near(p, name));
      bands[name.text?.includes('→') ? 'arrow' : isLined ? 'line' : 'strip']++;
    }
  }
  say(`${WEEKS} strangers’ weeks, ${n.texts} texts: differences between plan, drawing, letters, steps, ruler, cuts, half-covered marks, dates and order`, '0', String(n.faults)); // prettier-ignore
  say(`their findings: sentences with a number or a length that is not so`, '0', String(n.slips));
  say(`their ${n.letters} texts as painted, point by point: too faint (under ${LEAST}, WCAG 2) and not said; covered`, '0; 0', `${n.faint}; ${n.covered}`); // prettier-ignore
  say(`${n.prints} of their prints, read by another reader: texts that are lacking`, '0', String(n.lost));
  say(`their items taken off one by one and let in again`, 'all', `${n.items - n.refused} of ${n.items}`);
  say(`their bands`, '', `${bands.strip} by strips, ${bands.line} by lines of ink, ${bands.arrow} by an arrow`);
}

const near = (a: Placement, b: Placement): boolean => a.y < b.y + b.h && b.y < a.y + a.h;
