import { looksName } from '../spread/looks-name';
import { fine, unseen } from '../measure/fraction';
import type { Placement } from '../spread/placement';
import { isWriting } from '../spread/placement';
import type { Voice } from '../spread/voice';
import { dayName } from '../spread/voice';
import { pageOf } from '../book/columns';
import type { Measure, TwoEdges } from './two-edges';

/**
 * `1/2 in under the teal header “today”, edge to edge`: where a piece goes, from edges that a ruler finds.
 * @param p the piece; what is of its own day is named without it
 */
export const sayPlace = (
  voice: Voice,
  { page, day }: Pick<Placement, 'page' | 'day'>,
  { across, down }: TwoEdges,
): string => `${sayDown(voice, day, down)}, ${sayAcross(voice, page, day, across)}`;

function sayDown(voice: Voice, day: number | null, { mm, from }: Measure): string {
  const touches = unseen(mm, voice.unit);
  const away = fine(mm, voice.unit);
  switch (from.is) {
    case 'under':
      return `${touches ? 'right' : away} under ${sayPiece(voice, day, from.placement)}`;
    case 'level':
      return `its top level with ${sayPiece(voice, day, from.placement)}`;
    case 'mark':
      return touches ? `its top on the printed ${MARKS[from.kind]}` : `${away} under the printed ${MARKS[from.kind]}`;
    default:
      return touches ? 'at the top of the page' : `${away} from the top of the page`;
  }
}

function sayAcross(voice: Voice, page: number, day: number | null, across: Measure | null): string {
  if (!across) return 'edge to edge of the column';
  const { mm, side, from } = across;
  const touches = unseen(mm, voice.unit);
  const away = fine(mm, voice.unit);
  if (from.is === 'column') return touches ? `flush ${side} in the column` : `${away} from the ${side} of the column`;
  if (from.is === 'beside') {
    const neighbor = sayPiece(voice, day, from.placement);
    const whichSide = side === 'left' ? 'right' : 'left';
    return touches ? `against the ${whichSide} of ${neighbor}` : `${away} to the ${whichSide} of ${neighbor}`;
  }
  const edge = pageOf(voice.context.book, page).bindingSide === 'right' ? 'left' : 'right';
  return touches ? `at the ${edge} edge of the page` : `${away} from the ${edge} edge of the page`;
}

const MARKS = { line: 'line', box: 'box’s edge', label: 'label', circle: 'circle' } as const;

/** `the teal header “today”`, with its day where that is another one. */
function sayPiece(voice: Voice, day: number | null, id: string): string {
  const p = voice.placement(id);
  const piece = p && voice.pieceOf(p);
  if (!p || !piece || isWriting(p)) return 'what is there';
  const whose = p.day === null || p.day === day ? 'the' : `${dayName(voice, p.day)}’s`;
  return `${whose} ${looksName(piece)}`;
}
