import { decodeText } from '../../core/format/decode';
import type { GivenKit } from '../../core/format/given-kit';
import { readKit } from '../../core/format/kit-csv';
import type { Outcome } from '../../server/outcome';
import { faultsOf } from './faults-of';

/** True for a kit by its file's name: a list, or one that was given away. */
export const isKitFile = (name: string): boolean => /\.csv$/i.test(name) || isGiven(name);
const isGiven = (name: string): boolean => /\.zip$/i.test(name);

/** What can be chosen as a kit's file. */
export const KIT_FILES = '.csv,.zip';

/** Reads a kit's file, to be looked over; nothing is stored. One that was given away is read by the server. */
export async function readKitFile(file: File): Promise<Outcome<GivenKit>> {
  if (isGiven(file.name)) return readGiven(file);
  const bytes = new Uint8Array(await file.arrayBuffer());
  const name = file.name.replace(/\.csv$/i, '').replace(/\.kit$/i, '');
  let read: GivenKit | null = null;
  const messages = faultsOf(() => {
    read = { kit: readKit(decodeText(bytes, file.name), file.name, name), note: '' };
  });
  return read ? { ok: true, value: read } : { ok: false, messages };
}

async function readGiven(file: File): Promise<Outcome<GivenKit>> {
  const form = new FormData();
  form.set('file', file);
  try {
    const answer = await fetch('/given-kits', { method: 'POST', body: form });
    if (answer.headers.get('content-type')?.includes('json')) return (await answer.json()) as Outcome<GivenKit>;
    return { ok: false, messages: [`${file.name} could not be read. At most 64 MB are taken.`] };
  } catch (e) {
    return {
      ok: false,
      messages: [`The server could not be reached: ${e instanceof Error ? e.message : String(e)}. Nothing was kept.`],
    };
  }
}
