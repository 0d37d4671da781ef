import { useState } from 'react';
import type { Judged } from '../../db/keeps';
import type { Outcome } from '../../server/outcome';

export type Judgement = 'loved' | 'jarred' | null;
const NEXT = new Map<Judgement, Judgement>([
  [null, 'loved'],
  ['loved', 'jarred'],
  ['jarred', null],
]);

/**
 * One tap: it was loved; two: it jarred; three: nothing. Shown at once, and kept; what was not kept is taken back.
 * @returns what is said of a key, what a tap does, and why it was not kept
 */
export function useJudged(before: Judged | null | undefined, keep: (judged: Judged) => Promise<Outcome<null>>) {
  const [judged, setJudged] = useState<ReadonlyMap<string, Judgement>>(
    () =>
      new Map<string, Judgement>([
        ...(before?.loved ?? []).map((key) => [key, 'loved'] as const),
        ...(before?.jarred ?? []).map((key) => [key, 'jarred'] as const),
      ]),
  );
  const [said, setSaid] = useState('');
  const tap = async (key: string): Promise<void> => {
    const was = judged;
    const is = new Map(judged).set(key, NEXT.get(judged.get(key) ?? null) ?? null);
    setJudged(is);
    const all = (what: Judgement) => [...is].flatMap(([k, v]) => (v === what ? [k] : []));
    const kept = await keep({ loved: all('loved'), jarred: all('jarred') }).catch(() => null);
    if (!kept?.ok) setJudged(was);
    setSaid(
      kept === null ? 'The server could not be reached; that was not kept.' : kept.ok ? '' : kept.messages.join(' '),
    );
  };
  return { of: (key: string): Judgement => judged.get(key) ?? null, tap, said };
}
