'use client';

import { useMemo, useState } from 'react';
import { productStrength, PULLS_FOR_A_MEAN } from '@/core/rig/strengthOfRig';
import type { RigView } from '@/core/rig/rigView';
import type { RigStrength } from '@/core/strength/rigStrength';
import { strengthPlusMinusN } from '@/core/strength/rigStrength';
import { fromSi } from '@/core/units/units';
import { ChoiceField } from '@/components/fields/TextField';
import { LensChart } from '@/components/line/LensChart';
import { useRig } from '@/components/rig/RigProvider';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { Labels } from './Labels';
import { Lines } from './Lines';
import { PullTest } from './PullTest';

/** The Strength station: what the lines, the joins and so the rig hold. */
export function StrengthStation() {
  const { record, view } = useRig();
  const ids = [...new Set(record.segments.map((segment) => segment.productId))];
  const untested = ids.find((id) => (productStrength(record, id).summary?.n ?? 0) < PULLS_FOR_A_MEAN);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const productId = chosenId ?? untested ?? ids[0];
  const options = ids.map((id) => ({ value: id, text: productStrength(record, id).product.name }));
  if (!view || !productId) {
    return (
      <Card title="Nothing to test yet">
        <p>Plan the line at Load first; its lines are then tested here.</p>
      </Card>
    );
  }
  return (
    <div className="flex flex-col gap-4">
      {view.strength && <StrengthLens view={view} strength={view.strength} />}
      <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
        <div className="flex min-w-0 flex-col gap-4">
          <Card title="The weakest place">
            {view.strength ? (
              <Weakest strength={view.strength} />
            ) : (
              <p>A line has neither pulls nor a label: test it, and the weakest place stands here.</p>
            )}
          </Card>
          <Card title="Lines, label against pulled">
            <Lines ids={ids} />
          </Card>
          <Labels ids={ids} />
        </div>
        <Card title="Pull test">
          <div className="flex flex-col gap-4">
            <ChoiceField label="Line in the grips" value={productId} options={options} onChange={setChosenId} />
            <PullTest key={productId} productId={productId} />
          </div>
        </Card>
      </div>
    </div>
  );
}

function Weakest({ strength }: { strength: RigStrength }) {
  const { format } = useUnits();
  const { weakest, places } = strength;
  const next = places.filter((place) => place !== weakest).toSorted((a, b) => a.strengthN.value - b.strengthN.value)[0];
  const assumed = places.filter((place) => place.strengthN.source !== 'measured');
  return (
    <div>
      <p className="figures text-4xl font-bold">
        {format.force(weakest.strengthN.value, strengthPlusMinusN(weakest.strengthN))}
      </p>
      <p>
        holds the <b>{weakest.name}</b>, {format.length(weakest.fromHookM)} from the hook.{' '}
        {weakest.strengthN.source === 'measured'
          ? 'Line and join were tested.'
          : `That figure is a ${weakest.strengthN.source}, not a test.`}
        {next &&
          ` With it mended the rig would hold ${format.force(next.strengthN.value)}, then the ${next.name} gives.`}
      </p>
      {assumed.length > 0 && (
        <p className="mt-2 text-sm text-ink-soft">
          Not tested: {assumed.map((place) => `${place.name} (${place.strengthN.source})`).join('; ')}.
        </p>
      )}
    </div>
  );
}

/** Strength along the line: plain line as steps, joins as the dips between them. */
function StrengthLens({ view, strength }: { view: RigView; strength: RigStrength }) {
  const { cursorM } = useRig();
  const { units } = useUnits();
  const { totalLengthM } = view.current.line;
  const curves = useMemo(() => {
    const show = (valueN: number): number => fromSi('force', valueN, units.force);
    const points = strength.places.flatMap((place) => {
      const value = show(place.strengthN.value);
      const plusMinus = show(strengthPlusMinusN(place.strengthN));
      // A join is a place, not a length: its dip gets the width of a knot mark.
      const halfM = place.kind === 'join' ? totalLengthM * 0.002 : 0;
      return [
        { lengthM: place.fromHookM - halfM, value, plusMinus },
        { lengthM: place.toHookM + halfM, value, plusMinus },
      ];
    });
    const weakest = show(strength.weakest.strengthN.value);
    return [
      { name: 'strength along the line', look: 'stroke-chalk text-chalk', points },
      {
        name: 'weakest place',
        look: 'stroke-stop text-stop',
        dashed: true,
        points: [
          { lengthM: 0, value: weakest },
          { lengthM: totalLengthM, value: weakest },
        ],
      },
    ];
  }, [strength, units.force, totalLengthM]);
  return (
    <LensChart
      view={view}
      title="What it holds"
      axis={`${units.force}, band ± 95 %`}
      cursorM={cursorM}
      curves={curves}
      describe={`Strength along the line; weakest is the ${strength.weakest.name}.`}
    />
  );
}
