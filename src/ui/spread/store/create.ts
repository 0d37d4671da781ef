import { createStore } from 'zustand';
import { contextFrom } from '../../../core/spread/context';
import { matchDemands } from '../../../core/spread/placement';
import type { SpreadData } from '../../../server/spread-data';
import type { Arranger } from '../../../workers/arranger';
import { arranging } from './arranging';
import { editing } from './editing';
import { saveQueue } from './queue';
import { setting } from './setting';
import type { DrawerName, Get, Looking, Set, Shown, State, StepName } from './state';

const NOTHING_IN_HAND = { selected: null, also: [], picked: null, item: null, offers: null, glimpse: null } as const;
/** Where the work of a step is done. */
const DRAWERS: Readonly<Partial<Record<StepName, DrawerName>>> = { Week: 'items', Kit: 'sheets' };
import { pagesShown } from './pages-shown';

const shownAtFirst = (data: SpreadData): Shown => ({
  data,
  context: contextFrom(data.context),
  placements: data.placements,
  history: data.history,
  ...NOTHING_IN_HAND,
  drawer: 'items',
  folded: false,
  camera: null,
  finding: null,
  step: null,
  // four pages beside each other would leave half of the window bare
  zoom: data.context.book.pages.length > 2 ? 0 : 'both',
  saving: 'saved',
  busy: null,
  messages: [],
  mannerBefore: null,
  waved: data.waved,
  said: null,
  astray: null,
  changed: [],
});

/** The half of four pages that a page is on, where it is not seen now. */
function halfOf(page: number | undefined, { context, zoom }: Pick<State, 'context' | 'zoom'>): Partial<State> {
  const { length } = context.book.pages;
  if (page === undefined || pagesShown(length, zoom).includes(page)) return {};
  return { zoom: page < Math.floor(length / 2) ? 0 : 1, camera: null };
}

const looking = (get: Get, set: Set): Looking => ({
  select: (selected) => {
    const page = get().placements.find((p) => p.id === selected)?.page;
    set({ ...NOTHING_IN_HAND, selected, finding: null, ...halfOf(page, get()) });
  },
  selectAlso: (id) => {
    const { selected, also } = get();
    if (selected === null || selected === id) set({ ...NOTHING_IN_HAND, selected: id });
    else set({ ...NOTHING_IN_HAND, selected, also: also.includes(id) ? also.filter((a) => a !== id) : [...also, id] });
  },
  pick: (picked) => set({ ...NOTHING_IN_HAND, picked }),
  pickItem: (item) => {
    const { placements, context } = get();
    const carrier = item === null ? undefined : matchDemands(placements, context.week.demands).get(item);
    set(
      carrier
        ? { ...NOTHING_IN_HAND, selected: carrier.id, ...halfOf(carrier.page, get()) }
        : { ...NOTHING_IN_HAND, item },
    );
    if (item !== null && !carrier) get().askOffers(item);
  },
  setGlimpse: (glimpse) => set({ glimpse }),
  open: (drawer) => set({ drawer, folded: false }),
  fold: (folded) => set({ folded }),
  setCamera: (camera) => set({ camera }),
  show: (finding) =>
    set({
      finding,
      glimpse: null,
      ...halfOf(finding?.page, get()),
      ...(finding?.placements[0] ? { ...NOTHING_IN_HAND, selected: finding.placements[0] } : {}),
    }),
  setStep: (step) => set({ step, ...(step ? { drawer: DRAWERS[step] ?? 'findings', folded: false } : {}) }),
  setZoom: (zoom) => set({ zoom, camera: null }),
  dismiss: () => set({ messages: [], mannerBefore: null, said: null, astray: null, changed: [] }),
  complain: (messages) => set({ messages }),
});

/**
 * The spread screen's state. An edit is seen at once and saved in order, one after the other; when one fails,
 * what is on the disk is shown again and the reason is said.
 */
export function createSpreadStore(data: SpreadData, arranger?: () => Arranger) {
  return createStore<State>()((set, get) => {
    const queue = saveQueue(get, set);
    return {
      ...shownAtFirst(data),
      ...looking(get, set),
      ...editing(data.id, get, set, queue),
      ...setting(data.id, get, set, queue),
      ...arranging(get, set, arranger),
    };
  });
}

export type SpreadStore = ReturnType<typeof createSpreadStore>;
