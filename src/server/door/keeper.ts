import type { Server } from 'node:http';
import type { Database } from '../../db/database';
import { readSetting, writeSetting } from '../../db/settings';
import { houseAddresses, houseNames } from './addresses';
import { doorOf } from './door';
import type { KeptPassphrase } from './passphrase';

/** The door as it is kept: its passphrase, and whether it stands open. */
interface KeptDoor {
  readonly open: boolean;
  readonly passphrase: KeptPassphrase;
}

/** The door as the settings show it. */
export interface DoorState {
  readonly open: boolean;
  /** whether a passphrase was ever set */
  readonly passphrase: boolean;
  /** where it is reached in the house's network */
  readonly addresses: readonly string[];
  /** why it could not be opened; null when it could, or was not to be */
  readonly trouble: string | null;
}

const SETTING = 'door';
const held = globalThis as unknown as { hobnailDoor?: { server: Server | null; trouble: string | null } };

const isDoor = (value: unknown): value is KeptDoor =>
  typeof value === 'object' && value !== null && 'open' in value && 'passphrase' in value;

const innerPort = (): number => Number(process.env.PORT ?? 3000);
const doorPort = (): number => Number(process.env.HOBNAIL_DOOR_PORT ?? innerPort() + 1);

export async function doorState(db: Database): Promise<DoorState> {
  const kept = await readSetting(db, SETTING, isDoor);
  return {
    open: Boolean(held.hobnailDoor?.server),
    passphrase: kept !== null,
    addresses: houseAddresses().map((a) => `http://${a}:${doorPort()}`),
    trouble: held.hobnailDoor?.trouble ?? null,
  };
}

/** Opens or closes the door, and keeps it so over restarts. @param passphrase a new one; null: as it is */
export async function setDoor(db: Database, open: boolean, passphrase: KeptPassphrase | null): Promise<void> {
  const kept = await readSetting(db, SETTING, isDoor);
  const next = passphrase ?? kept?.passphrase;
  if (!next) return;
  await writeSetting(db, SETTING, { open, passphrase: next });
  await standAs(open ? next : null);
}

/** Opens the door if it stood open when the house was left. */
export async function doorAsLeft(db: Database): Promise<void> {
  const kept = await readSetting(db, SETTING, isDoor);
  await standAs(kept?.open ? kept.passphrase : null);
}

async function standAs(passphrase: KeptPassphrase | null): Promise<void> {
  const before = held.hobnailDoor?.server;
  held.hobnailDoor = { server: null, trouble: null };
  if (before) {
    before.closeAllConnections();
    await new Promise((done) => before.close(done));
  }
  if (!passphrase) return;
  const server = doorOf({ inner: innerPort(), passphrase, names: houseNames });
  const trouble = await new Promise<string | null>((done) => {
    server.once('error', (error: NodeJS.ErrnoException) => done(error.code ?? 'UNKNOWN'));
    server.listen(doorPort(), '0.0.0.0', () => done(null));
  });
  if (trouble === null) held.hobnailDoor = { server, trouble };
  else held.hobnailDoor = { server: null, trouble: saidTrouble(trouble) };
}

const saidTrouble = (code: string): string =>
  code === 'EADDRINUSE'
    ? `Another program listens on port ${doorPort()}. Close it, or start Hobnail with another port.`
    : `Port ${doorPort()} could not be opened on this machine.`;
