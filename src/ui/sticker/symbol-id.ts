/** The name of a design's drawing on this page. */
export const symbolId = (p: { readonly kit: string; readonly code: string }): string =>
  `art-${`${p.kit}-${p.code}`.replace(/[^\w-]/g, (c) => `_${c.charCodeAt(0)}_`)}`;
