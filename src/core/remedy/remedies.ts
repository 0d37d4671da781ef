import { own } from '../measure/own';
import type { Context, Placement } from '../spread/placement';
import { apply } from '../edit/change';
import { overdrawnPlacements } from '../edit/stock-check';
import type { Finding } from '../review/finding';
import { findingKey } from '../review/wave';
import { review, viewOf } from '../review/review';
import { IDEAS } from './ideas/registry';
import type { Case, Remedy } from './remedy';
import { withPatch } from './remedy';
import { sayRemedy } from './say';
import { voiceOf } from '../spread/voice';

/** Remedies that are offered, and tried, at most. */
const OFFERED = 3;
const TRIED = 60;

/**
 * Actions that truly take a finding away: each was tried on the spread, and what it leaves has the finding no more,
 * nothing worse than before, and no sticker used twice. Empty where nothing helps but to wave it through.
 * @example remediesFor(context, placements, finding)[0]?.deed // the gentlest
 */
export function remediesFor(context: Context, placements: readonly Placement[], finding: Finding): Remedy[] {
  const c: Case = { context, placements, finding };
  const before = review(viewOf(context, placements));
  const voice = voiceOf(context, placements);
  const offered: Remedy[] = [];
  // two that are told alike are one to whoever has to choose
  const told = new Set<string>();
  let tried = 0;
  for (const think of own(IDEAS, finding.rule) ?? []) {
    for (const remedy of think(c)) {
      if (offered.length >= OFFERED || tried++ > TRIED) return offered;
      const words = sayRemedy(remedy.deed, voice);
      if (told.has(words) || !helps(c, remedy, before)) continue;
      told.add(words);
      offered.push(remedy);
    }
  }
  return offered;
}

const heavy = (list: readonly Finding[], severity: Finding['severity']): number =>
  list.filter((f) => f.severity === severity).length;

function helps({ context, placements, finding }: Case, remedy: Remedy, before: readonly Finding[]): boolean {
  const next = remedy.patch ? withPatch(context, remedy.patch) : context;
  const laid = remedy.change ? apply(placements, remedy.change) : placements;
  if (overdrawnPlacements(next, laid).length) return false;
  const after = review(viewOf(next, laid));
  const same = (list: readonly Finding[]): number =>
    list.filter((f) => f.rule === finding.rule && f.severity === finding.severity).length;
  const key = findingKey(finding);
  const gone = !after.some((f) => findingKey(f) === key);
  const [stops, fixes] = [heavy(after, 'stop') - heavy(before, 'stop'), heavy(after, 'fix') - heavy(before, 'fix')];
  // what would not work may become what would show
  return gone && same(after) < same(before) && stops <= 0 && fixes <= (stops < 0 ? 1 : 0);
}
