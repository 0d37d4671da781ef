/**
 * Kits and agendas of strangers, by a seed: titles as people in many places type them, kits whose codes, sizes and
 * colors follow no table of ours.
 */
import type { Kit, Piece } from '../../src/core/kit/kit';
import type { Kind } from '../../src/core/kit/kinds';
import { traits } from '../../src/core/kit/kinds';
import { MANNERS } from '../../src/core/manner/registry';
import { randomFrom } from '../../src/core/measure/random';
import type { Context } from '../../src/core/spread/placement';
import type { Demand } from '../../src/core/week/demand';
import { BOOKS } from '../../src/core/book/registry';
import type { Book } from '../../src/core/book/book';
import { context, demand, piece, weekWith } from '../fixtures';
import { strangersBook } from './books';

const TITLES = [
  'orthodontist appointment',
  'Parent-teacher conference @ school',
  'Łukasz: przegląd techniczny',
  'Geburtstagsvorbereitungen',
  'kinesiotherapy',
  'refill prescriptions',
  'call insurance re: windshield',
  'w/ Sam + Dee, tapas',
  'Zahnarzt',
  'pick up dry-cleaning',
  'electricity/gas/water',
  'Вызвать сантехника',
  'yoga',
  'PTA',
  'reorganize the laundry cupboard',
  'soccer practice (bring oranges)',
  'γιατρός',
  '歯医者',
  'congratulations card for Priyanka',
  'unsubscribe newsletters',
  'meal prep',
  'vacuum upstairs',
  'transportation reimbursement form',
  '🎂 Theo',
  'trash',
  'https://example.org/rsvp',
  'a',
  'supercalifragilistic rehearsal',
];
const COLORS = ['#0b132b', '#e63946', '#f1faee', '#a8dadc', '#457b9d', '#ffb703', '#8d99ae', '#2a9d8f', '#fefae0'];
const KINDS: readonly Kind[] = [
  'full-box', 'half-box', 'third-box', 'quarter-box', 'checklist', 'header', 'label', 'flag', 'circle', 'little',
  'icon', 'script', 'deco', 'date-cover', 'date-dot', 'bottom-washi', 'washi', 'habit-tracker', 'week-tracker',
]; // prettier-ignore
const ICONS = ['', 'coffee', 'laundry', 'tv', 'dinner'];

const DAYS = weekWith().days;

/** A kit of some kinds, none sure to be there. */
export function strangersKit(seed: number): Kit {
  const random = randomFrom(seed * 104729 + 5);
  const below = (n: number): number => Math.floor(random() * n);
  const pick = <T>(list: readonly T[]): T => list[below(list.length)] as T;
  const pieces = KINDS.filter(() => random() < 0.6).flatMap((kind, k) =>
    Array.from({ length: 1 + below(6) }, (_, i): Piece => {
      const { usual, shape, opacity, writable } = traits(kind);
      const stretch = 0.75 + random() * 0.4;
      return piece({
        kit: 'stranger',
        code: `${String.fromCharCode(97 + k)}${i}`,
        kind,
        count: 1 + below(7),
        width: Math.round(usual[0] * stretch * 10) / 10,
        height: Math.round(usual[1] * (0.7 + random() * 0.6) * 10) / 10,
        sheet: 1 + below(5),
        shape,
        opacity,
        writable,
        color: pick(COLORS),
        accent: pick(COLORS),
        icon: kind === 'icon' || kind === 'little' ? pick(ICONS) : '',
        words: kind === 'script' || kind === 'header' ? pick(['', 'today', 'to do', 'yoga', 'trash']) : '',
        rows: kind === 'checklist' ? 3 + below(8) : kind === 'week-tracker' ? 7 : 0,
        finish: pick(['matte-removable', 'matte-removable', 'glossy', 'vinyl']),
      });
    }),
  );
  return { name: 'stranger', pieces };
}

/** Items of a week, half of them with a time, some over some days, some on lists. */
export function strangersItems(seed: number, count: number): Demand[] {
  const random = randomFrom(seed * 15485863 + 3);
  const below = (n: number): number => Math.floor(random() * n);
  return Array.from({ length: count }, (_, i): Demand => {
    const day = below(7);
    const title = TITLES[below(TITLES.length)] as string;
    const sort = random();
    const uid = `s${i}`;
    const start = sort < 0.5 ? 330 + below(66) * 15 : null;
    const list = sort > 0.85 ? (random() < 0.6 ? 'to do' : 'to buy') : null;
    const over = sort > 0.8 && !list && day < 6 ? 1 + below(6 - day) : 0;
    return demand({
      uid,
      key: uid,
      title,
      day,
      lastDay: day + over,
      on: DAYS[day] as string,
      list,
      start,
      end: start === null ? null : start + 45,
      part: start === null ? (['morning', 'day', 'evening'] as const)[below(3)] : start < 720 ? 'morning' : start < 1020 ? 'day' : 'evening', // prettier-ignore
      kind: over ? 'band' : list ? 'to-do' : start === null ? 'chore' : 'appointment',
      tentative: random() < 0.05,
    });
  });
}

/** A stranger's week: book, kit, agenda and manner. */
export function strangersWeek(seed: number): Context {
  const manners = Object.keys(MANNERS);
  const shipped: readonly Book[] = Object.values(BOOKS);
  return context({
    book: seed % 2 ? strangersBook(seed) : shipped[seed % shipped.length],
    kit: strangersKit(seed),
    manner: manners[seed % manners.length] as string,
    seed,
    week: weekWith(...strangersItems(seed, (seed * 5) % 47)),
  });
}
