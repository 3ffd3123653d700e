import { DEFAULT_LEVEL_BELOW_RIM_M } from '../load/defaults';
import { levelOfTarget, meanCounterError, type FillProblem, type FillTarget } from '../load/fillTarget';
import type { LoadedLine } from '../spool/loadedLine';
import type { Outcome } from '../result';
import { counterOf } from './counterOf';
import { productOf } from './planForRig';
import type { RigRecord } from './record';

/** How deep under the rim a target lies for a rig's present stack (m), negative above it. */
export function fillOfRig(record: RigRecord, target: FillTarget): Outcome<number, FillProblem> {
  const { reel } = record;
  const spool = {
    arborDiameterM: reel.arborDiameterM.value,
    widthM: reel.widthM.value,
    fullDiameterM: reel.fullDiameterM.value,
  };
  const segments = record.segments.map((segment) => {
    const { diameterM, packing } = productOf(record, segment.productId);
    return {
      id: segment.id,
      name: segment.name,
      lengthM: segment.lengthM,
      wound: segment.wound,
      lineDiameterM: diameterM.value,
      packing: packing.value,
    };
  });
  // With every length given there is nothing to fill up: the level follows, whatever is wished.
  if (segments.every((segment) => segment.lengthM !== null)) {
    return levelOfTarget(spool, segments, null, { kind: 'below-rim', levelBelowRimM: DEFAULT_LEVEL_BELOW_RIM_M });
  }
  return levelOfTarget(spool, segments, counterOf(record), target);
}

/**
 * Mean relative error of the rig's counter over a working range of wound line, on a planned line.
 *
 * @returns null without a counter, or where the range is longer than the line
 */
export function plannedCounterError(record: RigRecord, line: LoadedLine, fromM: number, toM: number): number | null {
  const counter = counterOf(record);
  return counter && toM <= line.woundLengthM ? meanCounterError(line, counter, fromM, toM) : null;
}
