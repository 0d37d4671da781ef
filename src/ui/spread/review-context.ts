'use client';

import { own } from '../../core/measure/own';
import { createContext, useContext, useMemo } from 'react';
import type { Voice } from '../../core/spread/voice';
import { voiceOf } from '../../core/spread/voice';
import type { Finding, View } from '../../core/review/finding';
import type { StepName } from './store';

export interface Reviewed {
  readonly view: View;
  readonly findings: readonly Finding[];
  /** ordinary steps of the work, told as totals */
  readonly ordinary: readonly Finding[];
  /** those that their owner wants so */
  readonly waved: readonly Finding[];
}

/** How the spread's data is put into words here. */
export function useVoice(): Voice {
  const { view } = useReview();
  return useMemo(() => voiceOf(view.context, view.placements), [view]);
}

export const ReviewContext = createContext<Reviewed | null>(null);

/** What the review says of the spread as it is now. */
export function useReview(): Reviewed {
  const reviewed = useContext(ReviewContext);
  if (!reviewed) throw new Error('useReview outside the spread screen');
  return reviewed;
}

const STEPS_BY_RULE: Readonly<Record<string, StepName>> = {
  B: 'Base',
  F: 'Days',
  D: 'Days',
  C: 'Boxes',
  L: 'Days',
  W: 'Finish',
  K: 'Kit',
  P: 'Bench',
  R: 'Bench',
};

/** The step of the work that a finding belongs to. */
export const stepOf = (f: Finding): StepName => own(STEPS_BY_RULE, f.rule.slice(0, 1)) ?? 'Days';
