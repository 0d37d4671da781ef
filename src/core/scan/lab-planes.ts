import type { Raster } from './raster';

/** A picture in CIELAB under D65, a plane for each coordinate. */
export interface LabPlanes {
  readonly width: number;
  readonly height: number;
  readonly l: Float32Array;
  readonly a: Float32Array;
  readonly b: Float32Array;
}

/** sRGB to linear light, for each of 256 values. Source: IEC 61966-2-1, from memory; checked against culori. */
const LINEAR = Float32Array.from({ length: 256 }, (_, i) => {
  const v = i / 255;
  return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
});

const STEPS = 4096;
/** The cube root of CIELAB over 0-1.1. Source: CIE 15, from memory. */
const ROOT = Float32Array.from({ length: STEPS + 2 }, (_, i) => {
  const t = (i / STEPS) * 1.1;
  return t > 216 / 24389 ? Math.cbrt(t) : (t * (24389 / 27) + 16) / 116;
});
const root = (t: number): number => {
  const at = (t / 1.1) * STEPS;
  const i = at | 0;
  return (ROOT[i] as number) + ((ROOT[i + 1] as number) - (ROOT[i] as number)) * (at - i);
};

/** A whole picture in CIELAB; by tables, since a sheet has millions of pixels. Within 0.1 of the exact value. */
export function labPlanes({ width, height, data }: Raster): LabPlanes {
  const n = width * height;
  const l = new Float32Array(n);
  const a = new Float32Array(n);
  const b = new Float32Array(n);
  for (let i = 0, p = 0; i < n; i++, p += 4) {
    const r = LINEAR[data[p] as number] as number;
    const g = LINEAR[data[p + 1] as number] as number;
    const bl = LINEAR[data[p + 2] as number] as number;
    const x = root((0.4123908 * r + 0.3575843 * g + 0.1804808 * bl) / 0.95045593);
    const y = root(0.212639 * r + 0.7151687 * g + 0.0721923 * bl);
    const z = root((0.0193308 * r + 0.1191948 * g + 0.9505322 * bl) / 1.08905775);
    l[i] = 116 * y - 16;
    a[i] = 500 * (x - y);
    b[i] = 200 * (y - z);
  }
  return { width, height, l, a, b };
}
