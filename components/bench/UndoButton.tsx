'use client';

import type { WithdrawInput } from '@/usecases/corrections/withdrawInput';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';

/** Takes a measurement back: the row stays on record, withdrawn, with the reason in the log. */
export function UndoButton({
  kind,
  id,
  what,
  reason,
}: {
  kind: WithdrawInput['kind'];
  id: string;
  what: string;
  reason: string;
}) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const body: WithdrawInput = { kind, id, rigId: record.id, reason };
  return (
    <Button
      weight="quiet"
      disabled={state.kind === 'sending'}
      onClick={() => void sendNow('withdraw', { boatId: record.boat.id }, body, `The last ${what} is taken back.`)}
    >
      Undo the last {what}
    </Button>
  );
}
