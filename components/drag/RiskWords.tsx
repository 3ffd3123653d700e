'use client';

import { inAHundred, lastSafeLength, TAKEN, type RiskAtLength } from '@/core/drag/riskAlong';
import type { RigAtRisk } from '@/core/rig/drag/riskOfRig';
import { useUnits } from '@/components/units/UnitsProvider';
import { useRisk } from './useRisk';

/** A chance as one in so many; beyond these it is nearly sure, or too rare to be told from never. */
function oneIn(chance: number): string {
  if (chance >= 0.5) return `${Math.round(10 * chance)} in 10`;
  const many = 1 / Math.max(chance, 1e-9);
  if (many > 10_000) return 'under 1 in 10 000';
  const figures = 10 ** Math.max(0, Math.floor(Math.log10(many)) - 1);
  return `1 in ${Math.round(many / figures) * figures}`;
}

/** How likely anything breaks with the drag left alone: the length to which it is taken, and what it is at the end of the reach. */
export function RiskWords({ rig, outM }: { rig: RigAtRisk; outM: number }) {
  const risks = useRisk(rig);
  if (rig.unknown.length > 0) {
    return (
      <p className="mt-1 text-warn">
        How likely it breaks is not known: of {rig.unknown.join(' and ')} there are fewer than three pulls, and no other
        line of that kind lends its scatter. Unknown is not safe.
      </p>
    );
  }
  // Its room is kept while it is worked out.
  return (
    <p className="mt-1 min-h-12" aria-live="polite">
      {risks ? <Known risks={risks} rig={rig} outM={outM} /> : 'Working out how likely it breaks …'}
    </p>
  );
}

function Known({ risks, rig, outM }: { risks: readonly RiskAtLength[]; rig: RigAtRisk; outM: number }) {
  const { format } = useUnits();
  const last = risks.at(-1);
  const safeM = lastSafeLength(risks, TAKEN.pull);
  if (!last) return null;
  const isSafe = safeM !== null && safeM >= last.lengthOutM - 1e-6;
  const [least, most] = last.between;
  return (
    <>
      {safeM === null
        ? 'Left alone it breaks in more than 1 of 100 pulls from the start'
        : isSafe
          ? `Left alone it breaks in fewer than 1 of 100 pulls all the way to ${format.length(outM)}`
          : `Left alone it breaks in fewer than 1 of 100 pulls up to ${format.length(safeM)} out`}
      : with {format.length(last.lengthOutM)} out <b className="figures">{oneIn(last.chance)}</b>
      {oneIn(most) !== oneIn(least) && ` (${oneIn(most)} to ${oneIn(least)})`}, most often {last.likeliest.name};{' '}
      {inAHundred(last.chance) >= 0.01
        ? `in a hundred such pulls ${format.percent(inAHundred(last.chance))}. `
        : 'in a hundred such pulls hardly ever. '}
      A steady pull, no jerk.
      {rig.untested.length > 0 && ` Nobody has pulled: ${rig.untested.join(', ')}. There it is a default.`}
    </>
  );
}
