import sharp from 'sharp';

/** Millimeters to px at 96 dpi, by which a drawing is taken (CSS Values 4: 1 in = 96 px). */
const PX_A_MM = 96 / 25.4;
const MOST_DENSITY = 600;

/** A drawing of so many mm as a picture so many px wide, without anything of where it comes from. */
export const pngOf = (svg: string, width: number, mm: number): Promise<Buffer> =>
  sharp(Buffer.from(svg), { density: Math.min(MOST_DENSITY, (72 * width) / (mm * PX_A_MM) + 1) })
    .resize({ width })
    .png({ compressionLevel: 9 })
    .toBuffer();
