import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { decodeText } from '../core/format/decode';
import { BadInput } from '../core/format/fault';
import type { GivenKit } from '../core/format/given-kit';
import { GIVEN, readGivenKit, writeGivenKit } from '../core/format/given-kit';
import type { Piece } from '../core/kit/kit';
import { calledName } from '../core/kit/kit';
import type { Database } from '../db/database';
import { findKit } from '../db/kits';
import { NoBackup } from './backup/manifest';
import type { ToPack } from './backup/pack-zip';
import { packZip } from './backup/pack-zip';
import type { ZipFile } from './backup/zip-file';
import { openZip } from './backup/zip-file';
import { hasPicture, keepGivenPicture, readPicture } from './pictures';
import { shownBy } from './shown-by';

/** A kit that is given away is no larger, packed or unpacked. */
const MOST_MEGABYTES = 64;
const PICTURE = /^[0-9a-f]{64}\.(webp|png)$/;

/** A kit as one file to be given away; null: there is no such kit. */
export async function givenKitFile(db: Database, name: string, note: string): Promise<Response | null> {
  const kit = await findKit(db, name);
  if (!kit) return null;
  const file = `${calledName(kit)}.hobnail-kit.zip`;
  return new Response(Readable.toWeb(packZip(partsOf({ kit, note }))) as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(file)}`,
    },
  });
}

function* partsOf(given: GivenKit): Generator<ToPack> {
  // a picture that is gone is left out of the list as well
  const pictures = new Map(
    given.kit.pieces.flatMap(({ picture }) => {
      const bytes = picture && readPicture(picture);
      return bytes ? [[picture, bytes] as const] : [];
    }),
  );
  const pieces = given.kit.pieces.map(({ picture, ...p }) =>
    picture && pictures.has(picture) ? { ...p, picture } : p,
  );
  const { list, card } = writeGivenKit({ ...given, kit: { ...given.kit, pieces } });
  yield { name: GIVEN.list, bytes: list };
  yield { name: GIVEN.card, bytes: card };
  for (const [hash, bytes] of pictures) yield { name: `${GIVEN.pictures}${hash}.webp`, bytes };
}

/**
 * Reads a kit that was given away, to be looked over. Its pictures become pictures of the house, which are swept away
 * again where no kit comes to show them; nothing else is kept.
 * @throws BadInput by file and line
 */
export async function readGivenFile(bytes: Uint8Array, file: string): Promise<GivenKit> {
  if (bytes.byteLength > MOST_MEGABYTES * 2 ** 20)
    throw wrong(file, `${Math.round(bytes.byteLength / 2 ** 20)} MB`, `at most ${MOST_MEGABYTES} MB`);
  const zip = await openZip(Buffer.from(bytes)).catch((error: unknown) => {
    throw error instanceof NoBackup ? wrong(file, 'no zip file, or one that breaks off', 'a kit as one file') : error;
  });
  try {
    return await readParts(zip, file);
  } finally {
    zip.close();
  }
}

async function readParts({ files }: ZipFile, file: string): Promise<GivenKit> {
  const root = rootOf([...files.keys()]);
  if (root === null)
    throw wrong(file, `no ${GIVEN.list}`, `a zip with ${GIVEN.list}, ${GIVEN.card} and ${GIVEN.pictures}`);
  const text = async (name: string): Promise<string> => decodeText(await unpacked(name), name);
  let room = MOST_MEGABYTES * 2 ** 20;
  const unpacked = async (name: string): Promise<Uint8Array> => {
    const found = files.get(root + name);
    if (!found) throw wrong(file, `no ${name}`, `a zip with ${GIVEN.list} and ${GIVEN.card}`);
    room -= found.size;
    if (room < 0) throw wrong(file, `more than ${MOST_MEGABYTES} MB in it`, `at most ${MOST_MEGABYTES} MB`);
    return found.bytes().catch((error: unknown) => {
      throw error instanceof NoBackup ? wrong(name, 'a file that breaks off', 'a whole one') : error;
    });
  };
  const isThere = (name: string): boolean => PICTURE.test(name) && files.has(root + GIVEN.pictures + name);
  const given = readGivenKit(await text(GIVEN.list), await text(GIVEN.card), isThere);
  const hashes = new Map<string, string>();
  for (const name of new Set(given.kit.pieces.flatMap((p) => p.picture ?? []))) {
    const picture = await unpacked(GIVEN.pictures + name);
    const hash = createHash('sha256').update(picture).digest('hex');
    if (!name.startsWith(hash))
      throw wrong(GIVEN.pictures + name, `bytes whose SHA-256 is ${hash}`, 'that as its name');
    hashes.set(name, await keepGivenPicture(picture, GIVEN.pictures + name));
  }
  const pieces = given.kit.pieces.map(({ picture, ...p }) => {
    const hash = picture && hashes.get(picture);
    return hash ? { ...p, picture: hash } : p;
  });
  return { ...given, kit: { ...given.kit, pieces } };
}

/** What lies before the names: nothing, or the one folder that was packed. */
function rootOf(names: readonly string[]): string | null {
  if (names.includes(GIVEN.list)) return '';
  const lists = names.filter((n) => n.split('/').length === 2 && n.endsWith(`/${GIVEN.list}`));
  const [only, ...others] = lists;
  return only !== undefined && !others.length ? only.slice(0, -GIVEN.list.length) : null;
}

/** A piece that names a picture of the house as a file, with what that shows; what was told of it holds. */
export async function shownInHouse(piece: Piece): Promise<Piece> {
  if (!piece.picture) return piece;
  const shown = await shownBy(piece, piece.picture.replace(/\.webp$/, ''));
  return piece.clear ? { ...shown, clear: piece.clear } : shown;
}

/** Whether the house has a picture of that name. */
export const isHousePicture = (name: string): boolean => PICTURE.test(name) && hasPicture(name.replace(/\.webp$/, ''));

const wrong = (file: string, found: string, expected: string): BadInput =>
  new BadInput([{ file, where: 'the whole file', found, expected }]);
