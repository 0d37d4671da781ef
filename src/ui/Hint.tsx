'use client';

import type { FocusEvent, KeyboardEvent, PointerEvent, ReactElement } from 'react';
import { cloneElement, useEffect, useId, useState } from 'react';
import { later } from './later';

const HintBubble = later(() => import('./HintBubble').then((m) => m.HintBubble));

/** ms; a finger has to stay longer, since it does not come by on its way */
const PAUSE = { mouse: 400, touch: 600 } as const;

interface Handlers {
  onPointerEnter?: (e: PointerEvent<HTMLElement>) => void;
  onPointerLeave?: (e: PointerEvent<HTMLElement>) => void;
  onPointerDown?: (e: PointerEvent<HTMLElement>) => void;
  onFocus?: (e: FocusEvent<HTMLElement>) => void;
  onBlur?: (e: FocusEvent<HTMLElement>) => void;
  onKeyDown?: (e: KeyboardEvent<HTMLElement>) => void;
  'aria-describedby'?: string;
}

/**
 * Says more of something while the mouse rests on it, or while it has the focus of the keyboard. It names nothing: what
 * it is about has a name of its own. What draws the words is loaded when they are first wanted.
 */
export function Hint({ title, children }: { title: string; children: ReactElement<Handlers> }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [over, setOver] = useState<{ readonly what: HTMLElement; readonly pause: number } | null>(null);
  const id = useId();
  useEffect(() => {
    if (!over) return;
    const timer = setTimeout(() => setAt(over.what), over.pause);
    return () => clearTimeout(timer);
  }, [over]);
  const own = children.props;
  const hide = () => {
    setOver(null);
    setAt(null);
  };
  const child = cloneElement(children, {
    ...(at ? { 'aria-describedby': id } : {}),
    onPointerEnter: (e) => {
      own.onPointerEnter?.(e);
      setOver({ what: e.currentTarget, pause: e.pointerType === 'mouse' ? PAUSE.mouse : PAUSE.touch });
    },
    onPointerLeave: (e) => {
      own.onPointerLeave?.(e);
      hide();
    },
    onPointerDown: (e) => {
      own.onPointerDown?.(e);
      if (e.pointerType === 'mouse') hide();
    },
    onFocus: (e) => {
      own.onFocus?.(e);
      if (e.target.matches(':focus-visible')) setAt(e.currentTarget);
    },
    onBlur: (e) => {
      own.onBlur?.(e);
      hide();
    },
    onKeyDown: (e) => {
      own.onKeyDown?.(e);
      if (e.key === 'Escape') hide();
    },
  });
  return (
    <>
      {child}
      {at && <HintBubble id={id} at={at} title={title} />}
    </>
  );
}
