import type { Context, Placement } from '../arrange/spread';
import { apply } from '../edit/change';
import type { Section } from '../manner/options';
import { SECTIONS } from '../manner/options';
import { overdrawnPlacements } from '../edit/stock-check';
import type { Finding } from '../review/finding';
import { review, viewOf } from '../review/review';
import * as idea from './ideas';
import type { Case, Idea, Remedy } from './remedy';
import { asPatch, withPatch } from './remedy';

/** Settings that make a finding pointless, by rule. */
const settings: Readonly<Record<string, (c: Case) => Remedy[]>> = {
  B2: () => [asPatch('Leave the bottom strip bare this week', { options: { bottomWashi: 'none' } })],
  B6: () => [asPatch('Cover all month flags', { options: { monthFlags: true } })],
  F1: () => [asPatch('Leave the top band out', { ways: { topBand: false } })],
  F4: () => [asPatch('Sit all pieces flush left', { ways: { align: 'flush left' } }), asPatch('Center all pieces', { ways: { align: 'centered' } })],
  C4: () => [asPatch('Let the headers alternate', { options: { headers: 'alternating' } }), asPatch('Take the headers as fanned', { options: { headers: 'fanned' } }), asPatch('Take the headers as all alike', { options: { headers: 'same' } })],
  C6: () => [asPatch('Take the foils as they come', { options: { foils: [] } }), asPatch('Let gold and silver take turns', { options: { foils: ['gold', 'silver'] } }), asPatch('Let gold and rose gold take turns', { options: { foils: ['gold', 'rose-gold'] } })],
  W1: (c) => [0.1, 0.2, 0.3].map((less) => asPatch('Want less white space this week', { options: { whiteSpace: Math.max(0, c.context.options.whiteSpace - less) } })),
  W2: () => [asPatch('Space the littles', { options: { littles: 'spaced' } })],
  K1: (c) => [
    ...SECTIONS.filter((s) => c.finding.message.includes(`“${s.replace('-', ' ')}”`)).map((s: Section) => asPatch(`Leave “${s.replace('-', ' ')}” out of the sidebar`, { options: { sidebar: c.context.options.sidebar.filter((x) => x !== s) } })),
    ...(/banner/.test(c.finding.message) ? [asPatch('No weekend banner this week', { options: { weekendBanner: false } })] : []),
    ...(/date cover/.test(c.finding.message) ? [asPatch('No date covers this week', { options: { dateCovers: false } })] : []),
    ...(/header/.test(c.finding.message) ? [asPatch('No headers this week', { options: { headers: 'none' } })] : []),
    ...(/washi/.test(c.finding.message) ? [asPatch('No bottom washi this week', { options: { bottomWashi: 'none' } })] : []),
    ...(/full box/.test(c.finding.message) ? [0, 1, 2, 3, 4, 5, 6].reverse().map((boxes) => asPatch(`${boxes} full boxes will do`, { ways: { boxes } })) : []),
  ],
  K3: () => [0, 1, 2, 3, 4, 5, 6].reverse().map((boxes) => asPatch(`${boxes} full boxes will do this week`, { ways: { boxes } })),
};

/** What to try for a rule's findings, the gentlest first. One line a rule. */
const IDEAS: Readonly<Record<string, readonly Idea[]>> = {
  B2: [idea.fitIn, idea.cutLonger, idea.arrangeOpen], B3: [idea.layOnTop, idea.takeOff], B4: [idea.layOnTop, idea.takeOff], B5: [idea.otherText, idea.arrangeOpen, idea.takeOff], B6: [idea.fitIn, idea.takeOff],
  F1: [idea.fitIn, idea.swapOne, idea.takeOff], F2: [idea.bringInLine, idea.swapOne, idea.takeOff], F3: [idea.bringInLine, idea.takeOff], F4: [idea.lineUp], F5: [idea.cutLonger, idea.takeOff],
  L1: [idea.recutList, idea.arrangeOpen], L2: [idea.recutList, idea.swapOne], L3: [idea.recutList], L4: [idea.recutList, idea.takeOff],
  D1: [idea.letThemIn, idea.arrangeOpen], D2: [idea.changePlaces, idea.toItsDay], D3: [idea.closeUp, idea.takeOff], D5: [idea.letThemIn, idea.otherWaysOut, idea.arrangeOpen], D6: [idea.takeOff], D7: [idea.swapOne, idea.takeOff], D8: [idea.arrangeOpen], D9: [idea.toItsDay],
  C1: [idea.swapOne, idea.takeOff], C2: [idea.swapOne, idea.exchangeBoxes, idea.takeOff], C3: [idea.exchangeBoxes, idea.swapOne, idea.takeOff], C4: [idea.swapOne], C5: [idea.swapOne, idea.takeOff], C6: [idea.swapOne, idea.takeOff], C7: [idea.exchangeBoxes, idea.turnAround, idea.swapOne],
  W2: [idea.swapOne], W3: [idea.exchangeBoxes], W4: [idea.takeOff], P1: [idea.otherPen], P2: [idea.otherPen, idea.swapOne], P4: [idea.otherText, idea.swapOne], R1: [idea.swapOne], R2: [idea.takeOff], K3: [idea.arrangeOpen],
};

/** Remedies that are offered, and tried, at most. */
const OFFERED = 3;
const TRIED = 40;

/**
 * Actions that truly take a finding away: each was tried on the spread, and what it leaves has the finding no more, nothing
 * worse than before, and no sticker used twice. Empty where nothing helps but to wave it through.
 */
export function remediesFor(context: Context, placements: readonly Placement[], finding: Finding): Remedy[] {
  const c: Case = { context, placements, finding };
  const before = review(viewOf(context, placements));
  const offered: Remedy[] = [];
  let tried = 0;
  for (const think of [...(IDEAS[finding.rule] ?? []), settings[finding.rule] ?? (() => [])]) {
    for (const remedy of think(c)) {
      if (offered.length >= OFFERED || tried++ > TRIED) return offered;
      if (offered.some((o) => o.label === remedy.label) || !helps(c, remedy, before)) continue;
      offered.push(remedy);
    }
  }
  return offered;
}

const heavy = (list: readonly Finding[], severity: Finding['severity']): number => list.filter((f) => f.severity === severity).length;

function helps({ context, placements, finding }: Case, remedy: Remedy, before: readonly Finding[]): boolean {
  const next = remedy.patch ? withPatch(context, remedy.patch) : context;
  const laid = remedy.change ? apply(placements, remedy.change) : placements;
  if (overdrawnPlacements(next, laid).length) return false;
  const after = review(viewOf(next, laid));
  const same = (list: readonly Finding[]): number => list.filter((f) => f.rule === finding.rule && f.severity === finding.severity).length;
  const gone = !after.some((f) => f.rule === finding.rule && f.message === finding.message);
  const [stops, fixes] = [heavy(after, 'stop') - heavy(before, 'stop'), heavy(after, 'fix') - heavy(before, 'fix')];
  return gone && same(after) < same(before) && stops <= 0 && fixes <= (stops < 0 ? 1 : 0); // what would not work may become what would show
}
