'use client';

import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import type { SpreadStore } from './create';
import type { State } from './state';

export { createSpreadStore } from './create';
export type { SpreadStore } from './create';
export { pagesShown } from './pages-shown';
export type { DrawerName, MannerChoice, State, StepName, Zoom } from './state';

export const SpreadStoreContext = createContext<SpreadStore | null>(null);

/** Reads from the spread screen's store. */
export function useSpread<T>(read: (state: State) => T): T {
  const store = useContext(SpreadStoreContext);
  if (!store) throw new Error('useSpread outside the spread screen');
  return useStore(store, read);
}

/** The store itself, for what is asked at the moment of a gesture and must not draw anything anew. */
export function useSpreadStore(): SpreadStore {
  const store = useContext(SpreadStoreContext);
  if (!store) throw new Error('useSpreadStore outside the spread screen');
  return store;
}
