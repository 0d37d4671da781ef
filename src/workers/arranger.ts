import { wrap } from 'comlink';
import type { ContextData } from '../core/spread/context';
import type { Placement } from '../core/spread/placement';
import type { ArrangeService, Asked } from './protocol';

/** The worker ended in the middle of its work. The next question starts another one. */
export class WorkerStopped extends Error {}

/** Its asker wants the answer no more. */
export class Cancelled extends Error {}

/** The service as it is on this side of the worker: every answer takes its time. */
export type RemoteService = {
  readonly [K in keyof ArrangeService]: (
    ...args: Parameters<ArrangeService[K]>
  ) => Promise<ReturnType<ArrangeService[K]>>;
};

/** A running worker, as the browser has it; a test plays one. */
export interface Running {
  readonly service: RemoteService;
  /** is told when the worker ends by itself, and why */
  readonly onEnd: (ended: (why: string) => void) => void;
  readonly end: () => void;
}

/** What the worker is to work on. */
export interface Subject {
  readonly context: ContextData;
  readonly placements: readonly Placement[];
}

/** Asks the worker, telling it first what changed since it was asked last. */
export class Arranger {
  private running: Running | null = null;
  private told: Subject | null = null;
  private readonly waiting = new Set<(error: Error) => void>();

  constructor(private readonly start: () => Running) {}

  /** @throws WorkerStopped when the worker ends before it answers; whatever it throws itself */
  async ask<K extends Asked>(
    subject: Subject,
    what: K,
    ...args: Parameters<ArrangeService[K]>
  ): Promise<ReturnType<ArrangeService[K]>> {
    const { service } = this.runningNow();
    let fail: (error: Error) => void = () => {};
    const stopped = new Promise<never>((_, reject) => {
      fail = reject;
    });
    this.waiting.add(fail);
    try {
      this.tell(service, subject);
      return await Promise.race([service[what](...args), stopped]);
    } finally {
      this.waiting.delete(fail);
    }
  }

  /** Gives up all that is asked; the next question starts another worker. */
  cancel(): void {
    this.running?.end();
    this.running = null;
    this.told = null;
    for (const fail of this.waiting) fail(new Cancelled());
  }

  private runningNow(): Running {
    if (this.running) return this.running;
    const running = this.start();
    this.running = running;
    running.onEnd((why) => this.ended(running, why));
    return running;
  }

  private ended(running: Running, why: string): void {
    if (this.running !== running) return;
    running.end();
    this.running = null;
    this.told = null;
    for (const fail of this.waiting) fail(new WorkerStopped(why));
  }

  private tell(service: Running['service'], subject: Subject): void {
    const before = this.told;
    this.told = subject;
    const said: Promise<unknown>[] = before
      ? [
          ...(before.context === subject.context ? [] : [service.contextChanged(changedParts(before, subject))]),
          ...(before.placements === subject.placements ? [] : [tellPlacements(service, before, subject)]),
        ]
      : [service.begin(subject.context, subject.placements)];
    for (const one of said) one.catch((error: unknown) => this.running && this.ended(this.running, String(error)));
  }
}

function changedParts(before: Subject, now: Subject): Partial<ContextData> {
  const old = new Map<string, unknown>(Object.entries(before.context));
  return Object.fromEntries(Object.entries(now.context).filter(([part, value]) => old.get(part) !== value));
}

function tellPlacements(service: Running['service'], before: Subject, now: Subject): Promise<unknown> {
  const old = new Map(before.placements.map((p) => [p.id, p]));
  const there = new Set(now.placements.map((p) => p.id));
  return service.placementsChanged(
    before.placements.filter((p) => !there.has(p.id)).map((p) => p.id),
    now.placements.filter((p) => old.get(p.id) !== p),
  );
}

/** The worker of the browser. */
export function startWorker(): Running {
  const worker = new Worker(new URL('./arrange.worker.ts', import.meta.url), { type: 'module' });
  return {
    service: wrap<ArrangeService>(worker),
    onEnd: (ended) => {
      worker.addEventListener('error', (e) => ended(e.message || 'it could not be loaded'));
      worker.addEventListener('messageerror', () => ended('it sent what could not be read'));
    },
    end: () => worker.terminate(),
  };
}
