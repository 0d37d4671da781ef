import { BadInput, faultLine } from '../../core/format/fault';

/** What a reader finds wrong, as sentences; none when all is well. */
export function faultsOf(read: () => unknown): string[] {
  try {
    read();
    return [];
  } catch (error) {
    return error instanceof BadInput ? error.faults.map(faultLine) : [String(error)];
  }
}
