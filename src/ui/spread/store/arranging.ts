import { proxy } from 'comlink';
import type { Alternative } from '../../../core/compare/alternatives';
import type { Change } from '../../../core/edit/change';
import { apply } from '../../../core/edit/change';
import type { Deed } from '../../../core/edit/deed';
import { sayDeed } from '../../../core/edit/say-deed';
import { viewOf, withoutPlace } from '../../../core/review/review';
import { voiceOf } from '../../../core/spread/voice';
import { Arranger, Cancelled, startWorker } from '../../../workers/arranger';
import { NOTHING_MORE, NOTHING_OPEN, NO_PLACE, sayLetIn, sayRecolored, stopped } from './messages';
import { mannerParts } from './manner-parts';
import type { Arranging, Get, MannerChoice, Set } from './state';

let shared: Arranger | null = null;
/** One worker for all spreads that are looked at one after the other. */
const usual = (): Arranger => (shared ??= new Arranger(startWorker));

/** @param arranger of the browser; a test gives its own */
export function arranging(get: Get, set: Set, arranger: () => Arranger = usual): Arranging {
  const subject = () => ({ context: get().data.context, placements: get().placements });
  const voice = () => voiceOf(get().context, get().placements);
  /** Long work, one at a time, with a word for it meanwhile; an error of it is said. */
  const busy = (saying: string, what: string, work: () => Promise<void>): void => {
    if (get().busy) return;
    set({ busy: saying, selected: null, picked: null });
    work()
      .catch((error: unknown) => {
        if (!(error instanceof Cancelled)) set({ messages: [stopped(what, error)] });
      })
      .finally(() => set({ busy: null }));
  };
  /** What was asked for may have been all done before: that is not the same as no room. */
  const lay = (change: Change | null): void => {
    if (change) return get().edit(change);
    const open = withoutPlace(viewOf(get().context, get().placements));
    set(open ? { messages: [NOTHING_MORE] } : { said: NOTHING_OPEN });
  };
  const mannerOf = ({ options, ways }: Alternative): MannerChoice => {
    const { own, context } = get().data;
    return { school: context.manner, options: { ...own.options, ...options }, ways: { ...own.ways, ...ways } };
  };
  /** what is looked at is what is laid: put together in the settings that the week will have */
  const mixOf = (sources: readonly Alternative[], from: readonly number[]): Promise<Change> => {
    const main = sources[from[0] ?? 0] as Alternative;
    const deed: Deed = { do: 'lay out', from: new Set(from).size > 1 ? 'several' : 'one' };
    const order = [main, ...sources.filter((s) => s !== main)];
    const { data, placements } = get();
    return arranger().ask(
      { context: { ...data.context, ...mannerParts(data, mannerOf(main)) }, placements },
      'mix',
      order.map((s) => s.placements),
      from.map((n) => order.findIndex((s) => s === sources[n])),
      deed,
    );
  };
  return {
    cancel: () => arranger().cancel(),
    arrange: (how) =>
      busy(how === 'rest' ? 'Arranging what is open…' : 'Arranging again…', 'The arranging', async () =>
        lay(await arranger().ask(subject(), how)),
      ),
    arrangeDay: (day) =>
      busy('Arranging the day…', 'The arranging', async () => lay(await arranger().ask(subject(), 'day', day))),
    askOffers: (key) => {
      set({ offers: null });
      arranger()
        .ask(subject(), 'offers', key)
        .then((offers) => get().item === key && set({ offers }))
        .catch(
          (error: unknown) => get().item === key && set({ offers: [], messages: [stopped('The looking', error)] }),
        );
    },
    letIn: (key) =>
      busy('Looking for a place…', 'The looking', async () => {
        const repair = await arranger().ask(subject(), 'letIn', key);
        if (!repair) return set({ messages: [NO_PLACE] });
        get().edit(repair.change);
        set({ said: sayLetIn(repair, voice()), changed: repair.change.after.map((p) => p.id), selected: null });
      }),
    remediesOf: (finding) => arranger().ask(subject(), 'remedies', finding),
    colorSwapsOf: (from) => arranger().ask(subject(), 'colors', from),
    recolor: (swap) => {
      get().edit(swap.change);
      set({ said: sayRecolored(swap, voice()), changed: swap.change.after.map((p) => p.id), selected: null });
    },
    look: (manner) => arranger().ask(subject(), 'look', mannerParts(get().data, manner)),
    alternatives: (wish, onTried) => arranger().ask(subject(), 'alternatives', wish, proxy(onTried)),
    mixed: async (sources, from) => apply(get().placements, await mixOf(sources, from)),
    choose: (sources, from) => {
      const main = sources[from[0] ?? 0];
      if (!main) return;
      busy('Laying it out…', 'The laying out', async () => {
        const change = await mixOf(sources, from);
        if (Object.keys({ ...main.options, ...main.ways }).length)
          await new Promise<void>((done) => {
            get().setManner(mannerOf(main));
            get().afterSaving(done);
          });
        get().edit(change);
        set({ said: `${sayDeed(change.deed, voice())}: ${main.says}` });
      });
    },
  };
}
