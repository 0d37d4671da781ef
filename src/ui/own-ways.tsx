'use client';

import type { ReactNode } from 'react';
import { createContext, useContext } from 'react';
import type { OwnWays } from '../core/manner/own-ways';
import { USUAL_WAYS } from '../core/manner/own-ways';

const Ways = createContext<OwnWays>(USUAL_WAYS);

/** Lets everything below know how the owner writes hours, lengths and money. */
export function OwnersWays({ ways, children }: { ways: OwnWays; children: ReactNode }) {
  return <Ways value={ways}>{children}</Ways>;
}

/** How the owner writes hours, lengths and money. @example spokenTime(570, useOwnWays().clock) // '9:30' */
export const useOwnWays = (): OwnWays => useContext(Ways);
