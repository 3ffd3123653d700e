'use client';

import { knownCounter } from '@/core/rig/line/counterOf';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { Source } from '@/core/provenance/source';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';

/** Where the length that a counter takes for a turn comes from. */
const CONSTANT_FROM: Readonly<Record<Source, string>> = {
  maker: "the maker's statement",
  default: 'not known yet: from the size of the spool, until a walk or a hundred turns find it',
  measured: 'measured',
  label: 'from the label',
  learned: 'learned from its loads',
};

/** What is known of the reel, each figure with its source. */
export function ReelFacts() {
  const { record } = useRig();
  const { reel } = record;
  const { format } = useUnits();
  const known = knownCounter(record);
  const counter = known?.lengthPerTurnM;
  return (
    <dl className="mb-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
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
            ({CONSTANT_FROM[counter.source]})
          </dd>
        </>
      )}
      {reel.gearRatio !== null && (
        <>
          <dt className="text-ink-soft">gear ratio</dt>
          <dd className="figures">{reel.gearRatio}</dd>
        </>
      )}
      <dt className="text-ink-soft">winds with the</dt>
      <dd>{reel.windHand} hand</dd>
    </dl>
  );
}
