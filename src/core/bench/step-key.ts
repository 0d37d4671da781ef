import type { Step } from './steps';

/** A name for a step that stays the same while others come and go, so that its tick stays with it. */
export const stepKey = (step: Pick<Step, 'do' | 'refs' | 'say'>): string =>
  step.do === 'white-out' || step.do === 'cut' ? step.say : `${step.do}:${step.refs.join(',')}`;

/** The ids of the pieces that a step sticks down; none for all other steps. */
export const piecesOfStep = (key: string): string[] =>
  /^(place|stack):/.test(key) ? key.slice(key.indexOf(':') + 1).split(',') : [];
