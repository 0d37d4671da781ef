import type { Kit, Piece } from './kit';
import { pieceKey } from './kit';

const keys = new WeakMap<Kit, ReadonlySet<string>>();

/** Whether a sticker is of a kit: by the kit's name, or because it was gathered into it. */
export function isOf(kit: Kit, sticker: Pick<Piece, 'kit' | 'code'>): boolean {
  if (!kit.gathered) return sticker.kit === kit.name;
  const known = keys.get(kit) ?? new Set(kit.pieces.map(pieceKey));
  keys.set(kit, known);
  return known.has(pieceKey(sticker));
}

/**
 * The kits as they lie on the table: a week's own, the stash; where the week's own was gathered, those whose sheets
 * its stickers lie on.
 */
export function tableKits({ kit, stash }: { readonly kit: Kit; readonly stash: readonly Kit[] }): readonly Kit[] {
  if (!kit.gathered) return [kit, ...stash];
  const names = [...new Set([...kit.pieces.map((p) => p.kit), ...stash.map((k) => k.name)])];
  const all = [kit, ...stash].flatMap((k) => k.pieces);
  return names.map((name) => ({ name, pieces: all.filter((p) => p.kit === name) }));
}
