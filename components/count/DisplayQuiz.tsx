'use client';

import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';

/** Asked once for a reel of which it is not known: whether its display rounds or cuts off. */
export function DisplayQuiz() {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const { counter } = record.reel;
  if (counter?.display !== 'unknown') return null;
  const say = (display: 'rounds' | 'truncates'): void =>
    void sendNow(
      'noteDisplay',
      { boatId: record.boat.id, reelId: record.reel.id },
      { display },
      'Noted for this reel.',
    );
  return (
    <div className="border-l-4 border-rule pl-3">
      <p className="text-sm">
        <b>Does this display round?</b> Zero it, hold the line at the tip and draw it out slowly until the display jumps
        from 0 to 1. It matters by half a count.
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <Button disabled={state.kind === 'sending'} onClick={() => say('rounds')}>
          After about {format.length(counter.unitM / 2)}: it rounds
        </Button>
        <Button disabled={state.kind === 'sending'} onClick={() => say('truncates')}>
          After about {format.length(counter.unitM)}: it cuts off
        </Button>
      </div>
    </div>
  );
}
