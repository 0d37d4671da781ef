import type { Hex } from '../color/color';

/** Five colors of a kit, under a name to choose them by. */
export interface ColorTheme {
  readonly name: string;
  readonly colors: readonly Hex[];
}

/** Colors to begin with, for a kit that is told and not scanned: each is changed to what lies on the table. */
export const COLOR_THEMES: readonly ColorTheme[] = [
  { name: 'Low tide', colors: ['#2f6f73', '#e8a87c', '#f2dfb8', '#8fb8ae', '#41506b'] },
  { name: 'Plum jam', colors: ['#6b2d4a', '#d98aa6', '#f3d9dc', '#a8b39a', '#c9a15a'] },
  { name: 'Bean row', colors: ['#3f6b3a', '#a9c46c', '#f0e2a2', '#d9774a', '#7a5a3c'] },
  { name: 'First frost', colors: ['#33567e', '#9cc3dd', '#dde8ee', '#b9a7cf', '#7d8794'] },
  { name: 'Paper lantern', colors: ['#c8452f', '#f0a43a', '#f7dfa6', '#3d5a5c', '#e7a3a0'] },
  { name: 'Milk and rose', colors: ['#b9747c', '#e7c4bd', '#f5ece1', '#9a9d86', '#c7a98b'] },
];
