'use client';

import { Dialog } from 'radix-ui';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import { rigToTour } from '@/components/tour/rigToTour';
import { goToStop } from '@/components/tour/tourStore';
import { Button } from '@/components/ui/Button';
import { useOpener } from '@/components/ui/useOpener';
import { useGo } from '@/components/ui/useGo';
import { AppearanceSwitch } from './AppearanceSwitch';
import type { Place } from './paths';

/** Settings of this device, and on a phone what has no room in the header. */
export function HeaderMenu({
  places,
  onClose,
  children,
}: {
  places: readonly Place[];
  onClose: () => void;
  children: ReactNode;
}) {
  const go = useGo();
  const rig = rigToTour(usePathname(), places);
  const tour = (rigPath: string): void => {
    goToStop(rigPath, 0);
    go.to(rigPath);
    onClose();
  };
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40" />
        <Dialog.Content
          {...useOpener()}
          aria-describedby={undefined}
          className="fixed top-14 right-2 z-50 flex max-w-[calc(100vw-1rem)] flex-col gap-3 rounded-sm border-2 border-ink bg-card p-3"
        >
          <Dialog.Title className="sr-only">Settings</Dialog.Title>
          {children}
          <AppearanceSwitch />
          {rig && <Button onClick={() => tour(rig)}>Take the tour</Button>}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
