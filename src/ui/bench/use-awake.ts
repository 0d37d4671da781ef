import { useEffect } from 'react';

/** Keeps the screen from going dark while it lies beside the paper; where that cannot be, nothing happens. */
export function useAwake(): void {
  useEffect(() => {
    if (!('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const ask = async (): Promise<void> => {
      if (over || document.visibilityState !== 'visible') return;
      lock = await navigator.wakeLock.request('screen').catch(() => null);
      if (over) void lock?.release();
    };
    void ask();
    const again = () => void ask(); // a screen that was hidden has lost it
    document.addEventListener('visibilitychange', again);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
