'use client';

import { CircleCheck, Hourglass, TriangleAlert, X } from 'lucide-react';
import { Toast } from 'radix-ui';
import type { Shown, Tone } from './shown';
import { useDock } from './useDock';

const LOOKS: Readonly<Record<Tone, { readonly icon: typeof X; readonly look: string }>> = {
  done: { icon: CircleCheck, look: 'text-go' },
  problem: { icon: TriangleAlert, look: 'text-stop' },
  busy: { icon: Hourglass, look: 'text-warn' },
};

/** How long a message stands (ms); one that something can be done about stands longer, and what is on its way until it is over. */
const STANDS = { plain: 6000, withAct: 12_000 } as const;

/** The messages that are shown now, newest last, in a bar at the foot of the window. */
export function ToastShelf({ shown, onGone }: { shown: readonly Shown[]; onGone: (id: number) => void }) {
  const dock = useDock();
  // Of two things that were done the last one is undone first.
  const newest = shown.findLast(({ act }) => act !== undefined);
  return (
    <Toast.Provider swipeDirection="right">
      {shown.map(({ id, text, tone, ...of }) => {
        const act = id === newest?.id ? of.act : undefined;
        const { icon: Icon, look } = LOOKS[tone];
        return (
          <Toast.Root
            key={id}
            duration={tone === 'busy' ? Infinity : act ? STANDS.withAct : STANDS.plain}
            onOpenChange={(open) => !open && onGone(id)}
            className="border-t-2 border-edge-strong bg-card text-ink"
          >
            <div className="mx-auto flex max-w-5xl items-center gap-2 px-4 py-1">
              <Icon className={`size-5 shrink-0 ${look}`} aria-hidden />
              <Toast.Description className="py-2">{text}</Toast.Description>
              {act && (
                <Toast.Action asChild altText={act.meaning}>
                  <button
                    type="button"
                    className="min-h-11 shrink-0 px-2 font-semibold text-chalk underline"
                    onClick={act.act}
                  >
                    {act.label}
                  </button>
                </Toast.Action>
              )}
              <Toast.Close aria-label="Close this message" className="ml-auto grid size-11 shrink-0 place-items-center">
                <X className="size-5" aria-hidden />
              </Toast.Close>
            </div>
          </Toast.Root>
        );
      })}
      <Toast.Viewport
        ref={dock}
        className="no-print pointer-events-auto fixed inset-x-0 bottom-0 z-50 flex flex-col outline-none"
      />
    </Toast.Provider>
  );
}
