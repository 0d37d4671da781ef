import { context, found, kitOf, piece, placement } from '../../../tests/fixtures';

const box = (code: string, color: string, motif: string) =>
  piece({ code, kind: 'full-box', height: 48.3, color, motif });
const c = context({
  kit: kitOf(
    box('A', '#1f6f78', 'crab'),
    box('B', '#237079', 'owl'),
    box('C', '#e8836b', 'crab'),
    box('D', '#f2e3c4', 'moth'),
  ),
});
const on = (code: string, day: number, y = 60) =>
  placement({ id: `p${day}`, code, day, x: 46.1 + day * 40.1, h: 48.3, role: 'box', y });

it('is silent on neighbors that differ', () => expect(found('C3', c, [on('A', 0), on('D', 1)])).toEqual([]));
it('speaks of the same motif side by side, whatever the color', () =>
  expect(found('C3', c, [on('A', 0), on('C', 1, 130)])).toMatchObject([
    { severity: 'fix', message: 'Monday and Tuesday have the same crab side by side.' },
  ]));
it('speaks of one color, with its difference', () =>
  expect(found('C3', c, [on('A', 0), on('B', 1)])[0]?.message).toMatch(
    /nearly one color side by side: a difference of \d/,
  ));
it('does not mind them a day apart', () => expect(found('C3', c, [on('A', 0), on('C', 2)])).toEqual([]));
