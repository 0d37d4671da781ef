import 'server-only';
import type { LogTable } from '../../core/keep/log-table';
import { firstKnown } from '../../db/past-items';
import { keepPastWeeks } from '../past-weeks';
import { store } from '../store';
import { today } from '../today';
import { LOG_ROOMS } from './registry';
import type { LogRoom } from './room';

/** A room of the log as its page shows it. */
export interface RoomPage {
  readonly name: string;
  readonly title: string;
  readonly searched: boolean;
  readonly of: LogRoom['of'];
  readonly words: string;
  readonly year: string | null;
  /** years of which something is known, the latest first */
  readonly years: readonly string[];
  readonly tables: readonly LogTable[];
}

/**
 * @param asked the year wanted, `all`, or nothing for the year that it is; and words to look for
 * @returns null where there is no such room
 */
export async function loadRoom(name: string, asked: { year?: string; q?: string }): Promise<RoomPage | null> {
  const room = LOG_ROOMS.find((r) => r.name === name);
  if (!room) return null;
  const db = await store();
  const now = await today();
  await keepPastWeeks(db, now);
  const known = await firstKnown(db);
  const first = Math.min(...[known.week, known.day, now].flatMap((d) => (d ? [Number(d.slice(0, 4))] : [])));
  const last = Number(now.slice(0, 4));
  const years = Array.from({ length: Math.min(60, last - first + 1) }, (_, i) => String(last - i));
  const all = room.of === 'all years' || (room.of === 'any years' && asked.year === 'all');
  const year = all ? null : (years.find((y) => y === asked.year) ?? String(last));
  const words = (asked.q ?? '').slice(0, 200);
  return {
    name,
    title: room.title,
    searched: room.searched,
    of: room.of,
    words,
    year,
    years,
    tables: await room.load(db, { today: now, year, words }),
  };
}
