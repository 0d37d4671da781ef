import type { Kind } from '../../core/kit/kinds';

/** The kinds that have a key of their own: the number is their place here, from 1. */
export const USUAL_KINDS: readonly Kind[] = [
  'full-box',
  'half-box',
  'quarter-box',
  'header',
  'checklist',
  'label',
  'flag',
  'icon',
  'deco',
];
