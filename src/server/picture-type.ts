/** The first bytes of each sort of picture that is kept, with null for those that may be any. */
const SORTS: readonly (readonly [string, readonly (number | null)[]])[] = [
  ['image/png', [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]], // ISO/IEC 15948
  ['image/jpeg', [0xff, 0xd8, 0xff]], // ISO/IEC 10918
  ['image/webp', [0x52, 0x49, 0x46, 0x46, null, null, null, null, 0x57, 0x45, 0x42, 0x50]], // RFC 9649
];

/** What a picture is, by its own bytes, not by what is said of it; null for all that is none. */
export const pictureType = (data: Uint8Array): string | null =>
  SORTS.find(([, first]) => first.every((byte, i) => byte === null || data[i] === byte))?.[0] ?? null;
