'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { USUAL_FRACTION } from '@/core/drag/dragTarget';
import { productStrength, PULLS_FOR_A_MEAN } from '@/core/rig/strength/strengthOfRig';
import type { RigView } from '@/core/rig/view/rigView';
import type { RigStrength } from '@/core/strength/rigStrength';
import { strengthPlusMinusN } from '@/core/strength/rigStrength';
import { strengthAlong, type StrengthStretch } from '@/core/strength/strengthAlong';
import { fromSi } from '@/core/units/units';
import { ChoiceField } from '@/components/fields/TextField';
import { LensChart } from '@/components/line/LensChart';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { Sketch } from '@/components/ui/Sketch';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { showFold } from '@/components/ui/folds';
import { useUnits } from '@/components/units/UnitsProvider';
import { fetched } from '@/components/ui/fetched';
import { Labels } from './Labels';
import { Families } from './Families';
import { Schools } from './Schools';
import { Session } from './Session';
import { Weakest } from './Weakest';

// What is folded is loaded when it is opened.
const EveryPlace = dynamic(() => fetched(() => import('./EveryPlace')).then(({ EveryPlace: loaded }) => loaded));
const Lines = dynamic(() => fetched(() => import('./Lines')).then(({ Lines: loaded }) => loaded));
const PullTest = dynamic(() => fetched(() => import('./PullTest')).then(({ PullTest: loaded }) => loaded));
const ReachField = dynamic(() =>
  fetched(() => import('@/components/drag/ReachField')).then(({ ReachField: loaded }) => loaded),
);

/** The Strength station: what the lines, the joins and so the rig hold. */
export function StrengthStation() {
  const { record, view } = useRig();
  const { format } = useUnits();
  const ids = [...new Set(record.segments.map((segment) => segment.productId))];
  const untested = ids.find((id) => (productStrength(record, id).summary?.n ?? 0) < PULLS_FOR_A_MEAN);
  const [chosenId, setChosenId] = useState<string | null>(null);
  const productId = chosenId ?? untested ?? ids[0];
  const options = ids.map((id) => ({ value: id, text: productStrength(record, id).product.name }));
  if (!view || !productId) {
    return (
      <Card title="Nothing to test yet">
        <Sketch of="strength">
          <p>Plan the line at Load first; its lines are then tested here.</p>
        </Sketch>
      </Card>
    );
  }
  const tested = ids.filter((id) => (productStrength(record, id).summary?.n ?? 0) >= PULLS_FOR_A_MEAN).length;
  return (
    <div className="flex flex-col gap-4">
      <Card title="The weakest place">
        {view.strength ? (
          <div className="flex flex-col gap-3">
            <Weakest strength={view.inReach ?? view.strength} />
            {untested !== undefined && (
              <div className="flex flex-wrap items-center gap-3">
                <Button
                  onClick={() => {
                    setChosenId(untested);
                    showFold('pull');
                  }}
                >
                  Pull {productStrength(record, untested).product.name} next
                </Button>
                <span className="text-sm">{PULLS_FOR_A_MEAN} pulls of each line make a mean.</span>
              </div>
            )}
          </div>
        ) : (
          <p>A line has neither pulls nor a label: test it, and the weakest place stands here.</p>
        )}
      </Card>
      {view.strength && <StrengthLens view={view} strength={view.strength} />}
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <CollapsibleCard id="pull" title="Pull test" line="a line in the grips, or a join, to the break">
          <div className="flex flex-col gap-4">
            <ChoiceField label="Line in the grips" value={productId} options={options} onChange={setChosenId} />
            <PullTest key={productId} productId={productId} />
          </div>
        </CollapsibleCard>
        <Session ids={ids} />
        <CollapsibleCard
          id="lines"
          title="Lines, label against pulled"
          line={tested === ids.length ? 'all pulled often enough' : `${tested} of ${ids.length} pulled often enough`}
        >
          <Lines ids={ids} />
        </CollapsibleCard>
        <CollapsibleCard
          id="reach"
          title="How much line may be out"
          line={`${format.length(view.reach.outM)}: what lies deeper drives nothing`}
        >
          <ReachField view={view} fraction={record.dragAim?.fraction ?? USUAL_FRACTION} />
        </CollapsibleCard>
        {view.strength && (
          <div className="min-w-0 has-data-[state=open]:lg:col-span-2">
            <CollapsibleCard
              id="places"
              title="Every place, and where a snag breaks it"
              line={`${(view.inReach ?? view.strength).places.length} places, each with its ±`}
            >
              <EveryPlace strength={view.inReach ?? view.strength} />
            </CollapsibleCard>
          </div>
        )}
        <Labels ids={ids} />
        <Families />
        <Schools />
      </div>
    </div>
  );
}

/** Half of what a join is drawn over, as a share of the whole line: the width of a knot mark. */
const JOIN_SHARE = 0.002;

/** Strength along the line: plain line as steps, joins as the dips between them. */
function StrengthLens({ view, strength }: { view: RigView; strength: RigStrength }) {
  const { units } = useUnits();
  const { totalLengthM } = view.current.line;
  const curves = useMemo(() => {
    const show = (valueN: number): number => fromSi('force', valueN, units.force);
    const steps = strengthAlong(strength.places, totalLengthM * JOIN_SHARE);
    const ends = ({ fromHookM, toHookM }: StrengthStretch) => [fromHookM, toHookM];
    const points = steps.flatMap((step) =>
      ends(step).map((lengthM) => ({
        lengthM,
        value: show(step.strengthN.value),
        plusMinus: show(strengthPlusMinusN(step.strengthN)),
      })),
    );
    const weakest = show((view.inReach ?? strength).weakest.strengthN.value);
    const bounds = steps.flatMap((step) =>
      ends(step).map((lengthM) => ({ lengthM, value: step.boundN === null ? null : show(step.boundN) })),
    );
    return [
      { name: 'mean strength along the line', look: 'stroke-chalk text-chalk', points },
      ...(steps.every(({ boundN }) => boundN === null)
        ? []
        : [{ name: '95 of 100 hold', look: 'stroke-warn text-warn', dashed: true, points: bounds }]),
      {
        name: 'weakest place in reach',
        look: 'stroke-stop text-stop',
        dashed: true,
        points: [
          { lengthM: 0, value: weakest },
          { lengthM: view.reach.outM, value: weakest },
        ],
      },
    ];
  }, [strength, view, units.force, totalLengthM]);
  return (
    <LensChart
      view={view}
      title="What it holds"
      axis={`${units.force}, band ± 95 %`}
      curves={curves}
      describe={`Strength along the line; weakest is the ${(view.inReach ?? strength).weakest.name}.`}
    />
  );
}
