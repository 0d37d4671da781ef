import { inkFor } from '../../spread/ink';
import { baseOf, laidOn, writingRoom } from '../../spread/writing';
import { shortened } from '../../measure/hand';
import { dayOfMonth } from '../../week/day-names';
import type { Idea } from '../remedy';
import { altered, involved, pieceOf } from './case';
import { isList } from '../../spread/is-list';

/** With the pen that suits. */
export const otherPen: Idea = (c) =>
  involved(c).flatMap((p) => {
    const piece = pieceOf(c, p);
    return piece && p.text ? altered({ do: 'write with', ink: inkFor(piece) }, p, { ink: inkFor(piece) }) : [];
  });

/** The text shortened to what its base takes; the right number written. */
export const otherText: Idea = (c) =>
  involved(c).flatMap((p) => {
    const piece = pieceOf(c, p);
    if (!piece) return [];
    const number = p.day === null ? '' : String(dayOfMonth(c.context.week.days[p.day] as string));
    if (piece.kind === 'date-cover')
      return altered({ do: 'write', text: number }, p, { text: number, ink: inkFor(piece) });
    const room = writingRoom(baseOf(piece, p), laidOn(p, c.placements));
    const shorter = p.text && !isList(piece, p) ? shortened(p.text, room.w, room.h, c.context.options.hand) : null;
    return shorter && shorter !== p.text ? altered({ do: 'write', text: shorter }, p, { text: shorter }) : [];
  });

/** A text that was written short ends with its last whole word. */
export const lastWholeWord: Idea = (c) =>
  involved(c).flatMap((p) => {
    const words = (p.text ?? '').replace(/…$/, '').split(' ').slice(0, -1).join(' ');
    return p.text?.endsWith('…') && words.length > 3
      ? altered({ do: 'write', text: words, only: true }, p, { text: words })
      : [];
  });
