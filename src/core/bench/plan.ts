import { USUAL_ORDER } from './orders/registry';

/** How its owner works on one spread. */
export interface WorkPlan {
  /** name of a ready-made order */
  readonly order: string;
  /** keys of steps in the order that its owner dragged them to; empty where they were left as they are */
  readonly sequence: readonly string[];
  /** no correction tape is left: white-out waits, and what lies on it */
  readonly tapeOut: boolean;
}

export const USUAL_PLAN: WorkPlan = { order: USUAL_ORDER.name, sequence: [], tapeOut: false };
