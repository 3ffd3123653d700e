'use client';

import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { LooksSwitch } from './LooksSwitch';

/** Settings of this device, and on a phone what has no room in the header. */
export function HeaderMenu({ onClose, children }: { onClose: () => void; children: ReactNode }) {
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-14 right-2 z-50 flex max-w-[calc(100vw-1rem)] flex-col gap-3 rounded-sm border-2 border-ink bg-card p-3"
        >
          <Dialog.Title className="sr-only">Settings</Dialog.Title>
          {children}
          <LooksSwitch />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
