import { bracketedRoot } from '../numerics/bracketedRoot';
import { because, type Reason } from '../reasons';
import type { CounterResidual, CounterEstimate } from './estimateCounter';
import { countsAt } from './observations';

/** SDs beyond which an observation does not fit the others: 1 in 370 by chance. */
const MISFIT_SDS = 3;

/** What would explain an observation that does not fit. */
export interface Explanation {
  /** Change of the wound diameter that alone would explain it (m), or null where none would. */
  readonly diameterChangeM: number | null;
  /** Line that had left before the counter was zeroed (m), negative where line was left out; null where not asked. */
  readonly zeroedLateM: number | null;
  readonly why: Reason;
}

/**
 * Says what an observation would need to be true, or null where it fits the others.
 *
 * @param estimate everything known of the counter
 * @param residual of the observation in it
 */
export function explainResidual(estimate: CounterEstimate, residual: CounterResidual): Explanation | null {
  if (Math.abs(residual.offSds) < MISFIT_SDS) return null;
  const { observation, expected, off } = residual;
  const plain = (why: Reason): Explanation => ({ diameterChangeM: null, zeroedLateM: null, why });
  switch (observation.kind) {
    case 'level':
      return plain(because('level-misfits', { offM: off }));
    case 'turns':
      return plain(because('turns-misfit', { off }));
    case 'wound':
      return plain(because('wound-misfits', { off }));
    case 'tape':
    case 'colour':
      return explainWalk(estimate, observation.trueLengthM, expected, expected + off);
  }
}

function explainWalk(
  { best, counter }: CounterEstimate,
  trueLengthM: number,
  expected: number,
  observed: number,
): Explanation {
  // More counts for the same line want a smaller spool.
  const diameterChangeM = best.line.fullDiameterM * (expected / observed - 1);
  const root = bracketedRoot(
    (lengthM) => countsAt(best, lengthM, counter.unitM) - observed,
    0,
    best.line.woundLengthM,
    1e-3,
  );
  if (!root.ok) {
    return { diameterChangeM, zeroedLateM: null, why: because('walk-needs-other-spool', { diameterChangeM }) };
  }
  const zeroedLateM = trueLengthM - root.value.root;
  return { diameterChangeM, zeroedLateM, why: because('walk-zeroed-late', { diameterChangeM, zeroedLateM }) };
}
