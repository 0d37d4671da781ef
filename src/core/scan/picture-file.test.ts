import sharp from 'sharp';
import { pictureFile } from './picture-file';

const picture = (width = 400, height = 300) =>
  sharp({ create: { width, height, channels: 3, background: '#c2543d' } }).withMetadata({ density: 300 });
const read = async (bytes: Buffer | Promise<Buffer>) => pictureFile(new Uint8Array(await bytes), 'sheet');

describe('a picture file', () => {
  it('tells its type and its resolution', async () => {
    expect(await read(picture().png().toBuffer())).toEqual({ type: 'image/png', dpi: 300 });
    expect(await read(picture().jpeg().toBuffer())).toEqual({ type: 'image/jpeg', dpi: 300 });
    expect(await read(picture().webp().toBuffer())).toMatchObject({ type: 'image/webp' });
  });

  it('is not believed when it says what screens say', async () => {
    const bytes = await picture().withMetadata({ density: 72 }).jpeg().toBuffer();
    expect((await read(bytes)).dpi).toBeNull();
  });

  it('that breaks off is refused, whatever its type', async () => {
    for (const bytes of [
      await picture().png().toBuffer(),
      await picture().jpeg().toBuffer(),
      await picture().webp().toBuffer(),
    ])
      await expect(read(bytes.subarray(0, bytes.length - 20))).rejects.toThrow(/breaks off/);
  });

  it('in printing colors, too large, too small or moving is refused in words', async () => {
    const jpeg = await picture().jpeg().toBuffer();
    jpeg[jpeg.indexOf(Buffer.from([0xff, 0xc0])) + 9] = 4; // components in its frame header
    await expect(read(jpeg)).rejects.toThrow(/CMYK/);
    await expect(read(picture(20_000, 120).png().toBuffer())).rejects.toThrow(/20000 × 120 pixels/);
    await expect(read(picture(90, 90).png().toBuffer())).rejects.toThrow(/90 × 90 pixels/);
    const png = await picture().png().toBuffer();
    const moving = Buffer.concat([png.subarray(0, 33), chunk('acTL', 8), png.subarray(33)]);
    await expect(read(moving)).rejects.toThrow(/moving/);
  });

  it.each([
    ['%PDF-1.7', 'a PDF'],
    ['GIF89a', 'a GIF'],
    ['<svg xmlns="x"/>', 'a drawing'],
    ['', 'something else'],
  ])('that is %j is named', async (text, found) => {
    await expect(read(Buffer.from(text))).rejects.toThrow(found);
  });
});

/** A PNG chunk without a true checksum: it is not looked at. */
function chunk(name: string, length: number): Buffer {
  const bytes = Buffer.alloc(12 + length);
  bytes.writeUInt32BE(length);
  bytes.write(name, 4);
  return bytes;
}
