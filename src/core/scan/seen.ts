import type { Backing } from './backing';
import type { Blobs } from './blobs';
import type { Die } from './dies';
import type { LabPlanes } from './lab-planes';
import type { Marks } from './marks';

/** What was seen of a sheet before its stickers are measured. */
export interface Seen {
  readonly planes: LabPlanes;
  readonly backing: Backing;
  readonly marks: Marks;
  readonly blobs: Blobs;
  readonly dies: readonly Die[];
  readonly scale: number;
}

/** As it would be in the best light on the sheet: what a shadow took is given back, and what tinges it taken off. */
export function relit(
  { planes: { l, a, b, width }, backing }: Seen,
  x: number,
  y: number,
): readonly [number, number, number] {
  const [bl, ba, bb] = backing.at(x, y);
  const [light, reds, yellows] = backing.best;
  const gain = (light + 16) / (bl + 16);
  const i = y * width + x;
  const own = ((l[i] as number) + 16) * gain;
  const tinge = own / (light + 16);
  return [
    own - 16,
    (a[i] as number) * gain - tinge * (ba * gain - reds),
    (b[i] as number) * gain - tinge * (bb * gain - yellows),
  ];
}
