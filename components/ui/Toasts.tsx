'use client';

import dynamic from 'next/dynamic';
import { createContext, use, useCallback, useState, type ReactNode } from 'react';
import type { Shown, Tone } from './shown';

/** @param undo offers to undo what was done, where that can be */
type Show = (text: string, tone: Tone, undo?: () => void) => void;

const ToastContext = createContext<Show | null>(null);

/** Loaded with the first message. */
const ToastShelf = dynamic(() => import('./ToastShelf').then(({ ToastShelf: loaded }) => loaded), { ssr: false });

export function Toasts({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState<readonly Shown[] | null>(null);
  const show = useCallback<Show>((text, tone, undo) => {
    setShown((before) => [...(before ?? []).slice(-2), { id: (before?.at(-1)?.id ?? 0) + 1, text, tone, undo }]);
  }, []);
  const gone = (id: number): void => setShown((before) => (before ?? []).filter((toast) => toast.id !== id));
  return (
    <ToastContext value={show}>
      {children}
      {shown && <ToastShelf shown={shown} onGone={gone} />}
    </ToastContext>
  );
}

/** Shows a short message that goes away by itself and can be read by a screen reader. */
export function useToast(): Show {
  const show = use(ToastContext);
  if (!show) throw new Error('useToast: there is no Toasts above');
  return show;
}
