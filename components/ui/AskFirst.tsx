'use client';

import { AlertDialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { Button } from './Button';

/** A button that says first what would change, and does it when that is wanted. */
export function AskFirst({
  label,
  weight = 'quiet',
  title,
  children,
  yes,
  no = 'Leave it as it is',
  disabled = false,
  onYes,
}: {
  readonly label: string;
  readonly weight?: 'plain' | 'quiet';
  readonly title: string;
  /** What would be lost, what stays, and how it is undone. */
  readonly children: ReactNode;
  readonly yes: string;
  readonly no?: string;
  readonly disabled?: boolean;
  readonly onYes: () => void;
}) {
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger asChild>
        <Button weight={weight} disabled={disabled}>
          {label}
        </Button>
      </AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-50 bg-ink/40" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 flex max-h-[calc(100dvh-2rem)] w-[min(34rem,calc(100vw-2rem))] -translate-x-1/2 -translate-y-1/2 flex-col gap-3 overflow-y-auto rounded-sm border-2 border-edge-strong bg-card p-5 text-ink shadow-lg">
          <AlertDialog.Title className="lettered text-xl">{title}</AlertDialog.Title>
          <AlertDialog.Description asChild>
            <div className="flex flex-col gap-2">{children}</div>
          </AlertDialog.Description>
          <div className="mt-2 flex flex-wrap gap-2">
            <AlertDialog.Action asChild>
              <Button weight="main" onClick={onYes}>
                {yes}
              </Button>
            </AlertDialog.Action>
            <AlertDialog.Cancel asChild>
              <Button>{no}</Button>
            </AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
