import sharp from 'sharp';

/** px of the photo */
const WIDTH = 1500;
const HEIGHT = 1080;

/** A wooden table, drawn: boards, and grain by noise. */
const table = (): string => `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">
<defs><filter id="g"><feTurbulence type="fractalNoise" baseFrequency=".004 .11" numOctaves="3" seed="5"/>
<feColorMatrix values="0 0 0 0 .36  0 0 0 0 .24  0 0 0 0 .14  0 0 0 .5 -.1"/></filter>
<radialGradient id="l" cx=".35" cy=".2" r="1"><stop offset="0" stop-color="#fff6e0" stop-opacity=".5"/><stop offset="1" stop-color="#2a1a0c" stop-opacity=".45"/></radialGradient></defs>
<rect width="100%" height="100%" fill="#a97f56"/><rect width="100%" height="100%" filter="url(#g)"/>
${[270, 540, 810].map((y) => `<rect y="${y}" width="100%" height="3" fill="#5d4027"/>`).join('')}
<rect width="100%" height="100%" fill="url(#l)"/></svg>`;

/** Light from the window and a little dust of the camera's, over all of it. */
const light = (): string => `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">
<defs><linearGradient id="w" x1="0" y1="0" x2="1" y2=".8"><stop offset="0" stop-color="#fffbe8" stop-opacity=".26"/><stop offset=".55" stop-color="#fff" stop-opacity="0"/><stop offset="1" stop-color="#1d2430" stop-opacity=".26"/></linearGradient></defs>
<rect width="100%" height="100%" fill="url(#w)"/></svg>`;

/** A photo of a spread as it would lie on the table: turned a little, in the light of a window. */
export async function photoOfSpread(svg: string): Promise<Uint8Array> {
  const page = await sharp(Buffer.from(svg), { density: 130 })
    .resize({ width: 1150 })
    .flatten({ background: '#fffdf8' })
    .toBuffer();
  const turned = await sharp(page)
    .ensureAlpha()
    .rotate(-2.6, { background: { r: 0, g: 0, b: 0, alpha: 0 } })
    .png()
    .toBuffer();
  const { width = 0, height = 0 } = await sharp(turned).metadata();
  const at = { left: Math.round((WIDTH - width) / 2), top: Math.round((HEIGHT - height) / 2) };
  const shadow = await sharp(turned)
    .linear([0, 0, 0, 0.45], [0, 0, 0, 0])
    .extend({ top: 30, bottom: 30, left: 30, right: 30, background: { r: 0, g: 0, b: 0, alpha: 0 } })
    .blur(12)
    .png()
    .toBuffer();
  const photo = await sharp(Buffer.from(table()))
    .composite([
      { input: shadow, left: at.left - 22, top: at.top - 18 },
      { input: turned, ...at },
      { input: Buffer.from(light()), left: 0, top: 0 },
    ])
    .jpeg({ quality: 88 })
    .toBuffer();
  return new Uint8Array(photo);
}
