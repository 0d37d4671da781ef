import type { IsoDay } from '../week';

/**
 * A moment on a wall clock, in milliseconds since 1970-01-01 00:00 on that same clock: no zone, no gaps.
 * Plain numbers, since thousands of them are worked through for a week.
 */
export type Wall = number;

export const DAY_MS = 86_400_000;

/** Whole days since 1970-01-01. */
export const dayNumber = (wall: Wall): number => Math.floor(wall / DAY_MS);

export const wallOf = (year: number, month: number, day: number, hour = 0, minute = 0, second = 0): Wall =>
  // not by Date.UTC, which reads a year of two digits as one of the twentieth century
  new Date(0).setUTCFullYear(year, month - 1, day) + ((hour * 60 + minute) * 60 + second) * 1000;

export const wallOfDay = (day: IsoDay): Wall =>
  wallOf(Number(day.slice(0, 4)), Number(day.slice(5, 7)), Number(day.slice(8, 10)));

export const isoDay = (wall: Wall): IsoDay => new Date(wall).toISOString().slice(0, 10);

/** 0 for Monday to 6 for Sunday. */
export const weekday = (wall: Wall): number => (((dayNumber(wall) + 3) % 7) + 7) % 7;

/** Minutes after midnight. */
export const minuteOfDay = (wall: Wall): number => Math.floor((wall - dayNumber(wall) * DAY_MS) / 60_000);
