import { store } from '../store';
import { sweepPictures } from '../sweep-pictures';
import { backUpIfDue } from './make-backup';

/** ms from the start to the first look, and from one look to the next */
const FIRST = 10 * 60_000;
const EVERY = 60 * 60_000;

/** Backs up once a day while the server runs. What fails is told in the log, and tried again an hour later. */
export function backUpByItself(): void {
  const look = () =>
    void backUpIfDue()
      // what nothing shows goes only after it is in a backup
      .then(async (made) => made && sweepPictures(await store()))
      .catch((error: unknown) => {
        console.error('the daily backup failed', error);
      });
  setTimeout(() => {
    look();
    setInterval(look, EVERY).unref();
  }, FIRST).unref();
}
