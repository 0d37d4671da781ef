import { createStore } from 'zustand';
import { contextFrom } from '../../../core/spread/context';
import type { SpreadData } from '../../../server/spread-data';
import type { Arranger } from '../../../workers/arranger';
import { arranging } from './arranging';
import { editing } from './editing';
import { saveQueue } from './queue';
import { setting } from './setting';
import type { Looking, Set, Shown, State } from './state';

const shownAtFirst = (data: SpreadData): Shown => ({
  data,
  context: contextFrom(data.context),
  placements: data.placements,
  history: data.history,
  selected: null,
  picked: null,
  finding: null,
  step: null,
  zoom: 'both',
  saving: 'saved',
  busy: null,
  messages: [],
  mannerBefore: null,
  waved: data.waved,
  said: null,
  changed: [],
});

const looking = (set: Set): Looking => ({
  select: (selected) => set({ selected, picked: null }),
  pick: (picked) => set({ picked, selected: null }),
  show: (finding) =>
    set({ finding, ...(finding?.placements[0] ? { selected: finding.placements[0], picked: null } : {}) }),
  setStep: (step) => set({ step }),
  setZoom: (zoom) => set({ zoom }),
  dismiss: () => set({ messages: [], mannerBefore: null, said: null, changed: [] }),
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
      ...looking(set),
      ...editing(data.id, get, set, queue),
      ...setting(data.id, get, set, queue),
      ...arranging(get, set, arranger),
    };
  });
}

export type SpreadStore = ReturnType<typeof createSpreadStore>;
