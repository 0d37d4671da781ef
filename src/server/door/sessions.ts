import { createHash, randomBytes } from 'node:crypto';

/** ms after which who did nothing has to say the passphrase again, and after which everybody has to */
const IDLE = 12 * 3_600_000;
const LONGEST = 7 * 24 * 3_600_000;
const MOST = 200;

interface Session {
  readonly begun: number;
  readonly seen: number;
}

/** Who came in by the passphrase. Only hashes of their tokens are kept, in memory: a new start sends everybody out. */
export class Sessions {
  private readonly known = new Map<string, Session>();

  /** @returns the token of a new one */
  begin(now: number): string {
    const token = randomBytes(32).toString('base64url');
    this.known.set(hash(token), { begun: now, seen: now });
    const oldest = this.known.size > MOST ? this.known.keys().next().value : undefined;
    if (oldest !== undefined) this.known.delete(oldest);
    return token;
  }

  /** Whether a token lets in; each time it does, its rest begins anew. */
  holds(token: string | null, now: number): boolean {
    const key = token === null ? '' : hash(token);
    const session = this.known.get(key);
    if (!session) return false;
    const over = now - session.seen > IDLE || now - session.begun > LONGEST;
    this.known.delete(key);
    if (!over) this.known.set(key, { ...session, seen: now });
    return !over;
  }

  end(token: string | null): void {
    if (token !== null) this.known.delete(hash(token));
  }

  endAll(): void {
    this.known.clear();
  }
}

const hash = (token: string): string => createHash('sha256').update(token).digest('hex');
