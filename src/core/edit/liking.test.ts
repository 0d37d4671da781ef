import { demand, demoContext, demoSpread } from '../../../tests/fixtures';
import { arrange } from '../arrange/arrange';
import { pieceKey } from '../kit/kit';
import { meaningsOf } from '../week/meaning';
import { withTaughtWords } from '../week/taught';
import { movePiece } from './move';
import { removePiece } from './remove';
import { tasteOf } from './liking';
import { swapPiece, swapsFor } from './swap';

const { context: c, placements } = demoSpread();
const box = placements.find((p) => p.role === 'box')!;

it('a swap says what is liked and what is not, a removal or a move nothing', () => {
  const other = swapsFor(c, placements, box.id)[0]!.piece;
  expect(tasteOf(c, swapPiece(c, placements, box.id, other)!)).toEqual([
    { kit: box.kit, code: box.code, by: -1 },
    { kit: other.kit, code: other.code, by: 1 },
  ]);
  expect(tasteOf(c, removePiece(c, placements, box.id)!)).toEqual([]);
  expect(tasteOf(c, movePiece(c, placements, box.id, { ...box, y: box.y + 3 })!)).toEqual([]);
  const strip = placements.find((p) => p.code.startsWith('BW'))!;
  expect(tasteOf(c, removePiece(c, placements, strip.id)!)).toEqual([]);
});

it('what is liked comes sooner, what is not goes, in the next arranging', () => {
  const boxes = (likes: Record<string, number>) =>
    arrange(demoContext({ likes }))
      .filter((p) => p.role === 'box')
      .map((p) => p.code);
  const usual = boxes({});
  const missing = c.kit.pieces.find((p) => p.kind === 'full-box' && !usual.includes(p.code))!;
  expect(boxes({ [pieceKey(missing)]: 5 })).toContain(missing.code);
  expect(boxes({ [`rockpool/${usual[0]}`]: -5 })).not.toContain(usual[0]);
});

it('a taught word gives its meaning before all others', () => {
  const [taught, plain] = withTaughtWords(
    [demand({ title: 'pick Juniper up' }), demand({ title: 'junipers' })],
    [{ word: 'Juniper', means: 'dog' }],
  );
  expect(meaningsOf(taught!.title, taught!.categories)[0]).toBe('dog');
  expect(plain!.categories).toEqual([]);
});
