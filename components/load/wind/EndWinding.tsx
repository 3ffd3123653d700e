'use client';

import type { LoadRecord } from '@/core/record/record';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { AskFirst } from '@/components/ui/AskFirst';

/**
 * The two ways out of a winding, each saying first what it does.
 *
 * @param onReel what is still on the reel, while nothing of this load is
 */
export function EndWinding({ load, onReel }: { load: LoadRecord; onReel: LoadRecord | null }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const busy = state.kind === 'sending';
  const rig = { boatId: record.boat.id, rigId: record.id, loadId: load.id };
  const noted = load.winding.length;
  return (
    <>
      <AskFirst
        label="Call this winding off"
        title="Call this winding off?"
        yes="Call it off"
        no="Go on winding"
        disabled={busy}
        onYes={() => void sendNow('cancelWinding', rig, { noted }, 'Called off: everything is as it was before.')}
      >
        <p>
          The rod is then exactly what it was before this load was taken to the bench, with its counter and its drag as
          they were accepted. {noted > 0 && `${noted} note${noted === 1 ? '' : 's'} of this winding no longer count.`}
        </p>
        {!onReel && noted > 0 && (
          <p>
            Only if that is so: where the old line came off to make room, choose <b>The spool is empty</b> instead.
          </p>
        )}
        <p className="text-sm text-ink-soft">The plan stays. The history of this rod can bring the winding back.</p>
      </AskFirst>
      <AskFirst
        label="The spool is empty"
        title="Give up, with an empty spool?"
        yes="The spool is empty"
        no="Go on winding"
        disabled={busy}
        onYes={() =>
          void sendNow('abandonWinding', rig, {}, `The spool of ${record.name} is empty; the plan is still there.`)
        }
      >
        <p>
          Nothing is then on the reel: what was loaded before counts no more, nor does its accepted counter or drag, and{' '}
          {noted === 0 ? 'this winding ends' : `${noted} note${noted === 1 ? '' : 's'} of this winding no longer count`}
          .
        </p>
        <p className="text-sm text-ink-soft">The plan stays. The history of this rod can bring all of it back.</p>
      </AskFirst>
    </>
  );
}
