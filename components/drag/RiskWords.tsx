'use client';

import { inAHundred, lastSafeLength, TAKEN, type RiskAtLength } from '@/core/drag/risk';
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
export function RiskWords({ rig, outM, jerkM }: { rig: RigAtRisk; outM: number; jerkM: number }) {
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
    <div className="mt-1 flex min-h-24 flex-col gap-1" aria-live="polite">
      {risks ? (
        <>
          <Known risks={risks.steady} rig={rig} outM={outM} />
          <Jerked risks={risks.jerked} jerkM={jerkM} />
          <InHand risks={risks.steady} />
        </>
      ) : (
        <p>Working out how likely it breaks …</p>
      )}
    </div>
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
    <p>
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
    </p>
  );
}

/** The same with a jerk at each length. */
function Jerked({ risks, jerkM }: { risks: readonly RiskAtLength[] | null; jerkM: number }) {
  const { format } = useUnits();
  const worst = risks?.reduce((a, b) => (b.chance > a.chance ? b : a));
  if (!risks || !worst) return null;
  const safeM = lastSafeLength(risks, TAKEN.pull);
  const [least, most] = worst.between;
  return (
    <p>
      With a jerk of {format.length(jerkM)}:{' '}
      {safeM === null
        ? 'more than 1 of 100 break from the start'
        : worst.chance <= TAKEN.pull
          ? 'fewer than 1 of 100 break at any length'
          : `more than 1 of 100 break beyond ${format.length(safeM)} out`}
      ; at worst <b className="figures">{oneIn(worst.chance)}</b>
      {oneIn(most) !== oneIn(least) && ` (${oneIn(most)} to ${oneIn(least)})`}, with {format.length(worst.lengthOutM)}{' '}
      out.
    </p>
  );
}

/** A planer's pull, or line in the hand, is taken to one in a thousand. */
function InHand({ risks }: { risks: readonly RiskAtLength[] }) {
  const { format } = useUnits();
  const safeM = lastSafeLength(risks, TAKEN.inHand);
  return (
    <p>
      For line in the hand or a planer in tow 1 in 1 000 is asked:{' '}
      {safeM === null ? 'more than that from the start.' : `it keeps that up to ${format.length(safeM)} out.`}
    </p>
  );
}
