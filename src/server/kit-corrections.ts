'use server';

import { BadInput, quoted } from '../core/format/fault';
import { imageOf } from '../core/format/image-of';
import { readKit } from '../core/format/kit-csv';
import { correctionOf, freshCode, isNoChange } from '../core/kit/correction';
import type { Kit, Piece } from '../core/kit/kit';
import { blankPiece } from '../core/kit/blank-piece';
import { shortOf } from '../core/kit/kinds';
import { leftOver } from '../core/kit/left-over';
import { recount } from '../core/kit/recount';
import { splitOff } from '../core/kit/split-off';
import { stockOfKit } from '../core/kit/stock';
import { pieceWithFound, takenOf } from '../db/available';
import type { Database } from '../db/database';
import { editKits } from '../db/kit-edits';
import { stepOfEvent, stepsOfCorrection, stepsToAddKit, stepsToRemoveKit } from '../db/kit-lines';
import { factsOf, findKit, listKits, pieceRow } from '../db/kits';
import { stockEvents, usesOf } from '../db/stock';
import { check } from './dto/check';
import { AddWashiDto, CopyDto, CorrectKitDto, KitNameDto, LeftOverDto, RecountDto, SplitKitDto } from './dto/kits.dto';
import { knownKit } from './known-kit';
import { mustBeAsSeen } from './conflict';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** A kit's lines as they are stored, to be corrected, and what tells later whether they still are so. */
export async function readLines(input: unknown): Promise<Outcome<{ kit: Kit; seen: string }>> {
  return outcome(async () => {
    const kit = await knownKit(await store(), check(KitNameDto, input, 'kit').kit);
    return { kit, seen: imageOf(kit.pieces) };
  });
}

/** Brings a kit to a corrected list of lines, all or nothing; what weeks have of it already stays as it is. */
export async function correctKit(
  input: unknown,
): Promise<Outcome<{ added: number; changed: number; removed: number }>> {
  return inOneStroke(async (db) => {
    const { kit: name, csv, pictures, seen } = check(CorrectKitDto, input, 'kit');
    const before = await knownKit(db, name);
    mustBeAsSeen(seen, before.pieces, () => 'Its list has other lines by now');
    const shown = new Map(pictures.map((p) => [p.code, p.picture]));
    const read = readKit(csv, `${name}.kit.csv`, name);
    const after = { ...read, pieces: read.pieces.map((p) => withPicture(p, shown.get(p.code), before)) };
    const correction = correctionOf(before, after);
    const sums = {
      added: correction.added.length,
      changed: correction.changed.length,
      removed: correction.removed.length,
    };
    if (!isNoChange(correction))
      await editKits(db, { do: 'correct kit', kit: name, ...sums }, await stepsOfCorrection(db, name, correction));
    return sums;
  });
}

/** Brings the stock of some designs to what was counted. */
export async function recountKit(input: unknown): Promise<Outcome<{ changes: number }>> {
  return inOneStroke(async (db) => {
    const { kit: name, counted } = check(RecountDto, input, 'count');
    const kit = await knownKit(db, name);
    mustBeLines(kit, counted);
    const events = recount(await stockOf(db, kit), counted);
    if (events.length)
      await editKits(db, { do: 'recount', kit: name, stickers: events.length }, events.map(stepOfEvent));
    return { changes: events.length };
  });
}

/** Moves whole stickers of a kit to a stash, which is made where there is none of that name. */
export async function splitKit(input: unknown): Promise<Outcome<{ into: string; stickers: number }>> {
  return inOneStroke(async (db) => {
    const { kit: name, into: told, shares } = check(SplitKitDto, input, 'stash');
    const into = told.trim();
    const kit = await knownKit(db, name);
    const other = await findKit(db, into);
    const role = (await listKits(db)).find((k) => k.id === into)?.role;
    if (into === name || role === 'kit')
      throw new BadInput([{ file: 'stash', where: 'name', found: quoted(into), expected: 'a new name, or a stash' }]);
    const { pieces, events, lacking } = splitOff(
      await stockOf(db, kit),
      shares,
      into,
      other?.pieces.map((p) => p.code) ?? [],
    );
    if (lacking.length)
      throw new BadInput(
        lacking.map(({ code, count, whole }) => ({
          file: 'stash',
          where: code,
          found: whole === null ? 'no such line' : `${whole} whole`,
          expected: whole === null ? `a line of ${name}` : `${count} to go`,
        })),
      );
    const stickers = shares.reduce((n, s) => n + s.count, 0);
    await editKits(db, { do: 'split off', kit: name, into, stickers }, [
      ...(other
        ? pieces.map((p, i) => ({
            table: 'piece' as const,
            key: [into, p.code],
            row: pieceRow(p, other.pieces.length + i),
          }))
        : stepsToAddKit({ name: into, pieces }, 'stash')),
      ...events.map(stepOfEvent),
    ]);
    return { into, stickers };
  });
}

/** The same kit once more, whole: it was bought again. */
export async function addAnotherCopy(input: unknown): Promise<Outcome<{ name: string }>> {
  return inOneStroke(async (db) => {
    const kit = await knownKit(db, check(KitNameDto, input, 'kit').kit);
    const rows = await listKits(db);
    const [own] = await factsOf(db, [kit.name]);
    const names = new Set(rows.map((r) => r.id));
    let nth = 2;
    while (names.has(`${kit.name}-${nth}`)) nth++;
    const name = `${kit.name}-${nth}`;
    const facts = {
      ...own?.facts,
      retired: false,
      keptFor: null,
      title: own?.facts.title && `${own.facts.title} ${nth}`,
    };
    await editKits(
      db,
      { do: 'another copy', kit: kit.name, as: name },
      stepsToAddKit({ name, pieces: kit.pieces }, own?.role ?? 'kit', facts),
    );
    return { name };
  });
}

/** Takes a kit out that no week is laid out with and of which nothing lies on a spread. */
export async function removeKit(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    const kit = await knownKit(db, check(KitNameDto, input, 'kit').kit);
    await editKits(db, { do: 'remove kit', kit: kit.name }, await stepsToRemoveKit(db, kit));
    return null;
  });
}

/** Adds a roll of washi, or what is left of one, as a line of its own. */
export async function addWashi(input: unknown): Promise<Outcome<{ code: string }>> {
  return inOneStroke(async (db) => {
    const { kit: name, width, length, color } = check(AddWashiDto, input, 'washi');
    const kit = await knownKit(db, name);
    const codes = kit.pieces.map((p) => p.code);
    const code = freshCode(codes, kit.pieces.find((p) => p.kind === 'washi')?.code ?? shortOf('washi'));
    const sheet = Math.max(1, ...kit.pieces.map((p) => p.sheet));
    const piece = blankPiece('washi', { kit: name, code, width: length, height: width, sheet, color, accent: color });
    await editKits(db, { do: 'add washi', code, mm: length }, [
      { table: 'piece', key: [name, code], row: pieceRow(piece, codes.length) },
    ]);
    return { code };
  });
}

/** Notes how much of a strip or roll is left, as it was measured. */
export async function noteLeftOver(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    const { kit: name, code, copy, left } = check(LeftOverDto, input, 'strip');
    await knownKit(db, name);
    const piece = await pieceWithFound(db, name, code);
    const event = piece && copy <= piece.count ? leftOver(piece, copy, await takenOf(db, name, code), left) : null;
    if (!event)
      throw new BadInput([
        {
          file: 'strip',
          where: `${code}, copy ${copy}`,
          found: `${left} mm`,
          expected: piece ? 'less than is known to be left; more would be a new line' : `a line of ${name}`,
        },
      ]);
    await editKits(db, { do: 'left over', code, mm: left }, [stepOfEvent(event)]);
    return null;
  });
}

/** Lets a sticker that was kept for later be used again. */
export async function takeUpAgain(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (db) => {
    const { kit, code, copy } = check(CopyDto, input, 'sticker');
    const kept = await db
      .selectFrom('stock_event')
      .select('seq')
      .where((e) => e.and({ what: 'kept', kit_id: kit, code, copy }))
      .executeTakeFirst();
    if (!kept)
      throw new BadInput([{ file: 'sticker', where: code, found: `copy ${copy}`, expected: 'a copy kept for later' }]);
    await editKits(db, { do: 'use again', code }, [{ table: 'stock_event', key: kept.seq, row: null }]);
    return null;
  });
}

const stockOf = async (db: Database, kit: Kit) =>
  stockOfKit(kit, await usesOf(db, kit.name), await stockEvents(db, kit.name));

/** A line with a picture; where the kit has that already, what is known of it goes along. */
function withPicture(line: Piece, picture: string | undefined, before: Kit): Piece {
  if (picture === undefined) return line;
  const { width, height } = line;
  const known = before.pieces.find((p) => p.picture === picture && p.width === width && p.height === height);
  return {
    ...line,
    picture,
    ...(known?.clear ? { clear: known.clear } : {}),
    ...(known?.ground ? { ground: known.ground } : {}),
  };
}

function mustBeLines(kit: Kit, told: readonly { readonly code: string }[]): void {
  const codes = new Set(kit.pieces.map((p) => p.code));
  const strange = told.filter((t) => !codes.has(t.code));
  if (strange.length)
    throw new BadInput(
      strange.map((s) => ({ file: 'kit', where: 'code', found: quoted(s.code), expected: `a line of ${kit.name}` })),
    );
}
