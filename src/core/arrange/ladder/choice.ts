import type { Rect } from '../../measure/rect';
import type { Draft } from '../../spread/draft';
import type { Reserved } from '../days/reserved';
import type { Uses } from '../exact/shared-day';

/** Where something is laid: in a day's column, its top at `y` mm down the page. */
export interface At {
  readonly page: number;
  readonly day: number;
  readonly column: Rect;
  readonly y: number;
}

/** One way to carry an item, or several that stand together. */
export interface Choice {
  /** the rung of the ladder that it is */
  readonly rung: string;
  /** mm of column */
  readonly height: number;
  /** lower is better; what suits an item best costs about nothing */
  readonly cost: number;
  /** what it takes of what the week shares */
  readonly uses: Uses | null;
  /** stands close under another such one where littles are stacked */
  readonly stacks?: boolean;
  /** Lays it; false when what it wanted is not there any more. */
  readonly lay: (draft: Draft, at: At, reserved: Reserved) => boolean;
}
