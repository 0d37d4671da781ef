import { useState } from 'react';
import type { PatientQueue, SaveStatus } from './patient-queue';
import { patientQueue } from './patient-queue';

/** How what is done on a screen is saved: in order, kept while the server is away, given back where it is refused. */
export interface Saving extends Pick<PatientQueue, 'add'> {
  readonly saveStatus: SaveStatus;
}

export function useSaving(): Saving {
  const [saveStatus, setSaveStatus] = useState<SaveStatus>('saved');
  const [queue] = useState(() => patientQueue(setSaveStatus));
  return { saveStatus, add: queue.add };
}
