import { BadInput, quoted } from '../core/format/fault';
import type { Kit } from '../core/kit/kit';
import type { Database } from '../db/database';
import { addKit } from '../db/kits';

/** Stores a kit that came in. @throws BadInput when one of its name is there already */
export async function addNewKit(db: Database, kit: Kit, role: Parameters<typeof addKit>[2]): Promise<void> {
  if (!(await addKit(db, kit, role)))
    throw new BadInput([
      { file: 'kit', where: 'name', found: quoted(kit.name), expected: 'a name that no kit has yet' },
    ]);
}
