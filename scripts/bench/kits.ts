import { isItEnough } from '../../src/core/arrange/counting/enough';
import type { Kit, Piece } from '../../src/core/kit/kit';
import { searchOf } from '../../src/core/kit/search';
import { demoKit } from '../../tests/fixtures';
import { say, timed, ms } from './report';
import { weekOf } from './weeks';

/** 200 kits of 150 designs: the search over all of them, and whether a kit is enough for eight weeks. */
export function kits(): void {
  const model = demoKit('rockpool').pieces;
  const many = Array.from({ length: 200 }, (_, k) => ({
    name: `kit ${k}`,
    pieces: Array.from({ length: 150 }, (_, i): Piece => ({
      ...(model[i % model.length] as Piece),
      kit: `kit ${k}`,
      code: `P${i}`,
      color: `#${((k * 7919 + i * 104729) % 0x1000000).toString(16).padStart(6, '0')}`,
    })),
  }));
  const all = many.flatMap((k) => k.pieces);
  const queries = ['coral header', 'laundry', '38x12', 'checklist teal', 'header zeppelin'];
  say(
    'search over 200 kits, 30,000 pieces',
    'under 50 ms',
    `median ${ms(timed(25, (i) => all.filter(searchOf(queries[i % queries.length] as string))).median)}`,
  );
  const [kit, ...stash] = many;
  const small = { ...(kit as Kit), pieces: (kit as Kit).pieces.slice(0, 20) };
  const weeks = Array.from({ length: 8 }, () => weekOf(45));
  say(
    'is it enough, eight weeks, 199 other kits to choose substitutes from',
    'under 300 ms',
    `median ${ms(timed(5, () => weeks.map((c) => isItEnough({ ...c, kit: small, stash }))).median)}`,
  );
}
