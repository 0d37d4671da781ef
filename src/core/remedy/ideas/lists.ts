import { Draft } from '../../spread/draft';
import { rowsTaken } from '../../spread/list-text';
import { TICK_WIDTH } from '../../spread/writing';
import { movePiece } from '../../edit/move';
import { wholeOf } from '../../kit/ledger';
import { tidy } from '../../measure/length';
import { bottom } from '../../measure/rect';
import { asEdit } from '../remedy';
import type { Idea } from '../remedy';
import { altered, involved, pieceOf } from './case';

/** A list cut to its rows; a filler without its shapes; two parts edge to edge; from an offcut. */
export const recutList: Idea = (c) =>
  involved(c).flatMap((p) => {
    const piece = pieceOf(c, p);
    if (piece?.kind !== 'checklist' || !piece.rows) return [];
    const pitch = piece.height / piece.rows;
    const old = p.cut ?? wholeOf(piece);
    const rows = p.items.length && rowsTaken(p);
    const shorter =
      rows && rows * pitch < p.h - 0.1
        ? altered({ do: 'cut to rows', rows }, p, {
            h: tidy(rows * pitch),
            cut: { ...old, h: tidy(rows * pitch) },
          })
        : [];
    const plain =
      !rows && old.w > TICK_WIDTH * 2
        ? altered({ do: 'cut', how: 'without shapes' }, p, {
            x: tidy(p.x + TICK_WIDTH),
            w: tidy(p.w - TICK_WIDTH),
            cut: { ...old, x: tidy(old.x + TICK_WIDTH), w: tidy(old.w - TICK_WIDTH) },
          })
        : [];
    const others = c.placements.filter((q) => q.id !== p.id);
    const ledger = Draft.begin(c.context, others).ledger;
    const offcut =
      ledger.rowsOfOffcuts(piece) >= Math.round(p.h / pitch)
        ? ledger.takeRows(piece, Math.round(p.h / pitch), p.w)
        : null;
    const again =
      offcut && offcut.copy !== p.copy
        ? altered({ do: 'cut', how: 'from the offcut' }, p, {
            copy: offcut.copy,
            cut: offcut.cut && {
              x: tidy(offcut.cut.x),
              y: tidy(offcut.cut.y),
              w: tidy(offcut.cut.w),
              h: tidy(offcut.cut.h),
            },
          })
        : [];
    const upper = others.find((q) => q.day === p.day && q.kit === p.kit && q.code === p.code && q.y < p.y);
    const joined = upper
      ? asEdit(
          { do: 'join lists' },
          movePiece(c.context, c.placements, p.id, { page: p.page, x: upper.x, y: bottom(upper), day: p.day }),
        )
      : [];
    return [...shorter, ...plain, ...again, ...joined];
  });
