'use client';

import type { ReactNode } from 'react';
import { createContext, useContext, useMemo } from 'react';
import { spokenName } from '../core/kit/kit';

const Titles = createContext<ReadonlyMap<string, string>>(new Map());

/** Lets everything below know what the owner calls the kits that have another name than that of their file. */
export function KitNames({
  titles,
  children,
}: {
  titles: readonly (readonly [string, string])[];
  children: ReactNode;
}) {
  const map = useMemo(() => new Map(titles), [titles]);
  return <Titles value={map}>{children}</Titles>;
}

/** How kits are called on this screen. @example useKitName()('night-almanac') // 'Night Almanac' */
export function useKitName(): (kit: string) => string {
  const titles = useContext(Titles);
  return (kit) => titles.get(kit) ?? spokenName(kit);
}
