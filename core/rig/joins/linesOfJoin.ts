import type { LineToJoin } from '../../joins/ends';
import type { LinesToJoin } from '../../joins/joinedLine';
import type { JoinRecord, RigRecord } from '../../record/record';
import { productOf } from '../line/planForRig';
import { productIdNow } from '../line/woundSegments';
import { productStrength } from '../strength/strengthOfRig';

const joinedLine = (record: RigRecord, segmentId: string): LineToJoin =>
  lineOfProduct(record, productIdNow(record, segmentId));

/** A line as it comes off its spool. */
export function lineOfProduct(record: RigRecord, productId: string): LineToJoin {
  const product = productOf(record, productId);
  return {
    name: product.name,
    material: product.material,
    diameterM: product.diameterM.value,
    construction: product.construction,
    end: null,
    loopM: null,
    strengthN: productStrength(record, productId).strengthN,
  };
}

/** The two lines that meet at a place of this rig, as they come off their spools. */
export function linesThatMeet(
  record: RigRecord,
  join: Pick<JoinRecord, 'innerSegmentId' | 'outerSegmentId'>,
): { readonly inner: LineToJoin | null; readonly outer: LineToJoin } {
  return {
    inner: join.innerSegmentId === null ? null : joinedLine(record, join.innerSegmentId),
    outer: joinedLine(record, join.outerSegmentId),
  };
}

/** The lines that a structure is tied in, twice the same where it is an end of one; and the reel that a loop may have to pass. */
export function linesOfJoin(record: RigRecord, join: JoinRecord): LinesToJoin {
  const met = linesThatMeet(record, join);
  const lines = join.part === 'inner' && met.inner ? { inner: met.inner, outer: met.inner } : met;
  return {
    ...(join.part === 'outer' ? { inner: met.outer, outer: met.outer } : lines),
    reel: {
      fullDiameterM: record.reel.fullDiameterM.value,
      widthM: record.reel.widthM.value,
      arborDiameterM: record.reel.arborDiameterM.value,
    },
  };
}
