import { context, kitOf, piece, placement } from '../../../tests/fixtures';
import { textWidth } from '../art/lettering';
import { handSvg } from './spread-svg';
import { TICK_WIDTH } from '../spread/writing';
import { spreadSvg } from './spread-svg';
import { writtenOn } from './written';

const c = context({
  kit: kitOf(
    piece(),
    piece({ code: 'L', kind: 'checklist', height: 48, rows: 6 }),
    piece({ code: 'C', kind: 'date-cover' }),
    piece({ code: 'I', kind: 'icon', width: 9, height: 9 }),
  ),
});

it('writes a list on its rows, one under another', () => {
  const written = writtenOn(c, placement({ code: 'L', h: 24, text: 'oats\ngreens\nsoap' }), [])!;
  expect(written.lines.map((l) => l.text)).toEqual(['oats', 'greens', 'soap']);
  expect(written.lines.map((l, i) => l.y - i * 8)).toEqual([5.44, expect.closeTo(5.44), expect.closeTo(5.44)]);
  expect(written.lines.every((l) => l.x > 5)).toBe(true);
});

it('strikes the box of a row that goes on with the item above', () => {
  const laid = placement({ code: 'L', h: 24, text: 'oats\nsoap for the\n  greyhounds' });
  expect(writtenOn(c, laid, [])?.strikes).toEqual([{ x: 1, y: 20, w: TICK_WIDTH - 2 }]);
  expect(spreadSvg(c, [laid], [])).toContain('<rect x="1" y="19.8"');
});

it('writes beside an icon, never under it', () => {
  const base = placement({ text: '4:30p vet, Juniper' });
  const icon = placement({ id: 'p2', code: 'I', x: 47.3, y: 61.5, w: 9, h: 9, layer: 1 });
  const lines = writtenOn(c, base, [base, icon])!.lines;
  expect(lines.map((l) => l.text)).toEqual(['4:30p vet,', 'Juniper']);
  expect(lines.every((l) => l.x >= 10.2 && l.y <= 12)).toBe(true);
});

it('squeezes letters that would run out of the sticker', () => {
  const wide = writtenOn(c, placement({ text: 'WWWWWWWWWWWWWWW' }), [])!;
  const [line] = wide.lines;
  expect(textWidth(line!.text, 'Caveat') * wide.size).toBeGreaterThan(line!.squeeze!);
  expect(line!.x + line!.squeeze!).toBeLessThanOrEqual(38.1);
});

it('writes a date large and in the middle', () =>
  expect(writtenOn(c, placement({ code: 'C', text: '14' }), [])).toMatchObject({
    size: 6.5,
    lines: [{ anchor: 'middle', x: 19.05 }],
  }));

it('writes nothing where there is nothing to write, and never markup', () => {
  expect(writtenOn(c, placement(), [])).toBeNull();
  expect(handSvg(c, placement(), [])).toBe('');
  expect(handSvg(c, placement({ text: '<b>&' }), [])).not.toContain('<b>');
  expect(handSvg(c, placement({ text: 'x', ink: 'white gel pen' }), [])).toContain('fill="#ffffff"');
});
