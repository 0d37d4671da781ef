import type { Section } from '../section';
import { SECTIONS } from '../section';
import { option } from './option';

/** The sections of the sidebar, from its top on. */
export const sidebar = option<readonly Section[]>()(
  'sidebar',
  { schema: { type: 'array', uniqueItems: true, items: { enum: SECTIONS } }, choices: [] },
  ['quote', 'habits', 'dinners', 'next-week'],
);
