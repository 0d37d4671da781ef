import { BadInput, quoted } from '../core/format/fault';
import type { Kit } from '../core/kit/kit';
import type { Database } from '../db/database';
import { findKit } from '../db/kits';

/** @throws BadInput where there is no kit of that name */
export async function knownKit(db: Database, name: string): Promise<Kit> {
  const kit = await findKit(db, name);
  if (!kit) throw new BadInput([{ file: 'kit', where: 'name', found: quoted(name), expected: 'one of your kits' }]);
  return kit;
}
