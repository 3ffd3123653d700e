import { bisect } from '../numerics/bisect';
import type { CounterResidual, FusedCounter } from './fuseCounter';
import { countsAt } from './observations';

/** SDs beyond which an observation does not fit the others: 1 in 370 by chance. */
const MISFIT_SDS = 3;

/** What would explain an observation that does not fit. */
export interface Explanation {
  /** Change of the wound diameter that alone would explain it (m), or null where none would. */
  readonly diameterChangeM: number | null;
  /** Line that had left before the counter was zeroed (m), negative where line was left out; null where not asked. */
  readonly zeroedLateM: number | null;
  readonly words: string;
}

/**
 * Says in plain words what an observation would need to be true, or null where it fits the others.
 *
 * @param fused the estimate
 * @param residual of the observation in it
 */
export function explainResidual(fused: FusedCounter, residual: CounterResidual): Explanation | null {
  if (Math.abs(residual.offSds) < MISFIT_SDS) return null;
  const { observation, expected, off } = residual;
  const plain = (words: string): Explanation => ({ diameterChangeM: null, zeroedLateM: null, words });
  const many = `${Math.abs(off).toFixed(1)} counts too ${off > 0 ? 'many' : 'few'}`;
  switch (observation.kind) {
    case 'level':
      return plain(
        `the level would have to lie ${(1000 * Math.abs(off)).toFixed(1)} mm ${off > 0 ? 'higher' : 'lower'} than was read: was it measured from the rim, and at three places?`,
      );
    case 'turns':
      return plain(`${many} for so many turns: was a turn miscounted, or handle turns taken for spool turns?`);
    case 'wound':
      return plain(`${many} while it went on: zeroed late, or not the length that was named?`);
    case 'tape':
    case 'colour':
      return explainWalk(fused, observation.trueLengthM, expected, expected + off);
  }
}

function explainWalk(
  { best, counter }: FusedCounter,
  trueLengthM: number,
  expected: number,
  observed: number,
): Explanation {
  // More counts for the same line want a smaller spool.
  const diameterChangeM = best.line.fullDiameterM * (expected / observed - 1);
  const size = `this one would need the spool to be ${(1000 * Math.abs(diameterChangeM)).toFixed(1)} mm ${diameterChangeM < 0 ? 'smaller' : 'larger'}`;
  const root = bisect((lengthM) => countsAt(best, lengthM, counter.unitM) - observed, 0, best.line.woundLengthM, 1e-3);
  if (!root.ok) return { diameterChangeM, zeroedLateM: null, words: size };
  const zeroedLateM = trueLengthM - root.value.root;
  const zero =
    zeroedLateM > 0
      ? `zeroed when ${zeroedLateM.toFixed(1)} m had left already?`
      : `not zeroed, or ${(-zeroedLateM).toFixed(1)} m more walked than was said?`;
  return { diameterChangeM, zeroedLateM, words: `${size}: ${zero}` };
}
