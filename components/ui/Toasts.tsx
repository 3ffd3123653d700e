'use client';

import dynamic from 'next/dynamic';
import { createContext, use, useCallback, useRef, useState, type ReactNode } from 'react';
import type { Shown, ToastAct, Tone } from './shown';

/** @returns takes the message away before its time */
type Show = (text: string, tone: Tone, act?: ToastAct) => () => void;

const ToastContext = createContext<Show | null>(null);

/** Messages that stand at a time. */
const MOST = 2;

/** Loaded with the first message. */
const ToastShelf = dynamic(() => import('./ToastShelf').then(({ ToastShelf: loaded }) => loaded), { ssr: false });

export function Toasts({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState<readonly Shown[] | null>(null);
  const last = useRef(0);
  const gone = useCallback((id: number): void => {
    setShown((before) => (before ?? []).filter((toast) => toast.id !== id));
  }, []);
  const show = useCallback<Show>(
    (text, tone, act) => {
      const id = (last.current += 1);
      setShown((before) => [...(before ?? []).slice(1 - MOST), { id, text, tone, act }]);
      return () => gone(id);
    },
    [gone],
  );
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
