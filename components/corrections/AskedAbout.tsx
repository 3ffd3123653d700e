'use client';

import type { ReactNode } from 'react';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';

/** A figure far from what is known: it counts for nothing until somebody has said what it is. */
export function AskedAbout({
  kind,
  id,
  children,
  more,
}: {
  readonly kind: 'trial' | 'strengthPull';
  readonly id: string;
  /** What it is, what was expected, and what may be wrong. */
  readonly children: ReactNode;
  /** What else it may be. */
  readonly more?: string;
}) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const busy = state.kind === 'sending';
  const { id: boatId } = record.boat;
  return (
    <section role="alert" className="border-2 border-warn bg-warn/10 px-3 py-2">
      <p className="mb-2">{children} It counts for nothing until you say.</p>
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={busy}
          onClick={() => void sendNow('answer', { boatId }, { kind, id, rigId: record.id }, 'It counts as noted.')}
        >
          It is right: let it count
        </Button>
        <Button
          disabled={busy}
          onClick={() =>
            void sendNow(
              'withdraw',
              { boatId },
              { kind, id, rigId: record.id, reason: 'asked about, and wrong' },
              'Taken back. It stays on record.',
            )
          }
        >
          It is wrong: take it back
        </Button>
      </div>
      {more && <p className="mt-2 text-sm">{more}</p>}
    </section>
  );
}
