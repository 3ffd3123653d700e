'use client';

import { Dialog } from 'radix-ui';
import { useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';

/**
 * The whole screen for wet hands: the sheet itself takes the keys, so that no button is one stray space away. Whatever was pressed
 * with a mouse or a thumb, the next key is heard again.
 */
export function BenchSheet({
  onKey,
  onLeave,
  children,
}: {
  onKey: (event: KeyboardEvent) => void;
  onLeave: () => void;
  children: ReactNode;
}) {
  const sheet = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // A button that goes away while it has the focus leaves it to nobody.
    const onStray = (): void => {
      if (document.activeElement === document.body) sheet.current?.focus({ preventScroll: true });
    };
    const watch = new MutationObserver(onStray);
    if (sheet.current) watch.observe(sheet.current, { childList: true, subtree: true, attributes: true });
    return () => watch.disconnect();
  }, []);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onLeave()}>
      <Dialog.Portal>
        <Dialog.Content
          ref={sheet}
          aria-describedby={undefined}
          onKeyDown={onKey}
          onOpenAutoFocus={(event) => {
            event.preventDefault();
            if (event.currentTarget instanceof HTMLElement) {
              event.currentTarget.focus();
              event.currentTarget.scrollTop = 0;
            }
          }}
          onClick={(event) => {
            const { target } = event;
            const isField = target instanceof Element && target.closest('input, select, textarea, a') !== null;
            if (!isField) event.currentTarget.focus({ preventScroll: true });
          }}
          tabIndex={-1}
          className="fixed inset-x-0 top-0 bottom-(--dock) z-40 flex flex-col overflow-y-auto bg-card p-4 outline-none sm:p-8"
        >
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
