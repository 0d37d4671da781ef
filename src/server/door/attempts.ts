const FREE_TRIES = 5;
const FIRST_WAIT = 30_000;
const LONGEST_WAIT = 3_600_000;
const MOST_KNOWN = 1000;

interface Tries {
  readonly failed: number;
  readonly until: number;
}

/**
 * Who tries passphrases: after five wrong ones an address waits half a minute, then twice as long after each, up to an
 * hour; so do all of them together after ten times as many.
 * @param now ms
 */
export class Attempts {
  private readonly known = new Map<string, Tries>();

  /** @returns ms to wait; 0: it may try */
  wait(address: string, now: number): number {
    return Math.max(0, ...[address, ALL].map((who) => (this.known.get(who)?.until ?? 0) - now));
  }

  failed(address: string, now: number): void {
    this.note(address, FREE_TRIES, now);
    this.note(ALL, FREE_TRIES * 10, now);
  }

  succeeded(address: string): void {
    this.known.delete(address);
    const all = this.known.get(ALL);
    if (all) this.known.set(ALL, { ...all, failed: Math.max(0, all.failed - 1) });
  }

  private note(who: string, free: number, now: number): void {
    const failed = (this.known.get(who)?.failed ?? 0) + 1;
    const wait = failed < free ? 0 : Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** (failed - free));
    this.known.delete(who);
    this.known.set(who, { failed, until: wait ? now + wait : 0 });
    const oldest = this.known.size > MOST_KNOWN ? [...this.known.keys()].find((k) => k !== ALL) : undefined;
    if (oldest !== undefined) this.known.delete(oldest);
  }
}

/** All addresses together; no address is an empty text. */
const ALL = '';
