import { withoutControls } from '../measure/clean-text';
import { BadInput } from './fault';

/**
 * The text of a file. UTF-8, or UTF-16 where the file begins with its mark, as some programs save.
 * @throws BadInput naming the first line that is neither
 */
export function decodeText(bytes: Uint8Array, file: string): string {
  const mark =
    bytes[0] === 0xff && bytes[1] === 0xfe ? 'utf-16le' : bytes[0] === 0xfe && bytes[1] === 0xff ? 'utf-16be' : null;
  const text = mark ? new TextDecoder(mark).decode(bytes) : (strictly(bytes) ?? refuse(bytes, file));
  const zero = text.indexOf('\0');
  if (zero >= 0) throw wrong(file, text.slice(0, zero).split('\n').length, 'a zero byte; this is no text');
  return withoutControls(text);
}

function strictly(bytes: Uint8Array): string | null {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return null;
  }
}

function refuse(bytes: Uint8Array, file: string): never {
  for (let line = 1, from = 0; ; line++) {
    const end = bytes.indexOf(10, from);
    const part = bytes.subarray(from, end < 0 ? bytes.length : end);
    if (strictly(part) === null || end < 0)
      throw wrong(
        file,
        line,
        `“${new TextDecoder().decode(part.subarray(0, 200)).slice(0, 40)}”, with bytes that are no letters of UTF-8`,
      );
    from = end + 1;
  }
}

const wrong = (file: string, line: number, found: string): BadInput =>
  new BadInput([
    { file, where: `line ${line}`, found, expected: 'text in UTF-8; save it as UTF-8 and take it in again' },
  ]);
