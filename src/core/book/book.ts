import type { Unit } from '../measure/fraction';
import type { Rect } from '../measure/rect';

export type RegionKind = 'day' | 'date-header' | 'sidebar' | 'bottom-strip' | 'top-strip' | 'month-flag' | 'free';
export type MarkKind = 'line' | 'box' | 'label' | 'circle';

/** A printed row inside a day column (the printed thirds), mm from the page's top. */
export interface Row {
  readonly y: number;
  readonly h: number;
  readonly label?: string;
}

export interface Region extends Rect {
  readonly id: string;
  readonly kind: RegionKind;
  /** index into `pages` */
  readonly page: number;
  /** 0-6 from the week's first day; days, date headers and month flags have one */
  readonly day?: number;
  readonly rows?: readonly Row[];
}

/** Something printed, with its place: it shows unless it is covered or whited out. */
export interface Mark extends Rect {
  readonly kind: MarkKind;
  readonly page: number;
}

export interface Page {
  readonly width: number;
  readonly height: number;
  readonly bindingSide: 'left' | 'right';
}

/** A paper planner as measured (handbook 2; docs/formats). All lengths in mm. */
export interface Book {
  readonly format: 'hobnail.book/1';
  readonly name: string;
  /** how to show lengths; they are stored in mm all the same */
  readonly unit: Unit;
  readonly weekStart: 'monday' | 'sunday';
  readonly dated: boolean;
  readonly binding: { readonly kind: 'coil' | 'discs' | 'rings' | 'sewn'; readonly width: number };
  readonly pages: readonly Page[];
  readonly regions: readonly Region[];
  readonly marks: readonly Mark[];
}
