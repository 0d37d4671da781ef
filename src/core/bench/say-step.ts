import { isRoll, pieceKey } from '../kit/kit';
import { traits } from '../kit/kinds';
import { pieceIndex } from '../spread/placement';
import type { Placement } from '../spread/placement';
import type { Voice } from '../spread/voice';
import { counted, dayName, mm, sentence } from '../spread/voice';
import type { Bench } from './bench';
import type { Cut } from './cuts';
import { measuredFrom, pageName } from './measure-from';
import { sayPlace } from './say-place';
import type { Step } from './step';
import { twoEdges } from './two-edges';
import type { WhiteOut } from './white-out';

/** What a place can be measured from: what is down by then, and what was whited out. */
export interface DownBy {
  readonly laid: readonly Placement[];
  readonly whiteOut: readonly WhiteOut[];
}

const BARE: DownBy = { laid: [], whiteOut: [] };

/**
 * A step of the bench in words, in the owner's units. The only place where a step becomes a sentence.
 * @param by what is down before it, see `downBefore`
 */
export function sayStep({ about, refs }: Pick<Step, 'about' | 'refs'>, voice: Voice, by: DownBy = BARE): string {
  switch (about.is) {
    case 'white-out':
      return `White out ${counted(about.count, 'place')} on the ${pageName(voice.context.book, about.page)}, ${mm(voice, about.mm)} of tape in all.`;
    case 'cut':
      return sayCut(voice, about.cut);
    case 'lay':
      return sayLaying(
        voice,
        refs.flatMap((id) => voice.placement(id) ?? []),
        by,
      );
    case 'write first': {
      const p = voice.placement(about.placement);
      return `On its backing sheet write “${p?.text?.replace(/\n/g, ', ')}”${p?.ink ? ` with ${p.ink}` : ''}: its place is near the ${voice.context.book.binding.kind}.`;
    }
    case 'write': {
      const where = about.day === null ? 'sidebar and strips' : dayName(voice, about.day);
      const pens = about.pens.length ? ` with ${about.pens.join(', ')}` : '';
      return `Write ${where}: ${counted(about.texts, 'text')}${pens}.${sayPaper(voice, about.paper)}`;
    }
  }
}

/** What goes straight onto the paper, and where a ruler finds its place. */
function sayPaper(voice: Voice, ids: readonly string[]): string {
  const said = ids.flatMap((id) => {
    const p = voice.placement(id);
    return p ? [`“${p.text?.replace(/\n/g, ', ')}” ${measuredFrom(voice.context.book, p, voice.unit)}`] : [];
  });
  return said.length ? ` On the paper itself: ${said.join('; ')}.` : '';
}

function sayCut(voice: Voice, cut: Cut): string {
  const piece = pieceIndex(voice.context).get(pieceKey(cut));
  if (!piece) return `Cut ${cut.code}.`;
  const parts = cut.pieces.map((r) => {
    const rows = piece.kind === 'checklist' ? Math.round(r.h / (piece.height / Math.max(1, piece.rows))) : 0;
    const narrower = r.w < piece.width - 0.05 ? `, ${mm(voice, r.w)} wide` : '';
    return rows ? `${counted(rows, 'row')}${narrower}` : `${mm(voice, r.w)} × ${mm(voice, r.h)}`;
  });
  const copy = piece.count > 1 ? `, copy ${cut.copy}` : '';
  const where = isRoll(piece) ? 'roll' : `sheet ${piece.sheet}`;
  return `Cut ${traits(piece.kind).label} ${cut.code}${copy} (${where}): ${parts.join(' and ')}.`;
}

function sayLaying(voice: Voice, unit: readonly Placement[], { laid: under, whiteOut }: DownBy): string {
  const [base, ...over] = unit;
  if (!base) return 'Lay what is not on the spread any more.';
  const { book } = voice.context;
  const day = base.day === null ? sentence(pageName(book, base.page)) : dayName(voice, base.day);
  const where = sayPlace(voice, base, twoEdges(voice.context, base, under, whiteOut));
  const called = (p: Placement, words = ''): string => {
    const piece = voice.pieceOf(p);
    return `${piece ? traits(piece.kind).label : 'piece'} ${p.code}${words ? ` “${words}”` : ''}`;
  };
  const name = called(base, voice.pieceOf(base)?.words);
  if (!over.length) return `${day}: place ${name}, ${where}.`;
  const laid = over.map((p) => called(p)).join(' and ');
  return `${day}: on its backing sheet lay ${laid} on ${name}; move the stack over, ${where}.`;
}

/** What is down before a step, to measure from. */
export function downBefore(
  { steps, placements, whiteOut }: Pick<Bench, 'steps' | 'placements' | 'whiteOut'>,
  n: number,
): DownBy {
  const laid = new Set(steps.filter((s) => s.n < n && (s.do === 'place' || s.do === 'stack')).flatMap((s) => s.refs));
  return { laid: placements.filter((p) => laid.has(p.id)), whiteOut };
}
