import type { KindTraits } from './kind-table';
import { KINDS } from './kind-table';

export { FACES, FINISHES, SHAPES, WRITABLE } from './kind-table';
export type { Faces, Finish, KindTraits, Shape, Writable } from './kind-table';

export type Kind = keyof typeof KINDS;
export const KIND_NAMES = Object.keys(KINDS) as Kind[];
export const traits = (name: Kind): KindTraits => KINDS[name];
/** Kinds that are cut by length. */
export const isStrip = (name: Kind | undefined): boolean => name !== undefined && traits(name).strip === true;
/** How a kind begins its codes: `full-box` is FB, `label` is LA. */
export const shortOf = (kind: Kind): string =>
  kind
    .split('-')
    .map((word) => word.slice(0, kind.includes('-') ? 1 : 2))
    .join('')
    .toUpperCase();
