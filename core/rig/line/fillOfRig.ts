import { usualLevelM } from '../../load/defaults';
import {
  levelBeforeLoss,
  levelOfTarget,
  meanCounterError,
  type FillProblem,
  type FillTarget,
  type ReelToFill,
} from '../../load/fillTarget';
import type { SegmentToSolve } from '../../spool/solveSegment';
import type { LoadedLine } from '../../spool/loadedLine';
import { success, type Outcome } from '../../result';
import { woundAreaM2 } from '../../spool/spoolGeometry';
import { counterOf } from './counterOf';
import { productOf, strainOf } from './planForRig';
import type { RigRecord } from '../../record/record';

/**
 * How deep under the rim a target lies for a rig's present stack (m), negative above it.
 *
 * @param soonGoneM metres of the outermost line that will soon be gone: the target stands once they are
 */
export function fillOfRig(record: RigRecord, target: FillTarget, soonGoneM = 0): Outcome<number, FillProblem> {
  const level = levelOfStack(record, target);
  const top = record.segments.findLast((segment) => segment.wound);
  // A mark of one segment says nothing of what lies above it.
  if (!level.ok || soonGoneM === 0 || !top || target.kind === 'own-mark') return level;
  const { diameterM, packing } = productOf(record, top.productId);
  return success(
    levelBeforeLoss(spoolAndStack(record).spool, level.value, soonGoneM, woundAreaM2(diameterM.value, packing.value)),
  );
}

/** How deep under the rim the fill of a rig's stored plan ends (m): just under full while nobody has said, or where it cannot. */
export function plannedLevelM(record: RigRecord): number {
  const usualM = usualLevelM(record.reel.kind);
  if (!record.fill) return usualM;
  const level = fillOfRig(record, record.fill.target, record.fill.soonGoneM);
  return level.ok ? level.value : usualM;
}

/** A rig's spool and planned stack by their best figures, as fills are solved on them. */
export function spoolAndStack(record: RigRecord): {
  readonly spool: ReelToFill;
  readonly segments: readonly SegmentToSolve[];
} {
  const { reel } = record;
  return {
    spool: {
      arborDiameterM: reel.arborDiameterM.value,
      widthM: reel.widthM.value,
      fullDiameterM: reel.fullDiameterM.value,
    },
    segments: record.segments.map(({ id, name, lengthM, wound, productId }) => {
      const product = productOf(record, productId);
      const { diameterM, packing } = product;
      const strain = strainOf(product).value;
      return { id, name, lengthM, wound, lineDiameterM: diameterM.value, packing: packing.value, strain };
    }),
  };
}

function levelOfStack(record: RigRecord, target: FillTarget): Outcome<number, FillProblem> {
  const { spool, segments } = spoolAndStack(record);
  // With every length given there is nothing to fill up: the level follows, whatever is wished.
  if (segments.every((segment) => segment.lengthM !== null)) {
    return levelOfTarget(spool, segments, null, { kind: 'below-rim', levelBelowRimM: usualLevelM(record.reel.kind) });
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
