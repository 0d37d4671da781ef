/** Millimeters in an inch, exactly. Source: international yard and pound agreement, 1959. */
export const MM_PER_INCH = 25.4;

/** The smallest length, in mm, that anyone can see or cut; smaller differences are noise. */
export const TOLERANCE = 0.05;

/** Inches to millimeters. */
export const fromInches = (inches: number): number => inches * MM_PER_INCH;

/** Millimeters to inches. */
export const toInches = (mm: number): number => mm / MM_PER_INCH;

/** Rounds a length in mm to hundredths, so that files and sums stay clean. */
export const tidy = (mm: number): number => Math.round(mm * 100) / 100 + 0;
