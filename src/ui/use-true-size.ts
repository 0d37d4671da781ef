import { useSyncExternalStore } from 'react';

/** CSS pixels to the mm as browsers define them: 96 to the inch. */
const USUAL = 96 / 25.4;
const KEY = 'hobnail.pixels-per-mm';
const listeners = new Set<() => void>();

const read = (): number => {
  const kept = Number(window.localStorage.getItem(KEY));
  return kept > 1 && kept < 20 ? kept : USUAL;
};

/**
 * Pixels to a true millimeter of this screen, as checked with a bank card; kept in this browser, since each screen
 * has its own.
 */
export function useTrueSize(): [pixels: number, keep: (pixels: number) => void] {
  const pixels = useSyncExternalStore(
    (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
    read,
    () => USUAL,
  );
  return [
    pixels,
    (next) => {
      window.localStorage.setItem(KEY, String(next));
      listeners.forEach((l) => l());
    },
  ];
}
