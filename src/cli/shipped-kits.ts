import { existsSync } from 'node:fs';
import { join } from 'node:path';

/** Kits that ship with the demo, by the name the headless command takes. */
export const SHIPPED_KITS = ['rockpool', 'night-almanac'] as const;

const FOLDER = join(process.cwd(), 'demo', 'kits');

/** The file of a shipped kit named `Rockpool`, `night-almanac`, `Night Almanac`, …; null for any other name. */
export function shippedKit(name: string): string | null {
  const plain = name.trim().toLowerCase().replace(/\s+/g, '-');
  const known = SHIPPED_KITS.find((kit) => kit === plain);
  if (!known || existsSync(name)) return null;
  return join(FOLDER, `${known}.kit.csv`);
}
