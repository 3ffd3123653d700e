'use client';

import { JERK_S, surge } from '@/core/drag/surge';
import { spoolMassKg } from '@/core/drag/spoolInertia';
import { DEFAULT_ROD_STIFFNESS } from '@/core/rig/drag/elasticLine';
import { surgeOfRig, surgeSetup, USUAL_JERK_M, type DragOfRig } from '@/core/rig/drag/surgeOfRig';
import type { RigView } from '@/core/rig/view/rigView';
import { weakestWithin } from '@/core/strength/rigStrength';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

/** A sudden surge at a length out, with the rod's spring and the spool's mass in it: what it comes to, and nylon against braid. */
export function SurgeCard({ view, drag }: { view: RigView; drag: DragOfRig }) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const out = useQuantity(`surge-out:${record.id}`, 'length', 60, { min: 1, max: 5000 });
  const jerk = useQuantity(`surge-by:${record.id}`, 'length', USUAL_JERK_M, { min: 0.05, max: 20 });
  const { line } = view.current;
  const lengthOutM = Math.min(out.value ?? 60, line.totalLengthM);
  const weakest = view.strength && weakestWithin(view.strength, lengthOutM);
  const setup = surgeSetup(view, drag, lengthOutM);
  if (!setup || !weakest) return null;
  const jerkM = jerk.value ?? USUAL_JERK_M;
  const found = surge(setup, jerkM, JERK_S);
  const figures = surgeOfRig(view, drag, lengthOutM, jerkM);
  if (!figures) return null;
  const { peakN, lockedN } = figures;
  const asOneLine = (material: 'nylon' | 'braid'): number =>
    surge({ ...setup, pieces: [{ lengthM: lengthOutM, material, strengthN: weakest.strengthN.value }] }, jerkM, JERK_S)
      .lockedN;
  return (
    <CollapsibleCard
      id="surge"
      title="A sudden surge"
      line={`${format.force(peakN.value, peakN.plusMinus)} at ${format.length(lengthOutM)} out`}
    >
      <div className="flex flex-col gap-3">
        <div className="grid grid-cols-2 gap-2">
          <QuantityField
            label="Line out"
            {...out.field}
            error={
              out.value !== null && out.value > line.totalLengthM
                ? `There are only ${format.length(line.totalLengthM)} of line: reckoned with all of it.`
                : undefined
            }
          />
          <QuantityField label="The fish jerks by" {...jerk.field} />
        </div>
        <p aria-live="polite">
          It comes to <b className="figures text-2xl">{format.force(peakN.value, peakN.plusMinus)}</b>,{' '}
          {format.percent(found.peakN / weakest.strengthN.value)} of the {weakest.name}.{' '}
          {found.dragGives
            ? `The drag gives way: its breakaway, and ${format.force(found.inertiaN)} to get the spool turning.`
            : 'Line and rod take it up before the drag gives way.'}
        </p>
        <p className="text-sm">
          The ± comes mostly from {peakN.mainlyFrom && say(peakN.mainlyFrom)}. Were the drag locked it would be{' '}
          {format.force(lockedN.value, lockedN.plusMinus)}: {format.force(asOneLine('nylon'))} if all of it were nylon,{' '}
          {format.force(asOneLine('braid'))} if it were braid. Nylon stretches and forgives; braid leaves it to the rod
          and the drag.
        </p>
        <p className="text-xs text-ink-soft">
          Over {JERK_S} s; the rod taken as {DEFAULT_ROD_STIFFNESS} N for each metre of its tip and the spool as{' '}
          {Math.round(1000 * spoolMassKg(line.fullDiameterM / 2))} g (defaults). The ± takes stretch, rod, spool and
          jerk as off by a fifth to two fifths (SDs, defaults).{' '}
          {!drag.isJerkRead &&
            `No jerk of this drag was read: it is taken as ${drag.breakawayRatio} times the moving pull (a default). `}
          Line and rod as springs in a row; a hand that follows is not counted.
        </p>
      </div>
    </CollapsibleCard>
  );
}
