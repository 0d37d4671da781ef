import { expose } from 'comlink';
import type { Raster } from '../core/scan/raster';
import { scanService } from './scan-service';

expose(
  scanService({
    decode: async (file) => {
      // turned as its maker meant it to be seen
      const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
      const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
      const pen = canvas.getContext('2d', { willReadFrequently: true }) as OffscreenCanvasRenderingContext2D;
      pen.fillStyle = '#ffffff';
      pen.fillRect(0, 0, bitmap.width, bitmap.height);
      pen.drawImage(bitmap, 0, 0);
      bitmap.close();
      return pen.getImageData(0, 0, canvas.width, canvas.height);
    },
    encode: async ({ width, height, data }: Raster, kept: boolean) => {
      const canvas = new OffscreenCanvas(width, height);
      const pen = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
      pen.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
      return canvas.convertToBlob(kept ? { type: 'image/png' } : { type: 'image/jpeg', quality: 0.9 });
    },
  }),
);
