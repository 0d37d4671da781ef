/** What a backup says of itself. */
export interface Manifest {
  readonly format: 'hobnail.backup/1';
  /** ISO 8601 */
  readonly made: string;
  /** the last step that its data has been brought to */
  readonly schema: string;
  readonly counts: Counts;
  readonly files: readonly { readonly name: string; readonly bytes: number; readonly sha256: string }[];
}

/** What lies in a house, to compare two of them. */
export interface Counts {
  readonly weeks: number;
  readonly stickers: number;
  readonly kits: number;
  readonly calendars: number;
  readonly pictures: number;
  /** the latest week that is planned; empty where none is */
  readonly lastWeek: string;
}

export const DATA_NAME = 'hobnail.sqlite';
export const MANIFEST_NAME = 'manifest.json';

/** A backup that is not whole, or no backup; or one of a later version. Said in words. */
export class NoBackup extends Error {}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** @throws NoBackup */
export function readManifest(text: string): Manifest {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new NoBackup('its list of contents cannot be read');
  }
  if (!isRecord(value) || value.format !== 'hobnail.backup/1')
    throw new NoBackup('it is none of Hobnail’s, or of a later version than this one');
  const { made, schema, counts, files } = value;
  const sound =
    typeof made === 'string' &&
    typeof schema === 'string' &&
    isRecord(counts) &&
    Array.isArray(files) &&
    files.every(
      (f) => isRecord(f) && typeof f.name === 'string' && typeof f.bytes === 'number' && typeof f.sha256 === 'string',
    );
  if (!sound) throw new NoBackup('its list of contents is not whole');
  return value as unknown as Manifest;
}
