import type { Hex } from '../../../core/color/color';
import { mainColors } from '../../../core/color/main-colors';
import { labPlanes } from '../../../core/scan/lab-planes';

/** px a side: enough for what one sees of it at a glance */
const SIDE = 96;

/** The main colors of a photo. @throws where it is none that this browser can read */
export async function colorsOfPhoto(file: Blob, most: number): Promise<Hex[]> {
  const photo = await createImageBitmap(file);
  const scale = Math.min(1, SIDE / Math.max(photo.width, photo.height));
  const [width, height] = [Math.max(1, Math.round(photo.width * scale)), Math.max(1, Math.round(photo.height * scale))];
  const canvas = new OffscreenCanvas(width, height);
  const drawing = canvas.getContext('2d');
  if (!drawing) throw new Error('this browser draws no pictures');
  drawing.fillStyle = '#fff';
  drawing.fillRect(0, 0, width, height);
  drawing.drawImage(photo, 0, 0, width, height);
  return mainColors(labPlanes(drawing.getImageData(0, 0, width, height)), most);
}
