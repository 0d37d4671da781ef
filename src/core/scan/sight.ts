import type { Blobs } from './blobs';
import type { LabPlanes } from './lab-planes';
import type { Seams } from './seams';

/** What a block of stickers is looked at with. */
export interface Sight {
  readonly blobs: Blobs;
  readonly planes: LabPlanes;
  readonly seams: Seams;
  /** pixels a millimeter */
  readonly scale: number;
}
