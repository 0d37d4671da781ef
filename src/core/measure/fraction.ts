import { MM_PER_INCH, tidy, toInches } from './length';

export type Unit = 'mm' | 'in';

/**
 * A length as a ruler reads it: `38.1 mm`, or `1 1/2 in` to the nearest sixteenth.
 * @param mm length in millimeters
 */
export function ruled(mm: number, unit: Unit = 'mm'): string {
  return unit === 'mm' ? `${Math.round(tidy(mm) * 10) / 10} mm` : `${sixteenths(toInches(mm))} in`;
}

/**
 * A length as it can be seen at the table: to half a millimeter, `38 mm`, or to the nearest sixteenth, `1 1/2 in`.
 * @param mm length in millimeters
 */
export const fine = (mm: number, unit: Unit = 'mm'): string =>
  unit === 'mm' ? `${Math.round(tidy(mm) * 2) / 2} mm` : ruled(mm, unit);

/** The least that a ruler shows at the table, mm: half a millimeter, a sixteenth of an inch. */
export const ruleStep = (unit: Unit): number => (unit === 'mm' ? 0.5 : MM_PER_INCH / 16);

/** True for a length that nobody sees at the table: it rounds to nothing there. */
export const unseen = (mm: number, unit: Unit = 'mm'): boolean =>
  unit === 'mm' ? Math.round(mm * 2) === 0 : Math.round(toInches(mm) * 16) === 0;

/**
 * Much tape or washi: from a meter on in meters, from a yard on in feet, to the tenth.
 * @param mm length in millimeters
 */
export function reeled(mm: number, unit: Unit = 'mm'): string {
  const [size, name] = unit === 'mm' ? ([1000, 'm'] as const) : ([12 * MM_PER_INCH, 'ft'] as const);
  return mm < (unit === 'mm' ? size : 3 * size) ? ruled(mm, unit) : `${Math.round((mm / size) * 10) / 10} ${name}`;
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
