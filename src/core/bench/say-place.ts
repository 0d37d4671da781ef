import { traits } from '../kit/kinds';
import { fine } from '../measure/fraction';
import { isWriting } from '../spread/placement';
import type { Voice } from '../spread/voice';
import { dayName } from '../spread/voice';
import { pageOf } from '../book/columns';
import type { Measure, TwoEdges } from './two-edges';

/** `1/2 in under header H-3, edge to edge of the column`: where a piece goes, from edges that a ruler finds. */
export const sayPlace = (voice: Voice, page: number, { across, down }: TwoEdges): string =>
  `${sayDown(voice, down)}, ${sayAcross(voice, page, across)}`;

function sayDown(voice: Voice, { mm, from }: Measure): string {
  switch (from.is) {
    case 'under':
      return mm === 0
        ? `right under ${sayPiece(voice, from.placement)}`
        : `${seen(voice, mm)} under ${sayPiece(voice, from.placement)}`;
    case 'level':
      return `its top level with ${sayPiece(voice, from.placement)}`;
    case 'mark':
      return mm === 0
        ? `its top on the printed ${MARKS[from.kind]}`
        : `${seen(voice, mm)} under the printed ${MARKS[from.kind]}`;
    default:
      return `${seen(voice, mm)} from the top of the page`;
  }
}

function sayAcross(voice: Voice, page: number, across: Measure | null): string {
  if (!across) return 'edge to edge of the column';
  const { mm, side, from } = across;
  if (from.is !== 'column')
    return `${seen(voice, mm)} from the ${pageOf(voice.context.book, page).bindingSide === 'right' ? 'left' : 'right'} edge of the page`;
  return mm === 0 ? `flush ${side} in the column` : `${seen(voice, mm)} from the ${side} of the column`;
}

const MARKS = { line: 'line', box: 'box’s edge', label: 'label', circle: 'circle' } as const;

const seen = ({ unit }: Voice, mm: number): string => fine(mm, unit);

/** `header H-3`, with its day where that is another one. */
function sayPiece(voice: Voice, id: string): string {
  const p = voice.placement(id);
  const piece = p && voice.pieceOf(p);
  if (!p || !piece || isWriting(p)) return 'what is there';
  return `${p.day === null ? '' : `${dayName(voice, p.day)}’s `}${traits(piece.kind).label} ${p.code}`;
}
