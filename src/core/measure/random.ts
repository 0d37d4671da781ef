/** A whole number from a text, always the same. Source: FNV-1a, 32 bits, public domain, from memory. */
export function hashOf(text: string): number {
  let h = 2166136261;
  for (let i = 0; i < text.length; i++) {
    const code = text.codePointAt(i) as number;
    if (code > 0xffff) i++; // one letter of two units
    h = Math.imul(h ^ code, 16777619);
  }
  return h >>> 0;
}

/** Numbers from 0 up to 1, always the same for a seed. Source: Mulberry32, public domain, from memory. */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
