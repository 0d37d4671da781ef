import sharp from 'sharp';
import { demoKit, kitOf, piece } from '../../../tests/fixtures';
import { readPrint } from '../../../tests/read-print';
import { printParts } from '../../server/print-parts';
import { kitCardPdf } from './kit-card-pdf';

const parts = printParts();

it('shows every design of a kit, none larger than it is, on pages of the wanted size; the same bytes each time', async () => {
  const kit = demoKit('rockpool');
  const made = await kitCardPdf(kit, parts, 'A4');
  expect(await kitCardPdf(kit, parts, 'A4')).toEqual(made);
  const pages = readPrint(made);
  expect(pages[0]).toMatchObject({ width: expect.closeTo(210, 1), height: expect.closeTo(297, 1) });
  expect(readPrint(await kitCardPdf(kit, parts, 'Letter'))[0]!.width).toBeCloseTo(215.9, 0);
  // one form is the row of swatches
  expect(pages.flatMap((p) => p.forms)).toHaveLength(kit.pieces.length + 1);
  const texts = pages.map((p) => p.text).join(' ');
  for (const { code } of kit.pieces) expect(texts).toContain(code);
  expect(texts).toContain('287 stickers of');
});

it('shows a scanned design by its picture, and one whose picture is gone by its colors', async () => {
  const kit = kitOf(piece({ kind: 'full-box', code: 'FB-1', picture: 'a'.repeat(64) }));
  const png = await sharp({ create: { width: 300, height: 380, channels: 4, background: '#c2543d' } })
    .png()
    .toBuffer();
  const shown = await kitCardPdf(kit, { ...parts, pictureOf: async () => png }, 'A4');
  const gone = await kitCardPdf(kit, { ...parts, pictureOf: async () => null }, 'A4');
  expect(Buffer.from(shown).includes('/Subtype /Image')).toBe(true);
  expect(Buffer.from(gone).includes('/Subtype /Image')).toBe(false);
});
