import { BadInput, quoted } from '../core/format/fault';
import type { Kit } from '../core/kit/kit';
import type { KitFacts } from '../core/kit/suggest';
import type { Database } from '../db/database';
import { editKits } from '../db/kit-edits';
import { stepsToAddKit } from '../db/kit-lines';
import { findKit } from '../db/kits';

/** Stores a kit that came in; it can be undone. @throws BadInput when one of its name is there already */
export async function addNewKit(
  db: Database,
  kit: Kit,
  role: 'kit' | 'stash',
  facts: Partial<KitFacts> = {},
): Promise<void> {
  if (await findKit(db, kit.name))
    throw new BadInput([
      { file: 'kit', where: 'name', found: quoted(kit.name), expected: 'a name that no kit has yet' },
    ]);
  await editKits(db, { do: 'add kit', kit: kit.name }, stepsToAddKit(kit, role, facts));
}
