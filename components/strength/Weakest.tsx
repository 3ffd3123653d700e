'use client';

import { leastOfMany, WORTH_SAYING } from '@/core/strength/leastOfMany';
import type { RigStrength } from '@/core/strength/rigStrength';
import { nextWeakest, strengthPlusMinusN } from '@/core/strength/rigStrength';
import { WithMeasureNext } from '@/components/worth/WithMeasureNext';
import { useUnits } from '@/components/units/UnitsProvider';

/** The weakest place by mean and by bound, and what mending it would do. */
export function Weakest({ strength }: { strength: RigStrength }) {
  const { format } = useUnits();
  const { weakest, weakestByBound, places } = strength;
  const next = nextWeakest(strength);
  const looksHigh = leastOfMany(places.map((place) => place.strengthN)) > WORTH_SAYING * weakest.strengthN.value;
  const unbound = places.filter((place) => place.boundN === null).length;
  return (
    <div className="flex flex-col gap-3">
      <WithMeasureNext
        figure={{ kind: 'strength', value: weakest.strengthN.value, plusMinus: strengthPlusMinusN(weakest.strengthN) }}
        kinds={['strength']}
      >
        <div>
          <p className="figures text-4xl font-bold">
            {format.force(weakest.strengthN.value, strengthPlusMinusN(weakest.strengthN))}
          </p>
          <p>
            holds the <b>{weakest.name}</b>, {format.length(weakest.fromHookM)} from the hook, in the mean.{' '}
            {weakest.strengthN.source === 'measured'
              ? 'Line and join were tested.'
              : `That figure is a ${weakest.strengthN.source}, not a test.`}
            {next &&
              ` With it mended the rig would hold ${format.force(next.strengthN.value)}, then the ${next.name} gives.`}
            {looksHigh && ' As the least of several figures, the true least lies a little lower.'}
          </p>
          <p>
            {weakestByBound
              ? `By what 95 of 100 hold it is the ${weakestByBound.name === weakest.name ? 'same place' : weakestByBound.name}, with ${format.force(weakestByBound.boundN ?? 0)}.`
              : 'What 95 of 100 would hold cannot be said of any place yet: three pulls of each line and join.'}
            {weakestByBound &&
              unbound > 0 &&
              ` Of ${unbound} place${unbound === 1 ? '' : 's'} no bound can be said yet.`}
          </p>
        </div>
      </WithMeasureNext>
    </div>
  );
}
