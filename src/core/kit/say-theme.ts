/**
 * A theme as it is called.
 * @example sayTheme(['pink', 'red'], 'gold') // 'Pink, red and gold foil'
 */
export function sayTheme(colors: readonly string[], foil: string | null): string {
  const all = [...colors, ...(foil && foil !== 'none' ? [`${foil.replaceAll('-', ' ')} foil`] : [])];
  const last = all.at(-1) ?? '';
  const said = all.length > 1 ? `${all.slice(0, -1).join(', ')} and ${last}` : last;
  return said.charAt(0).toUpperCase() + said.slice(1);
}
