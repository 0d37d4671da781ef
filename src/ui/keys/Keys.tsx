'use client';

import { later } from '../later';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';

const KeysDialog = later(() => import('./KeysDialog').then((m) => m.KeysDialog));

const ASKED = 'hobnail:keys';

/** Opens the list of keys, from wherever a button is. */
export const showKeys = (): void => void window.dispatchEvent(new Event(ASKED));

/** `?` opens the keys of the screen, on every one. */
export function Keys() {
  const [open, setOpen] = useState(false);
  const address = usePathname();
  useHotkeys('?', () => setOpen(true), { useKey: true });
  useEffect(() => {
    const show = () => setOpen(true);
    window.addEventListener(ASKED, show);
    return () => window.removeEventListener(ASKED, show);
  }, []);
  return open && <KeysDialog address={address} onClose={() => setOpen(false)} />;
}
