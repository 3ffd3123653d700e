'use client';

import dynamic from 'next/dynamic';
import { createContext, use, useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import { fetched, useMissing } from './fetched';
import { MISSING_WORDS, type Shown, type ToastAct, type Tone } from './shown';
import { useDock } from './useDock';

/** @returns takes the message away before its time */
type Show = (text: string, tone: Tone, act?: ToastAct) => () => void;

const ToastContext = createContext<Show | null>(null);
const ShownContext = createContext<readonly Shown[]>([]);

/** Messages that stand at a time. */
const MOST = 2;

/** Loaded with the first message; until it is there, and where it does not come, the messages stand without it. */
const ToastShelf = dynamic(() => fetched(() => import('./ToastShelf'), true).then(({ ToastShelf: loaded }) => loaded), {
  ssr: false,
  loading: () => <PlainShelf />,
});

function PlainShelf() {
  const shown = use(ShownContext);
  const dock = useDock();
  return (
    <div
      ref={dock}
      role="status"
      className="no-print fixed inset-x-0 bottom-0 z-50 border-t-2 border-edge-strong bg-card text-ink"
    >
      {shown.map(({ id, text }) => (
        <p key={id} className="mx-auto max-w-5xl px-4 py-3">
          {text}
        </p>
      ))}
    </div>
  );
}

const reload: ToastAct = {
  label: 'Load it again',
  meaning: 'Load this page again',
  act: () => window.location.reload(),
};

export function Toasts({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState<readonly Shown[] | null>(null);
  const last = useRef(0);
  const missing = useMissing();
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
  useEffect(() => {
    if (missing) return show(MISSING_WORDS[missing], 'busy', missing === 'older' ? reload : undefined);
  }, [missing, show]);
  return (
    <ToastContext value={show}>
      {children}
      {shown && (
        <ShownContext value={shown}>
          <ToastShelf shown={shown} onGone={gone} />
        </ShownContext>
      )}
    </ToastContext>
  );
}

/** The same where there may be nothing above that shows messages. */
export const useToastIfGiven = (): Show | null => use(ToastContext);

/** Shows a short message that goes away by itself and can be read by a screen reader. */
export function useToast(): Show {
  const show = use(ToastContext);
  if (!show) throw new Error('useToast: there is no Toasts above');
  return show;
}
