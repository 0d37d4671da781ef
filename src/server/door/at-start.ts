import { store } from '../store';
import { doorAsLeft } from './keeper';

/** A house whose data cannot be used says so by itself, at every page; its door stays closed. */
export async function openAsLeft(): Promise<void> {
  await store().then(doorAsLeft, () => {});
}
