import { alignX } from '../arrange/align';
import { inkFor } from '../arrange/ink';
import { Draft } from '../arrange/draft';
import type { Placement } from '../arrange/spread';
import { footprint, matchDemands, pieceIndex } from '../arrange/spread';
import { TICK_WIDTH, writingRoom } from '../arrange/writing';
import type { Region } from '../book/book';
import { dayColumn, openPaper } from '../book/columns';
import { nameOf } from '../edit/name';
import { movePiece } from '../edit/move';
import { arrangeRest } from '../edit/rearrange';
import { removePiece } from '../edit/remove';
import { stackOf } from '../edit/stack';
import { swapPiece, swapsFor } from '../edit/swap';
import { apply } from '../edit/change';
import { isStrip, traits } from '../kit/kinds';
import { pieceKey } from '../kit/kit';
import { wholeOf } from '../kit/ledger';
import { ruled } from '../measure/fraction';
import { shortened } from '../measure/hand';
import { tidy } from '../measure/length';
import type { Rect } from '../measure/rect';
import { bottom, intersect, right } from '../measure/rect';
import { dayOfMonth, longDay } from '../week/day-names';
import { letIn, letInAs } from './let-in';
import type { Case, Idea, Remedy } from './remedy';
import { asEdit } from './remedy';
import { between } from './replace';
import { unitsOf } from './units';

const MOST_SWAPS = 6;

const involved = ({ placements, finding }: Case): Placement[] => finding.placements.flatMap((id) => placements.find((p) => p.id === id && !p.locked) ?? []);
const pieceOf = ({ context }: Case, p: Placement) => pieceIndex(context).get(pieceKey(p));
const altered = (label: string, p: Placement, to: Partial<Placement>): Remedy[] => asEdit(label, { label, before: [p], after: [{ ...p, ...to }] });

/** Another piece in the stead of one it is about. */
export const swapOne: Idea = (c) =>
  involved(c).slice(-4).reverse().flatMap((p) => swapsFor(c.context, c.placements, p.id).slice(0, MOST_SWAPS).flatMap(({ piece }) => asEdit(`Swap ${nameOf(c.context, p)} for ${piece.code}`, swapPiece(c.context, c.placements, p.id, piece))));

/** Two boxes of one size change places. */
export const exchangeBoxes: Idea = (c) => {
  const boxes = c.placements.filter((p) => p.role === 'box' && !p.locked && pieceOf(c, p)?.kind === 'full-box' && c.placements.filter((q) => q.kit === p.kit && q.code === p.code && q.copy === p.copy).length === 1);
  return involved(c).filter((p) => boxes.includes(p)).flatMap((a) =>
    boxes.filter((b) => b !== a && Math.abs(a.w - b.w) < 0.1 && Math.abs(a.h - b.h) < 0.1).flatMap((b) => {
      const face = ({ kit, code, copy, cut }: Placement) => ({ kit, code, copy, cut });
      const label = `Let ${nameOf(c.context, a)} and ${nameOf(c.context, b)} change places`;
      return asEdit(label, { label, before: [a, b], after: [{ ...a, ...face(b) }, { ...b, ...face(a) }] });
    }));
};

export const turnAround: Idea = (c) => involved(c).slice(-2).flatMap((p) => altered(`Turn ${nameOf(c.context, p)} upside down`, p, { turn: (p.turn + 180) % 360 }));

export const takeOff: Idea = (c) => involved(c).slice().reverse().flatMap((p) => asEdit(`Take ${nameOf(c.context, p)} off`, removePiece(c.context, c.placements, p.id)));

/** The first one it is about comes to lie on all it touches. */
export const layOnTop: Idea = (c) => {
  const [p] = involved(c);
  if (!p) return [];
  const under = c.placements.filter((q) => q !== p && q.page === p.page && intersect(footprint(p), footprint(q)));
  const up = altered(`Lay ${nameOf(c.context, p)} on afterwards`, p, { layer: Math.max(...under.map((q) => q.layer), 0) + 1 });
  return [...up, ...altered(`Lay ${nameOf(c.context, p)} first`, p, { layer: Math.max(0, Math.min(...under.map((q) => q.layer)) - 1) })];
};

/** To the common edge; to the middle between its neighbors. */
export const lineUp: Idea = (c) =>
  involved(c).flatMap((p) => {
    const column = p.day === null ? undefined : dayColumn(c.context.book, p.day);
    if (!column) return [];
    const f = footprint(p);
    const beside = c.placements.filter((q) => q.id !== p.id && q.page === p.page && q.layer === 0 && q.day === p.day && q.items.length > 0);
    const above = Math.max(column.y, ...beside.map((q) => bottom(footprint(q))).filter((y) => y <= f.y + 0.1));
    const below = Math.min(bottom(column), ...beside.map((q) => footprint(q).y).filter((y) => y >= bottom(f) - 0.1));
    const to = (x: number, y: number, label: string): Remedy[] => asEdit(label, movePiece(c.context, c.placements, p.id, { page: p.page, x: tidy(x), y: tidy(y), day: p.day }));
    const x = p.x + alignX(c.context, column, f.w) - f.x;
    return [...to(x, p.y, `Move ${nameOf(c.context, p)} to the common edge`), ...to(p.x, p.y + (above + below - f.y - bottom(f)) / 2, `Move ${nameOf(c.context, p)} to the middle between its neighbors`)];
  });

const homeOf = (c: Case, p: Placement): Region | (Rect & { page: number }) | undefined => {
  if (p.role === 'sidebar') return c.context.book.regions.find((r) => r.kind === 'sidebar' && r.page === p.page);
  const kind = pieceOf(c, p)?.kind;
  const header = kind === 'date-cover' || kind === 'date-dot';
  if (p.day !== null) return c.context.book.regions.find((r) => r.kind === (header ? 'date-header' : 'day') && r.day === p.day);
  return c.context.book.regions.find((r) => r.page === p.page && intersect(r, footprint(p))) ?? { page: p.page, ...openPaper(c.context.book, p.page) };
};

/** Into its place by a move, or by the knife; off what it touches. */
export const fitIn: Idea = (c) =>
  involved(c).flatMap((p) => {
    const home = homeOf(c, p);
    const f = footprint(p);
    if (!home) return [];
    const x = p.x + Math.min(Math.max(f.x, home.x), Math.max(home.x, right(home) - f.w)) - f.x;
    const y = p.y + Math.min(Math.max(f.y, home.y), Math.max(home.y, bottom(home) - f.h)) - f.y;
    const move = (toX: number, toY: number): Remedy[] => asEdit(`Move ${nameOf(c.context, p)} ${ruled(Math.max(Math.abs(toX - p.x), Math.abs(toY - p.y)), c.context.book.unit)}`, movePiece(c.context, c.placements, p.id, { page: home.page, x: tidy(toX), y: tidy(toY), day: p.day }));
    const touching = c.placements.filter((q) => q.id !== p.id && q.page === p.page && q.layer === p.layer && intersect(f, footprint(q)));
    const clear = touching.flatMap((q) => [...move(p.x, bottom(footprint(q)) + c.context.options.gap + p.y - f.y), ...move(p.x, footprint(q).y - c.context.options.gap - f.h + p.y - f.y), ...move(p.x, bottom(footprint(q)) + p.y - f.y)]);
    const inside = intersect(f, home);
    const trimmed = inside && p.turn === 0 && inside.w * inside.h > 0.5 * f.w * f.h && traits(pieceOf(c, p)?.kind ?? 'icon').trim !== 'never' ? trim(c, p, inside) : [];
    return [...move(x, y), ...clear, ...trimmed];
  });

function trim(c: Case, p: Placement, inside: Rect): Remedy[] {
  const old = p.cut ?? wholeOf(pieceOf(c, p) as Parameters<typeof wholeOf>[0]);
  const cut = { x: tidy(old.x + inside.x - p.x), y: tidy(old.y + inside.y - p.y), w: tidy(inside.w), h: tidy(inside.h) };
  const off = ruled(Math.max(p.w - inside.w, p.h - inside.h), c.context.book.unit);
  return altered(`Trim ${off} off ${nameOf(c.context, p)}`, p, { x: tidy(inside.x), y: tidy(inside.y), w: tidy(inside.w), h: tidy(inside.h), cut });
}

/** With the pen that suits. */
export const otherPen: Idea = (c) =>
  involved(c).flatMap((p) => {
    const piece = pieceOf(c, p);
    return piece && p.text ? altered(`Write with ${inkFor(piece)}`, p, { ink: inkFor(piece) }) : [];
  });

/** The text shortened to what its base takes; the right number written. */
export const otherText: Idea = (c) =>
  involved(c).flatMap((p) => {
    const piece = pieceOf(c, p);
    if (!piece) return [];
    const number = p.day === null ? '' : String(dayOfMonth(c.context.week.days[p.day] as string));
    if (piece.kind === 'date-cover') return altered(`Write ${number} on it`, p, { text: number, ink: inkFor(piece) });
    const room = writingRoom({ kind: piece.kind, shape: piece.shape, w: p.w, h: p.h, turn: p.turn });
    const shorter = p.text && piece.kind !== 'checklist' ? shortened(p.text, room.w, room.h, c.context.options.hand) : null;
    return shorter && shorter !== p.text ? altered(`Write “${shorter}”`, p, { text: shorter }) : [];
  });

/** A list cut to its rows; a filler without its shapes; two parts edge to edge; from an offcut. */
export const recutList: Idea = (c) =>
  involved(c).flatMap((p) => {
    const piece = pieceOf(c, p);
    if (piece?.kind !== 'checklist' || !piece.rows) return [];
    const pitch = piece.height / piece.rows;
    const old = p.cut ?? wholeOf(piece);
    const rows = p.items.length;
    const shorter = rows && rows * pitch < p.h - 0.1 ? altered(`Cut it to ${rows} ${rows === 1 ? 'row' : 'rows'}`, p, { h: tidy(rows * pitch), cut: { ...old, h: tidy(rows * pitch) } }) : [];
    const plain = !rows && old.w > TICK_WIDTH * 2 ? altered('Cut its shapes off', p, { x: tidy(p.x + TICK_WIDTH), w: tidy(p.w - TICK_WIDTH), cut: { ...old, x: tidy(old.x + TICK_WIDTH), w: tidy(old.w - TICK_WIDTH) } }) : [];
    const others = c.placements.filter((q) => q.id !== p.id);
    const ledger = Draft.begin(c.context, others).ledger;
    const offcut = ledger.rowsOfOffcuts(piece) >= Math.round(p.h / pitch) ? ledger.takeRows(piece, Math.round(p.h / pitch), p.w) : null;
    const again = offcut && offcut.copy !== p.copy ? altered('Cut it from the offcut', p, { copy: offcut.copy, cut: offcut.cut && { x: tidy(offcut.cut.x), y: tidy(offcut.cut.y), w: tidy(offcut.cut.w), h: tidy(offcut.cut.h) } }) : [];
    const upper = others.find((q) => q.day === p.day && q.kit === p.kit && q.code === p.code && q.y < p.y);
    const joined = upper ? asEdit('Lay the two parts edge to edge', movePiece(c.context, c.placements, p.id, { page: p.page, x: upper.x, y: bottom(upper), day: p.day })) : [];
    return [...shorter, ...plain, ...again, ...joined];
  });

/** Two items change places down their day. */
export const changePlaces: Idea = (c) => {
  const [a, b] = involved(c).sort((p, q) => p.y - q.y);
  if (!a || !b) return [];
  const gap = b.y - bottom(a);
  const [upper, lower] = [stackOf(c.placements, a.id), stackOf(c.placements, b.id)];
  const up = a.y - b.y;
  const down = a.y + b.h + gap - a.y;
  const moved = [...upper.map((p) => ({ ...p, y: tidy(p.y + down) })), ...lower.map((p) => ({ ...p, y: tidy(p.y + up) }))];
  const label = 'Let the two change places';
  return asEdit(label, { label, before: [...upper, ...lower], after: moved });
};

/** To the day its item is on, by the fewest moves. */
export const toItsDay: Idea = (c) =>
  involved(c).flatMap((p) => {
    const demand = c.context.week.demands.find((d) => p.items.includes(d.uid) && d.day !== p.day);
    const removal = removePiece(c.context, c.placements, p.id);
    if (!demand || !removal) return [];
    const without = apply(c.placements, removal);
    const repair = letIn(c.context, without, demand.key);
    return repair ? asEdit(`Let it in on its own day, ${repair.moved} moved for it`, between(c.placements, apply(without, repair.change), '')) : [];
  });

/** What has no place is let in: as the day is, without its pictures, without its box. */
export const letThemIn: Idea = (c) => {
  const open = c.context.week.demands.filter((d) => c.finding.message.includes(`“${d.title.slice(0, 40)}`) || (c.finding.rule === 'D1' && c.placements.some((p) => c.finding.placements.includes(p.id) && p.day === d.day)));
  return open.slice(0, 4).flatMap((d): Remedy[] => {
    const title = `“${d.title.slice(0, 30)}”`;
    const attempt = (without: (p: Placement) => boolean, how: string): Remedy[] => {
      const left = c.placements.filter((p) => p.locked || p.day !== d.day || !without(p));
      if (how && left.length === c.placements.length) return [];
      const repair = letIn(c.context, left, d.key);
      if (!repair) return [];
      return asEdit(`Let ${title} in${how}${repair.moved ? `, moving ${repair.moved}` : ''}`, between(c.placements, apply(left, repair.change), ''));
    };
    return [...attempt(() => false, ''), ...attempt((p) => p.role === 'finish', ' in place of a picture'), ...attempt((p) => p.role === 'box', ' in place of the full box')];
  });
};

/** The day's loose things to do become the rows of one list, with what has no place among them; or it stands on a neighbor day. */
export const otherWaysOut: Idea = (c) => {
  const placed = matchDemands(c.placements, c.context.week.demands);
  const open = c.context.week.demands.filter((d) => !placed.has(d.key) && c.finding.message.includes(`“${d.title.slice(0, 40)}`));
  return open.slice(0, 2).flatMap((d): Remedy[] => {
    const title = `“${d.title.slice(0, 30)}”`;
    const loose = c.context.week.demands.filter((o) => o.day === d.day && o.start === null && ['chore', 'to-do'].includes(o.kind) && placed.has(o.key) && !placed.get(o.key)?.locked && placed.get(o.key)?.items.length === 1);
    const rows = [2, 3, 4].flatMap((n): Remedy[] => {
      const some = loose.slice(0, n);
      if (d.start !== null || some.length < n) return [];
      const gone = new Set(some.flatMap((o) => stackOf(c.placements, placed.get(o.key)?.id ?? '').map((p) => p.id)));
      const left = c.placements.filter((p) => !gone.has(p.id));
      const repair = letInAs(c.context, left, [...some, d].map((o) => ({ ...o, list: 'to do' })));
      return repair ? asEdit(`Make ${title} and ${n} more one list`, between(c.placements, apply(left, repair.change), '')) : [];
    });
    const beside = [d.day + 1, d.day - 1].filter((day) => day >= 0 && day < 7 && d.kind !== 'band').flatMap((day): Remedy[] => {
      const repair = letInAs(c.context, c.placements, [{ ...d, day }]);
      return repair ? asEdit(`Let ${title} in on ${longDay(c.context.week.days[day] as string)} instead${repair.moved ? `, moving ${repair.moved}` : ''}`, repair.change) : [];
    });
    return [...rows, ...beside];
  });
};

/** The day's pieces close up under each other, so that what is free is one place; lower bases in the stead of high ones. */
export const closeUp: Idea = (c) =>
  [0, 1, 2, 3, 4, 5, 6].filter((day) => c.finding.message.startsWith(longDay(c.context.week.days[day] as string))).flatMap((day): Remedy[] => {
    const column = dayColumn(c.context.book, day);
    if (!column) return [];
    let foot = column.y;
    const moves = new Map<string, Placement>();
    for (const unit of unitsOf(c.context, c.placements, column)) {
      const y = unit.fixed ? unit.y : Math.min(unit.y, foot);
      if (unit.y - y > 0.01) for (const p of unit.parts) moves.set(p.id, { ...p, y: tidy(p.y + y - unit.y) });
      foot = y + unit.h + (unit.parts[0]?.role === 'base' ? 1 : c.context.options.gap);
    }
    const label = 'Close the day up';
    const closed = asEdit(label, { label, before: c.placements.filter((p) => moves.has(p.id)), after: [...moves.values()] });
    const lower = c.placements.filter((p) => p.day === day && p.layer === 0 && p.items.length === 1 && !p.locked).flatMap((p) =>
      swapsFor(c.context, c.placements, p.id).filter((s) => s.piece.height < p.h - 3).slice(0, 2).flatMap(({ piece }) => asEdit(`A lower base, ${piece.code}, for ${nameOf(c.context, p)}`, swapPiece(c.context, c.placements, p.id, piece))));
    return [...closed, ...lower];
  });

/** What is open is arranged round all that lies there; first with what it is about taken off. */
export const arrangeOpen: Idea = (c) => {
  const asIs = asEdit('Arrange what is open', arrangeRest(c.context, c.placements));
  const gone = involved(c);
  if (!gone.length) return asIs;
  const left = c.placements.filter((p) => !gone.includes(p));
  const rest = arrangeRest(c.context, left);
  return [...asIs, ...(rest ? asEdit('Take it off and arrange what is open', between(c.placements, apply(left, rest), '')) : [])];
};

/** A strip cut longer, from the same design. */
export const cutLonger: Idea = (c) =>
  involved(c).flatMap((p) => {
    const piece = pieceOf(c, p);
    const home = homeOf(c, p);
    if (!piece || !home || !isStrip(piece.kind)) return [];
    const wanted = tidy(right(home) - p.x);
    const taken = Draft.begin(c.context, c.placements.filter((q) => q.id !== p.id)).ledger.takeLength(piece, wanted, p.h);
    return taken ? altered(`Cut it ${ruled(wanted, c.context.book.unit)} long`, p, { copy: taken.copy, w: wanted, cut: taken.cut && { x: tidy(taken.cut.x), y: tidy(taken.cut.y), w: wanted, h: tidy(p.h) } }) : [];
  });

/** The halves of one box in one line. */
export const bringInLine: Idea = (c) => {
  const [a, b] = involved(c);
  return a && b ? [...altered('Bring the halves in line', b, { y: a.y }), ...altered('Bring the halves on one edge', b, { x: a.x })] : [];
};
