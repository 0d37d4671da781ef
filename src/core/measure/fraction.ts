import { tidy, toInches } from './length';

export type Unit = 'mm' | 'in';

/**
 * A length as a ruler reads it: `38.1 mm`, or `1 1/2 in` to the nearest sixteenth.
 * @param mm length in millimeters
 */
export function ruled(mm: number, unit: Unit = 'mm'): string {
  return unit === 'mm' ? `${Math.round(tidy(mm) * 10) / 10} mm` : `${sixteenths(toInches(mm))} in`;
}

function sixteenths(inches: number): string {
  const sign = inches < 0 ? '-' : '';
  const count = Math.round(Math.abs(inches) * 16);
  const whole = Math.floor(count / 16);
  let top = count % 16;
  let bottom = 16;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  if (top === 0) return `${sign}${whole}`;
  return `${sign}${whole ? `${whole} ` : ''}${top}/${bottom}`;
}
