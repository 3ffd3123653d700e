'use client';

import { CircleCheck, TriangleAlert, X } from 'lucide-react';
import { Toast } from 'radix-ui';
import type { Shown } from './shown';

/** The messages that are shown now, newest last. */
export function ToastShelf({ shown, onGone }: { shown: readonly Shown[]; onGone: (id: number) => void }) {
  return (
    <Toast.Provider duration={6000} swipeDirection="right">
      {shown.map(({ id, text, tone, undo }) => (
        <Toast.Root
          key={id}
          onOpenChange={(open) => !open && onGone(id)}
          className="flex items-start gap-2 rounded-sm border-2 border-edge bg-card p-3 text-ink shadow-lg"
        >
          {tone === 'done' ? (
            <CircleCheck className="mt-0.5 size-5 shrink-0 text-go" aria-hidden />
          ) : (
            <TriangleAlert className="mt-0.5 size-5 shrink-0 text-stop" aria-hidden />
          )}
          <Toast.Description>{text}</Toast.Description>
          {undo && (
            <Toast.Action asChild altText="Undo it in the history of this rod">
              <button type="button" className="min-h-11 px-2 font-semibold text-chalk underline" onClick={undo}>
                Undo
              </button>
            </Toast.Action>
          )}
          <Toast.Close aria-label="Close this message" className="ml-auto p-1">
            <X className="size-4" aria-hidden />
          </Toast.Close>
        </Toast.Root>
      ))}
      <Toast.Viewport className="fixed top-2 right-2 z-50 flex w-96 max-w-[calc(100vw-1rem)] flex-col gap-2 outline-none" />
    </Toast.Provider>
  );
}
