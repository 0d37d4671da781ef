import { context, placement } from '../../../tests/fixtures';
import { copyKey } from '../kit/ledger';
import { lockPiece } from './alter';
import { apply } from './change';
import { peelsOf } from './peels';
import { stickDown } from './stick-down';

const c = context();
const p = placement();

it('counts how often a piece that was stuck down was lifted again (R3)', () => {
  const stick = stickDown(c, [p], ['p1'], true)!;
  const down = apply([p], stick);
  const peel = lockPiece(c, down[0]!);
  const again = stickDown(c, apply(down, peel), ['p1'], true)!;
  expect(down[0]?.locked).toBe(true);
  expect(peelsOf([stick, peel, again, peel])).toEqual({ [copyKey(p)]: 2 });
});

it('does not count what was only locked, or ticked by mistake', () => {
  const lock = lockPiece(c, p);
  const unlock = lockPiece(c, apply([p], lock)[0]!);
  const stick = stickDown(c, [p], ['p1'], true)!;
  const mistake = stickDown(c, apply([p], stick), ['p1'], false)!;
  expect(peelsOf([lock, unlock, stick, mistake, lock, unlock])).toEqual({});
  expect(stickDown(c, [p], ['p1'], false)).toBeNull();
});
