'use client';

import { useMemo } from 'react';
import { topShotOf, type TowedRig } from '@/core/rig/tow/towedRig';
import type { RigView } from '@/core/rig/view/rigView';
import type { DepthAnswer } from '@/core/tow/answerDepth';
import { topShotFor } from '@/core/tow/topShotFor';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { useKeptChoice } from '@/components/fields/useKept';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

const COLOURS = ['0.5', '1', '2', '3'] as const;
const COLOUR_WORDS = { '0.5': 'half a colour', '1': 'one colour', '2': 'two colours', '3': 'three colours' } as const;
const BACK_M = { min: 1, max: 300 } as const;

/** How long a top shot keeps the lure so far behind the boat while little of the weighted line is out. */
export function TopShotLength({ view, rig, answer }: { view: RigView; rig: TowedRig; answer: DepthAnswer }) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const [colours, setColours] = useKeptChoice(`top-shot-colours:${record.id}`, COLOURS, '0.5');
  const back = useQuantity(`top-shot-back:${record.id}`, 'length', 25, BACK_M);
  const shot = useMemo(() => topShotOf(view), [view]);
  const found = useMemo(() => {
    if (!shot || back.value === null || back.value <= 0) return null;
    const outM = Number(colours) * shot.colourM;
    return topShotFor(rig.belief, answer.learned.values, rig.speedMS, shot.place, outM, back.value);
  }, [shot, back.value, colours, rig, answer.learned.values]);
  if (!shot) return null;
  return (
    <div className="flex flex-col gap-2">
      <div className="grid grid-cols-2 gap-2">
        <QuantityField label="The lure is to swim so far back" {...back.field} />
        <ChoiceField
          label="with only so much lead core out"
          value={colours}
          onChange={(chosen) => setColours(COLOURS.find((each) => each === chosen) ?? null)}
          options={COLOURS.map((value) => ({ value, text: COLOUR_WORDS[value] }))}
        />
      </div>
      {found && (
        <p aria-live="polite">
          {found.ok ? (
            <>
              A top shot of <b className="figures">{format.length(found.value)}</b> does it; {shot.name} is{' '}
              <span className="figures">{format.length(shot.lengthM)}</span> long.
            </>
          ) : (
            say(found)
          )}
        </p>
      )}
    </div>
  );
}
