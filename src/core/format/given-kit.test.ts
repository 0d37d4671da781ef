import { demoKit, kitOf, piece } from '../../../tests/fixtures';
import { BadInput, faultLine } from './fault';
import { readKit } from './kit-csv';
import { readGivenKit, writeGivenKit } from './given-kit';

const PICTURE = 'a'.repeat(64);
const CARD = '{"format":"hobnail.kit/1","name":"Harbor mist"}';
const HEAD = 'code,kind,count,width_mm,height_mm,picture,clear\n';
const any = () => true;

const faultsOf = (read: () => unknown): string => {
  try {
    read();
  } catch (error) {
    if (error instanceof BadInput) return error.faults.map(faultLine).join('\n');
  }
  return 'it was accepted';
};
const refusalOf = (list: string, card = CARD, isThere = any) => faultsOf(() => readGivenKit(list, card, isThere));

it('a kit that is given away is read as it was written, with its pictures, its free parts and the note', () => {
  const clear = { x: 2, y: 30.5, w: 30, h: 12 };
  const shown = piece({ kind: 'full-box', code: 'FB-1', height: 48, picture: PICTURE, clear });
  const kit = { ...kitOf(shown, piece({ kind: 'icon', code: 'IC-1' })), title: 'Mist over the pier' };
  const { list, card } = writeGivenKit({ kit, note: 'for the choir' });
  const back = readGivenKit(list, card, (name) => name === `${PICTURE}.webp`);
  expect(back.note).toBe('for the choir');
  expect(back.kit.name).toBe('Mist over the pier');
  const named = (p: (typeof kit.pieces)[number]) => ({
    ...p,
    kit: back.kit.name,
    ...(p.picture ? { picture: `${p.picture}.webp` } : {}),
  });
  expect(back.kit.pieces).toEqual(kit.pieces.map(named));
  // the list alone is a kit file as any other
  expect(readKit(list, 'kit.csv', 'test').pieces[0]).toEqual(piece({ kind: 'full-box', code: 'FB-1', height: 48 }));
  expect(JSON.parse(card)).toMatchObject({ format: 'hobnail.kit/1', sheets: 1, colors: expect.any(Array) });
});

it('says nothing of a note that there is none of, and gives a whole demo kit away', () => {
  const kit = demoKit('rockpool');
  const { list, card } = writeGivenKit({ kit, note: '' });
  expect(card).not.toContain('note');
  expect(readGivenKit(list, card, any).kit.pieces).toHaveLength(kit.pieces.length);
});

it('is refused by file, line and property', () => {
  const line = 'FB-1,full-box,2,38,48';
  expect(refusalOf(`${HEAD}${line},,\n`)).toBe('it was accepted');
  expect(refusalOf(`${HEAD}${line},x.webp,\n`, CARD, () => false)).toContain(
    'kit.csv, line 2, picture: found "x.webp"',
  );
  for (const clear of ['1 2 3', '1 2 3 4 5', '-1 2 3 4', '0 0 0 4', '10 2 28.2 4', '1 20 3 28.2', 'a b c d'])
    expect([clear, refusalOf(`${HEAD}${line},,${clear}\n`)]).toEqual([
      clear,
      expect.stringContaining(`line 2, clear: found "${clear}", expected x y w h in mm, a part of its 38 × 48`),
    ]);
  expect(refusalOf(`${HEAD}${line},,0 0 38 48\n`)).toBe('it was accepted');
  expect(refusalOf(`${HEAD}${line},,\n`, '{"format":"hobnail.kit/2","name":"x"}')).toContain('kit.json, format');
  expect(refusalOf(`${HEAD}${line},,\n`, '{"format":"hobnail.kit/1"}')).toContain('kit.json, name: found nothing');
  expect(refusalOf(`${HEAD}${line},,\n`, '{')).toContain('kit.json, line 1');
  const lines = (n: number) => Array.from({ length: n }, (_, i) => `F${i},full-box,2,38,48,,`).join('\n');
  expect(refusalOf(HEAD + lines(4000))).toBe('it was accepted');
  expect(refusalOf(HEAD + lines(4001))).toContain('4001 designs, expected at most 4000');
});
