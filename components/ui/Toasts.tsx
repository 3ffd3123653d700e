'use client';

import { CircleCheck, TriangleAlert, X } from 'lucide-react';
import { Toast } from 'radix-ui';
import { createContext, use, useCallback, useState, type ReactNode } from 'react';

type Tone = 'done' | 'problem';
type Show = (text: string, tone: Tone) => void;

const ToastContext = createContext<Show | null>(null);

interface Shown {
  readonly id: number;
  readonly text: string;
  readonly tone: Tone;
}

export function Toasts({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState<readonly Shown[]>([]);
  const show = useCallback<Show>((text, tone) => {
    setShown((before) => [...before.slice(-2), { id: (before.at(-1)?.id ?? 0) + 1, text, tone }]);
  }, []);
  return (
    <ToastContext value={show}>
      <Toast.Provider duration={6000} swipeDirection="right">
        {children}
        {shown.map(({ id, text, tone }) => (
          <Toast.Root
            key={id}
            onOpenChange={(open) => !open && setShown((before) => before.filter((toast) => toast.id !== id))}
            className="flex items-start gap-2 rounded-sm border-2 border-edge bg-card p-3 text-ink shadow-lg"
          >
            {tone === 'done' ? (
              <CircleCheck className="mt-0.5 size-5 shrink-0 text-go" aria-hidden />
            ) : (
              <TriangleAlert className="mt-0.5 size-5 shrink-0 text-stop" aria-hidden />
            )}
            <Toast.Description>{text}</Toast.Description>
            <Toast.Close aria-label="Close this message" className="ml-auto p-1">
              <X className="size-4" aria-hidden />
            </Toast.Close>
          </Toast.Root>
        ))}
        <Toast.Viewport className="fixed top-2 right-2 z-50 flex w-96 max-w-[calc(100vw-1rem)] flex-col gap-2 outline-none" />
      </Toast.Provider>
    </ToastContext>
  );
}

/** Shows a short message that goes away by itself and can be read by a screen reader. */
export function useToast(): Show {
  const show = use(ToastContext);
  if (!show) throw new Error('useToast: there is no Toasts above');
  return show;
}
