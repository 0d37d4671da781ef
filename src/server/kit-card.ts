import { KIT_CARD, kitCard } from '../core/format/kit-card';
import { rounded } from '../core/keep/log-table';
import { asStrings } from '../db/json';
import { findKit } from '../db/kits';
import { designUse, kitCosts, weekUse } from '../db/kit-use';
import { shippedLetters } from './fonts';
import { pictureData, picturesToDraw } from './pictures';
import { recordHabits } from './settings';
import { pngOf } from './png-of';
import { store } from './store';

const PNG_WIDTH = 1440;

/** A kit's card as a file to be given away; null: there is no such kit */
export async function sharedKitCard(name: string, as: string | null): Promise<Response | null> {
  const db = await store();
  const kit = await findKit(db, name);
  if (!kit) return null;
  const [designs, weeks, costs, habits, keeps] = await Promise.all([
    designUse(db, [name]),
    weekUse(db, '0000-W01', '9999-W53'),
    kitCosts(db),
    recordHabits(db),
    db.selectFrom('keep').select('loved').execute(),
  ]);
  const total = designs.reduce((sum, d) => sum + d.count, 0);
  const used = designs.reduce((sum, d) => sum + d.used, 0);
  const n = weeks.filter((w) => w.kit === name).length;
  const cost = costs.find((k) => k.kit === name);
  const price = cost?.price ?? null;
  const times = new Map<string, number>();
  for (const { loved } of keeps)
    for (const key of asStrings(loved)) if (key.startsWith(`${name}/`)) times.set(key, (times.get(key) ?? 0) + 1);
  const isPng = as === 'png';
  const svg = kitCard(
    cost ? { ...kit, title: cost.title } : kit,
    {
      total,
      used,
      weeks: n,
      costAWeek: price === null || n === 0 ? null : rounded((price * used) / Math.max(1, total) / n, 2),
      currency: habits.currency,
      loved: [...times].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([key]) => key),
    },
    shippedLetters(),
    isPng ? await picturesToDraw(kit.pieces) : pictureData,
  );
  return new Response(isPng ? new Uint8Array(await pngOf(svg, PNG_WIDTH, KIT_CARD.width)) : svg, {
    headers: {
      'content-type': isPng ? 'image/png' : 'image/svg+xml',
      'content-disposition': `attachment; filename="kit.${isPng ? 'png' : 'svg'}"`,
      'cache-control': 'no-store',
    },
  });
}
