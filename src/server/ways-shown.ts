import 'server-only';
import type { OwnWays } from '../core/manner/own-ways';
import { USUAL_WAYS } from '../core/manner/own-ways';
import { ownWays } from './own-ways';
import { store } from './store';

/** How the owner writes things, for every screen; the usual where the data cannot be read: the screen below says so. */
export async function waysShown(): Promise<OwnWays> {
  try {
    return await ownWays(await store());
  } catch {
    return USUAL_WAYS;
  }
}
