import type { Step } from './steps';

/** A name for a step that stays the same while others come and go, so that its tick stays with it. */
export const stepKey = (step: Pick<Step, 'do' | 'refs' | 'say'>): string => (step.do === 'white-out' || step.do === 'cut' ? step.say : `${step.do}:${step.refs.join(',')}`);
