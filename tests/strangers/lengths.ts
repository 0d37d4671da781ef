/** A length as it is said: `1 1/2 in`, `3/16 in`, `12.5 mm`; nothing said is nothing. */
export function lengthIn(said: string): number {
  const [, whole, top, under, unit] = /^(?:([\d.]+) )?(?:(\d+)\/(\d+) )?(in|mm)\b/.exec(said) ?? [];
  const count = Number(whole ?? 0) + (top ? Number(top) / Number(under) : 0);
  return unit === 'in' ? count * 25.4 : count;
}
