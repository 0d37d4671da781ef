import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

/** A passphrase as it is kept: not itself, only what it comes to (scrypt, RFC 7914). */
export interface KeptPassphrase {
  /** hex */
  readonly salt: string;
  readonly key: string;
  /** log2 of scrypt's N; r is 8, p is 1 */
  readonly cost: number;
}

/** 2^15 takes 32 MB and about a tenth of a second. */
const COST = 15;
const BLOCK = 8;
const KEY_BYTES = 32;

export async function keepPassphrase(passphrase: string): Promise<KeptPassphrase> {
  const salt = randomBytes(16);
  const key = await derived(passphrase, salt, COST);
  return { salt: salt.toString('hex'), key: key.toString('hex'), cost: COST };
}

/** Takes as long for a wrong one as for the right one. */
export async function isPassphrase(given: string, { salt, key, cost }: KeptPassphrase): Promise<boolean> {
  const wanted = Buffer.from(key, 'hex');
  const found = await derived(given, Buffer.from(salt, 'hex'), cost);
  return wanted.length === found.length && timingSafeEqual(wanted, found);
}

/** One at a time: many at once would take the machine's memory. */
let last: Promise<unknown> = Promise.resolve();

function derived(passphrase: string, salt: Buffer, cost: number): Promise<Buffer> {
  const work = (): Promise<Buffer> =>
    new Promise((done, fail) => {
      const options = { N: 2 ** cost, r: BLOCK, p: 1, maxmem: 256 * BLOCK * 2 ** cost };
      scrypt(passphrase.normalize('NFKC'), salt, KEY_BYTES, options, (error, key) => (error ? fail(error) : done(key)));
    });
  const mine = last.then(work);
  last = mine.catch(() => {});
  return mine;
}
