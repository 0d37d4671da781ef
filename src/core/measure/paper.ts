/**
 * Sheet sizes in mm, upright. Sources: ISO 216 for A and B sizes, ISO/IEC 7810 ID-1 for the card; Letter is 8.5 x 11
 * in.
 */
export const PAPER = {
  A4: { width: 210, height: 297 },
  A5: { width: 148, height: 210 },
  B6: { width: 125, height: 176 },
  Letter: { width: 215.9, height: 279.4 },
  card: { width: 85.6, height: 53.98 },
} as const;
