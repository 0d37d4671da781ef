import type { Placement } from '../../src/core/spread/placement';
import { isWriting } from '../../src/core/spread/placement';
import { readPrint } from '../read-print';

const joined = (text: string): string => text.replace(/\s+/g, '');

/** Texts on the paper that a print's own letters do not have, as another reader finds them there. */
export function notPrinted(placements: readonly Placement[], pdf: Uint8Array): string[] {
  const printed = joined(readPrint(pdf).map((p) => p.text).join('')); // prettier-ignore
  return placements.flatMap((p) => {
    if (!isWriting(p) || !p.text) return [];
    // what the print's own font lacks is drawn, and a line as long as it is wanted
    const parts = joined(p.text.split('\n').join(', ')).split(/[^ -~’]+|—+/);
    return parts.every((part) => printed.includes(part)) ? [] : [p.text];
  });
}
