'use client';

import { Dialog } from 'radix-ui';
import { Button } from '@/components/ui/Button';
import { useOpener } from '@/components/ui/useOpener';
import { Keeping, type OfThing } from './Keeping';

/** What can be done with a thing that has a name. */
export function MoreDialog({ onClose, ...thing }: OfThing & { readonly onClose: () => void }) {
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          {...useOpener()}
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 flex max-h-[calc(100dvh-2rem)] w-[min(34rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 flex-col gap-4 overflow-y-auto rounded-sm border-2 border-edge-strong bg-card p-5 text-ink shadow-lg"
        >
          <Dialog.Title className="lettered text-xl">{thing.name}</Dialog.Title>
          <Keeping {...thing} onDone={onClose} />
          <Dialog.Close asChild>
            <Button className="self-start">Close</Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
