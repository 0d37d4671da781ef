import { useEffect, useMemo, useState } from 'react';
import type { Looked } from '../../../core/compare/looked';
import { seen } from '../../../core/compare/looked';
import { MANNERS } from '../../../core/manner/registry';
import type { MannerChoice } from '../store';
import { useSpread } from '../store';

export interface Looks {
  /** the week as it lies; where nothing does, as it would be in its manner */
  readonly before: Looked | null;
  /** as it would be in what is chosen; the last one stays till the next is there */
  readonly now: Shown | null;
  /** by school, with its own habits; those that were laid out by now */
  readonly schools: ReadonlyMap<string, Looked>;
  readonly waiting: boolean;
  readonly trouble: string | null;
}

export interface Shown {
  readonly of: MannerChoice;
  readonly looked: Looked;
}

/**
 * The open week as it would be in another manner: what is chosen first, then each school, one after the other, so that
 * a habit that is changed meanwhile waits for one week at most.
 */
export function useLooks(choice: MannerChoice): Looks {
  const look = useSpread((s) => s.look);
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const [shown, setShown] = useState<Shown | null>(null);
  const [schools, setSchools] = useState<ReadonlyMap<string, Looked>>(new Map());
  const [trouble, setTrouble] = useState<string | null>(null);
  const laid = useMemo(() => (placements.length ? seen(context, placements) : null), [context, placements]);
  const [first, setFirst] = useState<Looked | null>(null);
  useEffect(() => {
    let current = true;
    look(choice)
      .then((looked) => {
        if (!current) return;
        setTrouble(null);
        setShown({ of: choice, looked });
        setFirst((f) => f ?? looked);
      })
      .catch((e: unknown) => current && setTrouble(`It stopped: ${e instanceof Error ? e.message : String(e)}.`));
    return () => {
      current = false;
    };
  }, [look, choice]);
  const isBegun = shown !== null;
  useEffect(() => {
    if (!isBegun) return;
    let current = true;
    void (async () => {
      for (const school of Object.keys(MANNERS)) {
        const looked = await look({ school, options: {}, ways: {} }).catch(() => null);
        if (!current) return;
        if (looked) setSchools((before) => new Map([...before, [school, looked]]));
      }
    })();
    return () => {
      current = false;
    };
  }, [look, isBegun]);
  return {
    before: laid ?? first,
    now: shown,
    schools,
    waiting: shown?.of !== choice && !trouble,
    trouble,
  };
}
