import { useState } from 'react';
import type { Judged } from '../../db/keeps';
import type { Outcome } from '../../server/outcome';
import { SAID } from '../patient-queue';
import { useSaving } from '../use-saving';

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
  const { saveStatus, add } = useSaving();
  const tap = (key: string): void => {
    const was = judged;
    const is = new Map(judged).set(key, NEXT.get(judged.get(key) ?? null) ?? null);
    setJudged(is);
    const all = (what: Judgement) => [...is].flatMap(([k, v]) => (v === what ? [k] : []));
    const judgement = { loved: all('loved'), jarred: all('jarred') };
    const takeBack = (why: string): void => {
      // what was tapped since stands on this, and is sent after it
      setJudged((now) => (now === is ? was : now));
      setSaid(why);
    };
    add(
      () => keep(judgement),
      (kept) => (kept.ok ? setSaid('') : takeBack(kept.messages.join(' '))),
      takeBack,
    );
  };
  const away = saveStatus === 'saved' || saveStatus === 'saving' ? '' : SAID[saveStatus];
  return { of: (key: string): Judgement => judged.get(key) ?? null, tap, said: said || away };
}
