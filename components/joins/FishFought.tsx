'use client';

import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';

/** A fish was fought: every join of this rig bore it, and is due the sooner. */
export function FishFought() {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  if (record.load?.status !== 'wound') return null;
  return (
    <Button
      disabled={state.kind === 'sending'}
      onClick={() =>
        void sendNow('noteFish', { boatId: record.boat.id, rigId: record.id }, {}, 'Noted: every join here bore it.')
      }
    >
      A fish was fought on this rod
    </Button>
  );
}
