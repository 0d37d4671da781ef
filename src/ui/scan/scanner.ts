import { proxy, wrap } from 'comlink';
import type { Quad } from '../../core/scan/homography';
import type { ReadSheet } from '../../core/scan/found';
import type { ScanStep } from '../../core/scan/read-sheet';
import type { Rect } from '../../core/measure/rect';
import type { Shape } from '../../core/kit/kinds';
import type { Opened, ScanService } from '../../workers/scan-service';

/** The scanning worker as the screen asks it. */
export interface Scanner {
  open(file: File): Promise<Opened>;
  read(
    id: number,
    corners: Quad,
    width: number,
    height: number,
    onStep: (step: ScanStep) => void,
  ): Promise<{ sheet: ReadSheet; picture: Blob }>;
  rescale(id: number, factor: number): Promise<void>;
  cut(id: number, pieces: readonly (Rect & { readonly shape: Shape })[]): Promise<Blob[] | null>;
  drop(id: number): Promise<void>;
  end(): void;
}

/** Starts the worker; it lives as long as the screen. */
export function startScanner(): Scanner {
  const worker = new Worker(new URL('../../workers/scan.worker.ts', import.meta.url), { type: 'module' });
  const service = wrap<ScanService>(worker);
  return {
    open: (file) => service.open(file, file.name),
    read: (id, corners, width, height, onStep) => service.read(id, corners, width, height, proxy(onStep)),
    rescale: (id, factor) => service.rescale(id, factor),
    cut: (id, pieces) => service.cut(id, pieces),
    drop: (id) => service.drop(id),
    end: () => worker.terminate(),
  };
}
