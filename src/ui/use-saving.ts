import { useState } from 'react';
import type { PatientQueue, Standing } from './patient-queue';
import { patientQueue } from './patient-queue';

/** How what is done on a screen is saved: in order, kept while the server is away, given back where it is refused. */
export interface Saving extends Pick<PatientQueue, 'add'> {
  readonly standing: Standing;
}

export function useSaving(): Saving {
  const [standing, setStanding] = useState<Standing>('saved');
  const [queue] = useState(() => patientQueue(setStanding));
  return { standing, add: queue.add };
}
