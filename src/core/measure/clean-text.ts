/** A surrogate without its other half, which no file can hold. */
const HALF = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;
/** Controls that mean nothing in a text; a tab and a line's end do. C0, delete, C1, and what is no character at all. */
const CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F-\u0084\u0086-\u009F\uFFFE\uFFFF]/g;

/** A text without controls; its line ends stay as they are. */
export const withoutControls = (text: string): string => text.replace(CONTROL, '').replace(HALF, '\uFFFD');

/**
 * A text as it may be written into any file: line ends are `\n`, controls are taken out, and half a character is one
 * that stands for what cannot be read.
 */
export const cleanText = (text: string): string => withoutControls(text.replace(/\r\n?|[\u0085\u2028\u2029]/g, '\n'));

/** The same on one line. */
export const cleanLine = (text: string): string => cleanText(text).replace(/\s*\n\s*/g, ' ');
