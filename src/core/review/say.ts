import type { Voice } from '../spread/voice';
import type { Finding, Said } from './finding';
import { RULES } from './registry';

const byCode = new Map(RULES.map((rule) => [rule.code, rule]));

/**
 * A finding in words, in the owner's units. The only place where a finding becomes a sentence.
 * @throws RangeError for a rule that is not in the registry
 */
export function sayFinding(finding: Finding, voice: Voice): Said {
  const rule = byCode.get(finding.rule);
  if (!rule) throw new RangeError(`no rule is called ${finding.rule}`);
  return rule.say(finding, voice);
}
