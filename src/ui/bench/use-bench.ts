import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { Bench } from '../../core/bench/bench';
import { benchOf } from '../../core/bench/bench';
import { dragged } from '../../core/bench/drag';
import type { StepRun } from '../../core/bench/groups';
import { runsOf } from '../../core/bench/groups';
import { alikeRuns } from '../../core/bench/alike';
import { stepKind } from '../../core/bench/kinds/registry';
import type { WorkPlan } from '../../core/bench/plan';
import { sayBlocked } from '../../core/bench/say-blocked';
import type { Step } from '../../core/bench/step';
import { contextFrom } from '../../core/spread/context';
import type { Context } from '../../core/spread/placement';
import type { Voice } from '../../core/spread/voice';
import { counted, voiceOf } from '../../core/spread/voice';
import { finishSpread, saveWorkPlan, unfinishSpread } from '../../server/bench-actions';
import type { Mishap } from '../../server/dto/spread.dto';
import type { Outcome } from '../../server/outcome';
import { mend } from '../../server/repair-actions';
import type { SpreadData } from '../../server/spread-data';
import type { SaveStatus } from '../patient-queue';
import { SAID } from '../patient-queue';
import { reached } from '../reached';
import { sayMended } from '../spread/store/messages';
import { useSaving } from '../use-saving';
import { sendTicks } from './send-ticks';

/** All that the bench's screen shows and does. */
export interface AtBench {
  readonly context: Context;
  readonly bench: Bench;
  readonly voice: Voice;
  readonly runs: readonly StepRun[];
  readonly plan: WorkPlan;
  readonly done: ReadonlySet<string>;
  /** number of the step at hand; as many as there are steps: the end */
  readonly at: number;
  readonly step: Step | undefined;
  readonly run: StepRun | undefined;
  /** the step at hand with those after and before it that are done in one go with it */
  readonly together: readonly Step[];
  /** the whole group is shown, not one step */
  readonly whole: boolean;
  /** keys of steps that came new with a repair */
  readonly fresh: ReadonlySet<string>;
  readonly said: string | null;
  readonly message: string | null;
  readonly busy: boolean;
  readonly saveStatus: SaveStatus;
  readonly finished: boolean;
  readonly go: (at: number) => void;
  readonly showWhole: (whole: boolean) => void;
  readonly tick: (keys: readonly string[], on: boolean) => Promise<boolean>;
  /** ticks a whole group, and goes on to what is not done yet */
  readonly tickRun: (run: StepRun) => void;
  /** ticks what is shown, and goes on to what is not done yet */
  readonly next: () => void;
  readonly back: () => void;
  readonly mishap: (what: Mishap, off?: { readonly dx: number; readonly dy: number }) => Promise<void>;
  readonly setPlan: (plan: WorkPlan, said?: string) => Promise<void>;
  readonly drag: (keys: readonly string[], before: string | null) => void;
  readonly setFinished: (on: boolean) => Promise<void>;
  readonly hush: () => void;
}

export function useBench(spread: SpreadData, ticked: readonly string[]): AtBench {
  const router = useRouter();
  const [plan, putPlan] = useState(spread.work);
  const [done, setDone] = useState<ReadonlySet<string>>(() => new Set(ticked));
  const laid = useMemo(() => contextFrom(spread.context), [spread]);
  const context = useMemo(() => ({ ...laid, ticked: [...done] }), [laid, done]);
  const bench = useWork(context, spread, plan, done);
  const voice = useMemo(() => voiceOf(laid, spread.placements), [laid, spread]);
  const runs = useMemo(() => runsOf(bench.steps), [bench]);
  const [finished, putFinished] = useState(spread.keep !== null);
  const first = (steps: readonly Step[], by: ReadonlySet<string>) => {
    const open = steps.findIndex((s) => !by.has(s.key));
    return open < 0 ? steps.length : open;
  };
  const [at, setAt] = useState(() => (spread.keep ? bench.steps.length : first(bench.steps, new Set(ticked))));
  const [whole, setWhole] = useState(false);
  const [fresh, setFresh] = useState<ReadonlySet<string>>(new Set());
  const [said, setSaid] = useState<string | null>(null);
  // apart from what the act says of itself: either of the two may come first
  const [changes, setChanges] = useState<string | null>(null);
  const [message, setMessage] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { saveStatus, add } = useSaving();
  const step = bench.steps[at];
  const run = step && runs.find((r) => r.steps.includes(step));
  const together = (run && step && alikeRuns(run.steps, voice).find((set) => set.includes(step))) ?? [];

  // a repair brought the spread anew: what is new in the list is marked, and the step at hand is the next true one
  const [seen, setSeen] = useState({ spread, looks: looksOf(bench) });
  if (seen.spread !== spread) {
    const now = looksOf(bench);
    const come = [...now].filter(([key, look]) => seen.looks.get(key) !== look).map(([key]) => key);
    const gone = [...seen.looks.keys()].filter((key) => !now.has(key)).length;
    const still = new Set(ticked.filter((key) => now.has(key)));
    setSeen({ spread, looks: now });
    setDone(new Set(ticked));
    if (come.length || gone) {
      setFresh(new Set(come));
      setChanges(changed(come.length, gone));
      setAt(first(bench.steps, still));
      setWhole(false);
    }
  }

  const answered = <T>(outcome: Outcome<T>): outcome is Extract<Outcome<T>, { ok: true }> => {
    setMessage(outcome.ok ? null : outcome.messages.join(' '));
    return outcome.ok;
  };
  /** Kept while the server is away. @returns what came back; why not, where nothing ever will */
  const sent = <T>(send: () => Promise<Outcome<T>>): Promise<Outcome<T>> =>
    new Promise((come) => add(send, come, (why) => come({ ok: false, messages: [why] })));
  /** Ticks a whole group, and goes on to what is not done yet; whether it is all on paper is asked at the end. */
  const tickRun = (of: StepRun): void => {
    const keys = of.steps.map((s) => s.key).filter((key) => !done.has(key));
    setAt(first(bench.steps, new Set([...done, ...keys])));
    setWhole(false);
    void tick(keys, true);
  };
  const tick = async (keys: readonly string[], on: boolean): Promise<boolean> => {
    if (!keys.length) return true;
    const set = (value: boolean) =>
      setDone((before) => {
        const next = new Set(before);
        for (const key of keys)
          if (value) next.add(key);
          else next.delete(key);
        return next;
      });
    set(on);
    const kept = answered(await sent(() => sendTicks(spread.id, keys, on)));
    if (!kept) set(!on);
    return kept;
  };
  /** Shown once it is saved: a photo or a rating that came before would be of a spread that is not on paper yet. */
  const setFinished = async (on: boolean): Promise<void> => {
    setBusy(true);
    const action = on ? finishSpread : unfinishSpread;
    const kept = answered(await sent(() => action({ spreadId: spread.id })));
    setBusy(false);
    if (!kept) return;
    putFinished(on);
    router.refresh();
  };
  const next = () => {
    if (!step || !run) return;
    const keys = (whole ? run.steps : together).map((s) => s.key).filter((key) => !done.has(key));
    const then = new Set([...done, ...keys]);
    const onward = bench.steps.findIndex((s, i) => i > at && !then.has(s.key) && !(whole && run.steps.includes(s)));
    const open = onward < 0 ? first(bench.steps, then) : onward;
    setAt(keys.length ? open : Math.min(at + 1, bench.steps.length));
    void tick(keys, true).then((kept) => {
      if (kept && open === bench.steps.length && keys.length && !finished) void setFinished(true);
    });
  };
  const mishap: AtBench['mishap'] = async (what, off) => {
    setBusy(true);
    setChanges(null);
    for (const placement of step ? stickersOf(step) : []) {
      const made = await reached(() => mend({ spreadId: spread.id, placement, what, ...off }));
      if (!answered(made)) break;
      setSaid(sayMended(made.value.repair, voice));
    }
    setBusy(false);
    router.refresh();
  };
  const setPlan: AtBench['setPlan'] = async (wanted, words) => {
    const before = plan;
    putPlan(wanted);
    const kept = answered(await sent(() => saveWorkPlan({ spreadId: spread.id, ...wanted })));
    if (!kept) return putPlan(before);
    if (words) {
      setSaid(words);
      setChanges(null);
    }
    if (wanted.tapeOut !== before.tapeOut) router.refresh(); // the house has less tape by now
    const { steps } = benchOf(context, spread.placements, bench.whiteOut, wanted);
    setAt(first(steps, done));
    setWhole(false);
  };
  return {
    context,
    bench,
    voice,
    runs,
    plan,
    done,
    at,
    step,
    run,
    together,
    whole: whole && (run?.steps.length ?? 0) > 1,
    fresh,
    said: [said, changes].filter(Boolean).join(' ') || null,
    message: message ?? (saveStatus === 'saved' || saveStatus === 'saving' ? null : SAID[saveStatus]),
    busy,
    saveStatus,
    finished,
    go: (n) => setAt(Math.max(0, Math.min(bench.steps.length, n))),
    showWhole: setWhole,
    tick,
    tickRun,
    next,
    back: () => setAt(Math.max(0, (whole && run ? bench.steps.indexOf(run.steps[0] as Step) : at) - 1)),
    mishap,
    setPlan,
    drag: (keys, before) => {
      const moved = dragged(bench.steps, bench.edges, keys, before);
      if (!moved.ok) return setMessage(sayBlocked(moved.blocked, bench.steps, voice));
      const hand = step?.key;
      void setPlan({ ...plan, sequence: moved.sequence }).then(() => {
        const there = hand === undefined ? -1 : moved.sequence.indexOf(hand);
        if (there >= 0) setAt(there);
      });
    },
    setFinished,
    hush: () => {
      setSaid(null);
      setChanges(null);
      setMessage(null);
    },
  };
}

/** The steps as they are; a tick changes nothing of them, unless white-out waits for tape. */
function useWork(context: Context, spread: SpreadData, plan: WorkPlan, done: ReadonlySet<string>) {
  const ticks = plan.tapeOut ? done : null;
  return useMemo(
    () => benchOf(context, spread.placements, undefined, plan),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the context is new with each tick, its steps are not
    [spread, plan, ticks],
  );
}

/** What each step is about, so that one is known as changed which has another sticker, or another place. */
function looksOf({ steps, placements, whiteOut }: Bench): Map<string, string> {
  const byId = new Map(placements.map((p) => [p.id, p]));
  const look = (ref: string): unknown => {
    const p = byId.get(ref.replace(/^text:/, ''));
    if (p) return [p.kit, p.code, p.copy, p.x, p.y, p.w, p.h, p.turn, p.text];
    return ref.startsWith('white:') ? whiteOut[Number(ref.slice(6))] : null;
  };
  return new Map(steps.map((s) => [s.key, JSON.stringify(s.refs.map(look))]));
}

/** The stickers that a mishap at a step befalls: the one it lays, or all parts of the one it cuts. */
export const stickersOf = (step: Step): readonly string[] => stepKind(step.about).stickersOf(step);

const changed = (come: number, gone: number): string =>
  [
    come ? `${counted(come, 'step is', 'steps are')} new or other than before, marked in the list` : '',
    gone ? `${counted(gone, 'step is', 'steps are')} gone` : '',
  ]
    .filter(Boolean)
    .join('; ') + '.';
