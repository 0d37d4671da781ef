/** True where a key belongs to what has the focus rather than to the screen: a button, a link, a box to tick. */
export const hasItsOwnKey = (e: KeyboardEvent): boolean =>
  e.target instanceof Element && e.target.closest('button, a[href], [role="button"], [role="tab"], input') !== null;

/** True while a dialog or a menu is open: the keys of the screen under it rest. */
export const isCovered = (): boolean => document.querySelector('[role="dialog"], [role="menu"]') !== null;
