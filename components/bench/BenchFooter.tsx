'use client';

import { Dialog } from 'radix-ui';
import { Button } from '@/components/ui/Button';

/** The two ways back of every bench sheet: take the last act back, or leave. */
export function BenchFooter({
  back,
  disabled,
  onBack,
}: {
  /** What the way back is called: 'Undo', or 'Back' where nothing was stored. */
  back: string;
  disabled: boolean;
  onBack: () => void;
}) {
  return (
    <div className="grid grid-cols-2 gap-3">
      <Button className="min-h-16 text-lg" disabled={disabled} onClick={onBack}>
        {back} <kbd className="figures text-sm">U</kbd>
      </Button>
      <Dialog.Close asChild>
        <Button className="min-h-16 text-lg">
          Leave <kbd className="figures text-sm">Esc</kbd>
        </Button>
      </Dialog.Close>
    </div>
  );
}
