import { because } from '../reasons';
import { propagate } from '../numerics/propagate';
import type { Known } from '../provenance/source';
import { failure, requirePositive, success, type Outcome } from '../result';

/**
 * Arbor diameter from one plain load, whatever its packing: the mean of the first and the last turn's diameter is
 * L/(πN), so d0 = 2L/(πN) − D.
 *
 * @param lengthM true length of the line that is on (m)
 * @param turns spool turns that wound it on
 * @param outerDiameterM wound diameter with all of it on (m)
 * @returns the arbor (m), or 'no-arbor' when the three cannot belong together
 */
export function arborFromPlainLoad(lengthM: Known, turns: Known, outerDiameterM: Known): Outcome<Known, 'no-arbor'> {
  requirePositive('arborFromPlainLoad', {
    lengthM: lengthM.value,
    turns: turns.value,
    outerDiameterM: outerDiameterM.value,
  });
  const spread = propagate(
    [
      { from: because('error-plain-length'), ...lengthM },
      { from: because('error-turns'), ...turns },
      { from: because('error-outer-diameter'), ...outerDiameterM },
    ],
    ([length = NaN, count = NaN, outer = NaN]) => [(2 * length) / (Math.PI * count) - outer],
  );
  const value = spread.values[0] ?? NaN;
  if (!(value > 0 && value < outerDiameterM.value)) {
    return failure('no-arbor', { value });
  }
  return success({ value, sd: spread.sds[0] ?? NaN, source: 'measured' });
}
