import { NO_PAST, stepped, withStep } from './past';

it('goes back and forth over what was, and forgets what was taken back once something else is done', () => {
  const two = withStep(withStep<string>(NO_PAST, 'a'), 'b');
  const back = stepped(two, 'c', 'undo');
  expect(back).toEqual({ now: 'b', past: { back: ['a'], ahead: ['c'] } });
  expect(stepped(back!.past, 'b', 'redo')).toEqual({ now: 'c', past: { back: ['a', 'b'], ahead: [] } });
  expect(withStep(back!.past, 'b').ahead).toEqual([]);
  expect(stepped<string>(NO_PAST, 'a', 'undo')).toBeNull();
  expect(stepped(two, 'c', 'redo')).toBeNull();
});

it('keeps the last hundred steps', () => {
  const many = Array.from({ length: 101 }, (_, i) => i).reduce<ReturnType<typeof withStep<number>>>(withStep, NO_PAST);
  expect(many.back).toHaveLength(100);
  expect(many.back[0]).toBe(1);
});
