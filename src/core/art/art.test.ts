import { checkMarkup } from '../../../tests/xml';
import { demoKit, piece } from '../../../tests/fixtures';
import { KIND_NAMES } from '../kit/kinds';
import { drawPiece } from './draw-piece';
import { fittingSize, textWidth } from './lettering';
import { MOTIFS, isPattern } from './motifs/registry';

it.each(['rockpool', 'night-almanac'])('%s pictures at least six scenes and four patterns', (name) => {
  const motifs = [
    ...new Set(
      demoKit(name)
        .pieces.map((p) => p.motif)
        .filter((m) => m in MOTIFS),
    ),
  ];
  expect(motifs.filter((m) => !isPattern(m)).length).toBeGreaterThanOrEqual(6);
  expect(motifs.filter(isPattern).length).toBeGreaterThanOrEqual(4);
});

it('Rockpool is a full kit: six sheets, 160 pieces, 18 kinds', () => {
  const { pieces } = demoKit('rockpool');
  expect(new Set(pieces.map((p) => p.sheet)).size).toBe(6);
  expect(pieces.reduce((n, p) => n + p.count, 0)).toBeGreaterThanOrEqual(160);
  expect(new Set(pieces.map((p) => p.kind)).size).toBeGreaterThanOrEqual(18);
});

it('Night Almanac is a mini kit that lacks a banner, trackers and bottom washi', () => {
  const kinds = new Set(demoKit('night-almanac').pieces.map((p) => p.kind));
  for (const kind of ['banner', 'habit-tracker', 'week-tracker', 'bottom-washi'] as const)
    expect(kinds.has(kind)).toBe(false);
  expect(new Set(demoKit('night-almanac').pieces.map((p) => p.sheet)).size).toBe(3);
});

it.each(KIND_NAMES)('any %s can be drawn, with hostile words and an unknown motif', (kind) => {
  const hostile = piece({ kind, motif: 'constructor', words: '<script>"&\u0001', icon: 'none such', rows: 6 });
  const svg = drawPiece(hostile, 'x');
  expect(() => checkMarkup(`<svg>${svg}</svg>`)).not.toThrow();
  expect(svg).not.toContain('<script');
  expect(svg).toBe(drawPiece({ ...hostile, motif: 'sprig' }, 'x')); // a sprig stands for what nobody knows
});

it('fits lettering into its width', () => {
  expect(textWidth('weekend', 'Pacifico') * fittingSize('weekend', 'Pacifico', 30, 20)).toBeLessThanOrEqual(30.01);
});

it.each(['constructor', '__proto__', 'toString'])('a kit may call its icons and motifs %s', (word) => {
  for (const kind of KIND_NAMES) {
    const svg = drawPiece(piece({ kind, icon: word, motif: word, rows: 4, height: 20 }), 'a');
    checkMarkup(`<svg>${svg}</svg>`);
    expect(svg).not.toMatch(/function|native code|\[object/);
  }
});
