'use client';

import type { StrengthPlace } from '@/core/strength/rigStrength';
import { REACHES, type ReachKind } from '@/core/record/reach';
import type { RigView } from '@/core/rig/view/rigView';
import { USUAL_RUN_M } from '@/core/rig/strength/reach';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';

const NAMES: Readonly<Record<ReachKind, string>> = {
  use: 'what is fished with',
  run: 'what a run may take',
  arbor: 'all of it, to the arbor',
};

/** How much of the line may be out: target, weakest place and snag speak of that, and of nothing deeper. */
export function ReachField({ view, fraction }: { view: RigView; fraction: number }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const { reach, strength, inReach } = view;
  const run = useQuantity(`reach-run:${record.id}`, 'length', reach.runM, { min: 1, max: 5000 });
  const choose = async (kind: ReachKind, runM: number | null): Promise<void> => {
    const result = await sendNow(
      'chooseReach',
      { boatId: record.boat.id, rigId: record.id },
      { kind, runM },
      'Noted. Target and weakest place follow.',
    );
    if (result.ok) run.forget();
  };
  const said = record.reach?.runM ?? null;
  const deeper = strength && inReach ? weakerDeeper(strength.places, inReach.weakest, reach.outM) : [];
  return (
    <div className="flex flex-col gap-2 border-l-4 border-rule pl-3 text-sm">
      <div className="flex flex-wrap items-end gap-2">
        <ChoiceField
          label="Line that may be out"
          value={reach.kind}
          options={REACHES.map((kind) => ({ value: kind, text: NAMES[kind] }))}
          onChange={(kind) => void choose(kind, said)}
        />
        {reach.kind === 'run' && (
          <>
            <div className="w-36">
              <QuantityField label="A run goes on for" {...run.field} />
            </div>
            <Button
              disabled={state.kind === 'sending' || run.value === null}
              onClick={() => void choose('run', run.value)}
            >
              Keep it
            </Button>
          </>
        )}
      </div>
      <p>
        Reckoned with up to <b className="figures">{format.length(reach.outM)}</b> from the hook
        {reach.isUsual && `: the working range and a run of ${format.length(USUAL_RUN_M)}, a default until you say`}.
        {deeper.length > 0 &&
          ` Deeper lies what holds less, which drives no target: ${deeper.map(({ name, fromHookM, strengthN }) => `from ${format.length(fromHookM)} ease to ${format.force(fraction * strengthN.value)} at the tip (${format.percent(fraction)} of the ${name})`).join('; ')}.`}
      </p>
    </div>
  );
}

/** Places nearer than this are one (m). */
const SAME_PLACE_M = 0.01;

/** What lies deeper and holds less than the weakest place in reach; where several begin together, the weakest of them. */
function weakerDeeper(
  places: readonly StrengthPlace[],
  weakest: StrengthPlace,
  outM: number,
): readonly StrengthPlace[] {
  const weaker = places.filter((place) => place.fromHookM > outM && place.strengthN.value < weakest.strengthN.value);
  return weaker.filter((place) =>
    weaker.every(
      (other) =>
        other === place ||
        Math.abs(other.fromHookM - place.fromHookM) > SAME_PLACE_M ||
        other.strengthN.value > place.strengthN.value,
    ),
  );
}
