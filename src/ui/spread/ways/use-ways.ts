import { useEffect, useState } from 'react';
import type { Alternative, Wish } from '../../../core/compare/alternatives';
import { NO_WISH } from '../../../core/compare/alternatives';
import type { Placement } from '../../../core/spread/placement';
import { useSpread } from '../store';

/** Some ways to lay the week out; null while they are looked for. */
interface Ways {
  readonly list: readonly Alternative[] | null;
  /** what was asked for, once there was nothing of the kind */
  readonly none: boolean;
  readonly tried: { readonly done: number; readonly of: number };
  readonly trouble: string | null;
}

const LOOKING: Ways = { list: null, none: false, tried: { done: 0, of: 0 }, trouble: null };

/**
 * Other ways to lay the week out, and others again as they are wished.
 * @param onNone there is no other way at all
 */
export function useWays(onNone: () => void) {
  const alternatives = useSpread((s) => s.alternatives);
  const [ways, setWays] = useState<Ways>(LOOKING);
  /** what is looked for; null: nothing any more */
  const [wish, setWish] = useState<Wish | null>(NO_WISH);
  const [round, setRound] = useState(0);
  const [shown, setShown] = useState<readonly (readonly Placement[])[]>([]);
  /** those before them, to go back to */
  const [before, setBefore] = useState<readonly (readonly Alternative[])[]>([]);
  useEffect(() => {
    if (!wish) return;
    let current = true;
    alternatives(wish, (done, of) => current && setWays((w) => ({ ...w, tried: { done, of } })))
      .then((found) => {
        if (!current) return;
        if (found.length < 2 && wish === NO_WISH) onNone();
        setShown((s) => [...s, ...found.map((a) => a.placements)]);
        setWays((w) => (found.length ? { ...LOOKING, list: found } : { ...LOOKING, list: w.list, none: true }));
      })
      .catch((e: unknown) => {
        const trouble = `It stopped: ${e instanceof Error ? e.message : String(e)}.`;
        if (current) setWays((w) => ({ ...w, tried: LOOKING.tried, trouble }));
      });
    return () => {
      current = false;
    };
  }, [alternatives, wish, onNone]);
  const ask = (like: Alternative | null, unlike: readonly (readonly Placement[])[]) => {
    if (ways.list) setBefore([...before, ways.list]);
    setWays((w) => ({ ...w, none: false, tried: { done: 0, of: 1 } }));
    setRound(round + 1);
    setWish({ round: round + 1, like, unlike });
  };
  const back = () => {
    const last = before.at(-1);
    if (!last) return;
    setWish(null); // what is still looked for is not wanted any more
    setBefore(before.slice(0, -1));
    setWays({ ...LOOKING, list: last });
  };
  return {
    ...ways,
    looking: ways.tried.of > 0 || (!ways.list && !ways.trouble),
    others: () => ask(null, shown),
    like: (way: Alternative) => ask(way, [way.placements]),
    unlike: (way: Alternative) => ask(null, [way.placements]),
    back: before.length ? back : null,
  };
}
