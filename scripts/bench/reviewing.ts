import { apply } from '../../src/core/edit/change';
import { movePiece } from '../../src/core/edit/move';
import { review, viewOf } from '../../src/core/review/review';
import { demoSpread } from '../../tests/fixtures';
import { say, timed, ms } from './report';
import { fullest } from './weeks';

/** The first of all, as in a browser that does nothing else. */
export function reviewing(): void {
  for (const spread of [demoSpread(), fullest()]) {
    const box = spread.placements.find((p) => p.role === 'box' || (p.role === 'day' && p.layer === 0))!;
    const edit = timed(
      300,
      (i) =>
        review(
          viewOf(
            spread.context,
            apply(
              spread.placements,
              movePiece(spread.context, spread.placements, box.id, {
                page: box.page,
                x: box.x,
                y: box.y - 1 - (i % 5),
                day: box.day,
              })!,
            ),
          ),
        ),
      100,
    );
    say(
      `review after one edit, ${spread.placements.length} placements, a hundred edits before`,
      'under 16 ms at the 95th percentile, 150 placements',
      `median ${ms(edit.median)}, 95th ${ms(edit.p95)}`,
    );
  }
}
