'use client';

import { Dialog } from 'radix-ui';
import type { KeyboardEvent, ReactNode } from 'react';

/** The whole screen for wet hands: the sheet itself takes the keys, so that no button is one stray space away. */
export function BenchSheet({
  onKey,
  onLeave,
  children,
}: {
  onKey: (event: KeyboardEvent) => void;
  onLeave: () => void;
  children: ReactNode;
}) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onLeave()}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          onKeyDown={onKey}
          onOpenAutoFocus={(event) => {
            event.preventDefault();
            if (event.currentTarget instanceof HTMLElement) event.currentTarget.focus();
          }}
          tabIndex={-1}
          className="fixed inset-0 z-40 flex flex-col overflow-y-auto bg-card p-4 outline-none sm:p-8"
        >
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
