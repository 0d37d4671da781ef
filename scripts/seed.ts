// Lays the demo scenario into the database named by HOBNAIL_DATA, unless it holds one already; HOBNAIL_FEED is the
// address of its household's feed.
import { DateTime } from 'luxon';
import { seedDemo } from '../demo/seed';
import { openDatabase } from '../src/db/database';
import { listKits } from '../src/db/kits';
import type { Piece } from '../src/core/kit/kit';
import { keepPicture, shownBy } from '../src/server/pictures';

const keep = async (piece: Piece, bytes: Uint8Array): Promise<Piece> =>
  shownBy(piece, await keepPicture(bytes, piece.code));

async function main(): Promise<void> {
  const db = await openDatabase(process.env.HOBNAIL_DATA as string);
  if ((await listKits(db)).length === 0)
    await seedDemo(
      db,
      process.env.HOBNAIL_TODAY ?? DateTime.local().toISODate(),
      process.env.HOBNAIL_FEED ?? null,
      keep,
    );
  await db.destroy();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
