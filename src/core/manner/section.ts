/** Sections that a sidebar may have (handbook 4 and 7). */
export const SECTIONS = ['quote', 'habits', 'dinners', 'hours', 'spending', 'parcels', 'posts', 'next-week'] as const;
export type Section = (typeof SECTIONS)[number];
