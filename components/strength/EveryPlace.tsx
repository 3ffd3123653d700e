'use client';

import { productOf } from '@/core/rig/line/planForRig';
import { leastOfMany, WORTH_SAYING } from '@/core/strength/leastOfMany';
import type { RigStrength, StrengthPlace } from '@/core/strength/rigStrength';
import { snagBreak, strengthPlusMinusN } from '@/core/strength/rigStrength';
import { ChoiceField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';

/** Every place by what it holds, and where a snag would break the rig. */
export function EveryPlace({ strength }: { strength: RigStrength }) {
  return (
    <div className="flex flex-col gap-3">
      <Snag strength={strength} />
      <LeastOfMany strength={strength} />
      <Places places={strength.places} />
    </div>
  );
}

/** The least of many figures, each with its ±, lies a little lower than it looks. */
function LeastOfMany({ strength: { weakest, places } }: { strength: RigStrength }) {
  const { format } = useUnits();
  const lowerN = leastOfMany(places.map((place) => place.strengthN));
  if (lowerN <= WORTH_SAYING * weakest.strengthN.value) return null;
  return (
    <p className="text-sm">
      The weakest is the least of {places.length} figures, each with its ±: the true least lies about{' '}
      {format.force(lowerN)} lower on average.
    </p>
  );
}

/** Where the rig is meant to break on a snag, and whether it would. */
function Snag({ strength }: { strength: RigStrength }) {
  const { record } = useRig();
  const { sendNow, state } = useSend();
  const found = snagBreak(strength, record.meantPlaceId);
  const choose = (placeId: string): void => {
    void sendNow(
      'chooseMeantPlace',
      { boatId: record.boat.id, rigId: record.id },
      { placeId: placeId === OUTERMOST ? null : placeId },
      'Noted.',
    );
  };
  return (
    <div className={`border-l-4 pl-3 ${found?.asMeant ? 'border-go' : 'border-warn'}`}>
      <p className="mb-2 text-sm">
        {!found
          ? 'The place that was meant to break is not in this line any more: choose again.'
          : found.asMeant
            ? `On a snag it breaks where it is meant to, at the ${found.breaksAt.name}: what is inside of it is saved.`
            : `On a snag it would break at the ${found.breaksAt.name} and not at the ${found.meant.name}, where it is meant to.`}
      </p>
      <ChoiceField
        label="Meant to break on a snag"
        value={record.meantPlaceId ?? OUTERMOST}
        options={[
          { value: OUTERMOST, text: 'the outermost line, with its join' },
          ...strength.places.map((place) => ({ value: place.id, text: place.name })),
        ]}
        onChange={choose}
        hint={state.kind === 'sending' ? 'storing …' : undefined}
      />
    </div>
  );
}

const OUTERMOST = 'outermost';

function Places({ places }: { places: readonly StrengthPlace[] }) {
  const { record } = useRig();
  const { format } = useUnits();
  const hasLead = record.segments.some((segment) => productOf(record, segment.productId).material === 'lead core');
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Strength along the rig">
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className="py-1 pr-3">from the hook</th>
            <th className="py-1 pr-3">place</th>
            <th className="py-1 pr-3">mean ± 95 %</th>
            <th className="py-1 pr-3">95 of 100 hold</th>
            <th className="py-1">by</th>
          </tr>
        </thead>
        <tbody>
          {places.map((place) => (
            <tr key={place.id} className={`border-b border-edge ${place.kind === 'join' ? 'text-ink-soft' : ''}`}>
              <td className="figures py-1 pr-3 whitespace-nowrap">{format.length(place.fromHookM)}</td>
              <td className="py-1 pr-3">{place.name}</td>
              <td className="figures py-1 pr-3 whitespace-nowrap">
                {format.force(place.strengthN.value, strengthPlusMinusN(place.strengthN))}
              </td>
              <td className="figures py-1 pr-3 whitespace-nowrap">
                {place.boundN === null ? 'not enough yet' : format.force(place.boundN)}
              </td>
              <td className="py-1">{place.strengthN.source === 'measured' ? 'pulls' : place.strengthN.source}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {hasLead && (
        <p className="mt-1 text-xs text-ink-soft">
          Of lead core the sheath alone counts: the lead carries nothing, in its pulls and in its joins.
        </p>
      )}
    </div>
  );
}
