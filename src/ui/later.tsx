'use client';

import type { ComponentType } from 'react';
import { Suspense, lazy } from 'react';

/** ms between two tries */
const WAIT = 1500;

async function patiently<T>(load: () => Promise<T>): Promise<T> {
  for (;;)
    try {
      return await load();
    } catch {
      // the server is away: the screen stands meanwhile, and what was asked for comes when it is back
      await new Promise((done) => setTimeout(done, WAIT));
    }
}

/**
 * A component that is loaded when it is first shown, or before by `preload`. One that cannot be loaded is tried again
 * and again; it never takes the screen with it.
 * @example const KeysDialog = later(() => import('./KeysDialog').then((m) => m.KeysDialog))
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>) {
  const found = () => patiently(load);
  const Lazy = lazy(async () => ({ default: await found() })) as unknown as ComponentType<P>;
  const Later = (props: P) => (
    <Suspense fallback={null}>
      <Lazy {...props} />
    </Suspense>
  );
  return Object.assign(Later, { preload: () => void load().catch(() => null) });
}

/**
 * Loads some parts at the first touch of pointer or key, before they are wanted: they are there when the server is away
 * later, and the first look does not wait for them.
 * @returns ends the waiting
 */
export function whenTouched(parts: readonly { readonly preload: () => void }[]): () => void {
  const touched = new AbortController();
  const load = () => {
    touched.abort();
    for (const part of parts) part.preload();
  };
  for (const sign of ['pointerdown', 'keydown'] as const)
    window.addEventListener(sign, load, { signal: touched.signal });
  return () => touched.abort();
}
