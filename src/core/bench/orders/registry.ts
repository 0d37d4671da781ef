import { cuttingFirst } from './cutting-first';
import { dayByDay } from './day-by-day';
import { overTheWeek } from './over-the-week';

/** The ready-made orders of work. */
export const WORK_ORDERS = [overTheWeek, dayByDay, cuttingFirst] as const;
export const USUAL_ORDER = overTheWeek;

export const workOrder = (name: string) => WORK_ORDERS.find((o) => o.name === name) ?? USUAL_ORDER;
