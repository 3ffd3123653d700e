'use client';

import dynamic from 'next/dynamic';
import { readSlip } from '@/core/joins/slipCheck';
import type { JoinRecord } from '@/core/record/record';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { fetched } from '@/components/ui/fetched';
import { SLIP_LOOK } from './slipLook';

/** Loaded when it is first opened. */
const Inside = dynamic(() => fetched(() => import('./SlipCheckInside')).then(({ SlipCheckInside: loaded }) => loaded), {
  ssr: false,
});

/** The arbor's slip check. */
export function SlipCheck({ join: { id, lastSlip } }: { join: JoinRecord }) {
  const { format } = useUnits();
  const say = useSay();
  const verdict = lastSlip && readSlip(lastSlip.movedM);
  return (
    <CollapsibleCard
      id="slip"
      title="Slip check at the arbor"
      line={
        verdict ? (
          <>
            Last look, {lastSlip.at.slice(0, 10)}: parted by {format.small(lastSlip.movedM)}
            {lastSlip.pulledN !== null && ` after a pull of ${format.force(lastSlip.pulledN)}`}.{' '}
            <span className={SLIP_LOOK[verdict.verdict]}>{say(verdict.why)}</span>
          </>
        ) : (
          'Never looked at: whether the line turns on the spool is not known.'
        )
      }
    >
      <Inside joinId={id} />
    </CollapsibleCard>
  );
}
