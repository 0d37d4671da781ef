import { context, placement } from '../../../tests/fixtures';
import { lockPiece } from './alter';
import { apply } from './change';
import { stickingOf } from './peels';
import { stickDown } from './stick-down';

const c = context();
const p = placement();
const copy = { kit: p.kit, code: p.code, copy: p.copy };
const stuck = () => true;
const loose = () => false;

it('knows what an edit sticks down, and what it peels off (R3)', () => {
  const stick = stickDown(c, [p], ['p1'], true)!;
  const [down] = apply([p], stick);
  expect(down?.locked).toBe(true);
  expect(stickingOf(stick, loose)).toEqual({ down: [copy], freed: [], peeled: [] });
  expect(stickingOf(lockPiece(c, down!), stuck)).toEqual({ down: [], freed: [copy], peeled: [copy] });
});

it('does not take for a peel what was only locked, or ticked by mistake', () => {
  const locked = { ...p, locked: true };
  expect(stickingOf(lockPiece(c, p), loose)).toEqual({ down: [], freed: [], peeled: [] });
  expect(stickingOf(lockPiece(c, locked), loose)).toEqual({ down: [], freed: [], peeled: [] });
  const mistake = stickDown(c, [locked], ['p1'], false)!;
  expect(stickingOf(mistake, stuck)).toEqual({ down: [], freed: [copy], peeled: [] });
  expect(stickDown(c, [p], ['p1'], false)).toBeNull();
});

it('speaks of each sticker once, however many parts of it move', () => {
  const halves = [p, { ...p, id: 'p2' }];
  const stick = stickDown(c, halves, ['p1', 'p2'], true)!;
  expect(stickingOf(stick, loose).down).toEqual([copy]);
});
