// Lays the demo scenario into the database named by HOBNAIL_DATA, unless it holds one already; HOBNAIL_FEED is the
// address of its household's feed, HOBNAIL_PAST=0 leaves out the weeks that are long past.
import { DateTime } from 'luxon';
import { photoOfSpread } from '../demo/photo-of-spread';
import { seedDemo } from '../demo/seed';
import type { TakePhoto } from '../demo/seed-past';
import { seedPast } from '../demo/seed-past';
import { whiteOutOf } from '../src/core/bench/white-out';
import { spreadSvg } from '../src/core/format/spread-svg';
import { openDatabase } from '../src/db/database';
import { listKits } from '../src/db/kits';
import type { Piece } from '../src/core/kit/kit';
import { shippedLetters } from '../src/server/fonts';
import { keepPhoto, keepPicture, pictureData } from '../src/server/pictures';
import { shownBy } from '../src/server/shown-by';

const keep = async (piece: Piece, bytes: Uint8Array): Promise<Piece> =>
  shownBy(piece, await keepPicture(bytes, piece.code));

const photo: TakePhoto = async (context, placements) => {
  const letters = shippedLetters();
  const svg = spreadSvg(context, placements, whiteOutOf(context, placements), letters, pictureData);
  return keepPhoto(await photoOfSpread(svg), 'photo');
};

async function main(): Promise<void> {
  const db = await openDatabase(process.env.HOBNAIL_DATA as string);
  if ((await listKits(db)).length === 0) {
    const today = process.env.HOBNAIL_TODAY ?? DateTime.local().toISODate();
    await seedDemo(db, today, process.env.HOBNAIL_FEED ?? null, keep);
    if (process.env.HOBNAIL_PAST !== '0') await seedPast(db, today, photo);
  }
  await db.destroy();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
