import { base } from './base';
import { beside } from './beside';
import { halved } from './halved';
import { listRows } from './list-rows';
import { open } from './open';
import { paper } from './paper';
import type { Rung } from './rung';
import { sharedBase } from './shared-base';
import { strip } from './strip';
import { stripped } from './stripped';
import { underScript } from './under-script';

/** Every way to carry an item, from the richest to bare ink. One line a rung. */
export const LADDER: readonly Rung[] = [
  base,
  listRows,
  sharedBase,
  halved,
  strip,
  stripped,
  beside,
  underScript,
  paper,
  open,
];
