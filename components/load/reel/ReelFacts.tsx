'use client';

import { knownCounter } from '@/core/rig/line/counterOf';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';

/** What is known of the reel, each figure with its source. */
export function ReelFacts() {
  const { record } = useRig();
  const { reel } = record;
  const { format } = useUnits();
  const known = knownCounter(record);
  const counter = known?.lengthPerTurnM;
  return (
    <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
      <dt className="text-ink-soft">arbor, width, full</dt>
      <dd className="figures">
        {format.small(reel.arborDiameterM.value)}, {format.small(reel.widthM.value)},{' '}
        {format.small(reel.fullDiameterM.value)} ({reel.arborDiameterM.source})
      </dd>
      {counter && (
        <>
          <dt className="text-ink-soft">
            {known?.drive === 'roller' ? 'roller, shown of what passes' : 'counter, length a turn'}
          </dt>
          <dd className="figures">
            {known?.drive === 'roller'
              ? format.percent(counter.value, PLUS_MINUS_SDS * counter.sd)
              : format.small(counter.value, PLUS_MINUS_SDS * counter.sd)}{' '}
            ({counter.source === 'maker' ? "maker's statement" : counter.source})
          </dd>
        </>
      )}
      <dt className="text-ink-soft">winds with the</dt>
      <dd>{reel.windHand} hand</dd>
    </dl>
  );
}
