import { copyKey } from '../kit/ledger';
import type { Change } from './change';
import { STUCK } from './stick-down';

/**
 * How often each sticker was lifted again after it had been stuck down, by `copyKey` (handbook R3).
 * @param changes the edits that stand, oldest first
 */
export function peelsOf(changes: readonly Change[]): Record<string, number> {
  const down = new Set<string>();
  const peels: Record<string, number> = {};
  for (const { label, before, after } of changes) {
    for (const p of after) {
      if (label.startsWith(STUCK)) down.add(copyKey(p));
      else if (
        !p.locked &&
        before.some((q) => q.id === p.id && q.locked) &&
        down.delete(copyKey(p)) &&
        label.startsWith('Unlock ')
      )
        peels[copyKey(p)] = (peels[copyKey(p)] ?? 0) + 1;
    }
  }
  return peels;
}
