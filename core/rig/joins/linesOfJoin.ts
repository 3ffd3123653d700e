import type { JoinedLine, LinesToJoin } from '../../joins/prepFigures';
import type { JoinRecord, RigRecord } from '../../record/record';
import { productOf } from '../line/planForRig';
import { productIdNow } from '../line/woundSegments';
import { productStrength } from '../strength/strengthOfRig';

function joinedLine(record: RigRecord, segmentId: string): JoinedLine {
  const productId = productIdNow(record, segmentId);
  const product = productOf(record, productId);
  return {
    name: product.name,
    material: product.material,
    diameterM: product.diameterM.value,
    strengthN: productStrength(record, productId).strengthN,
  };
}

/** The two lines that a join of this rig joins, and the reel that a loop may have to pass. */
export function linesOfJoin(record: RigRecord, join: JoinRecord): LinesToJoin {
  return {
    inner: join.innerSegmentId === null ? null : joinedLine(record, join.innerSegmentId),
    outer: joinedLine(record, join.outerSegmentId),
    reel: {
      fullDiameterM: record.reel.fullDiameterM.value,
      widthM: record.reel.widthM.value,
      arborDiameterM: record.reel.arborDiameterM.value,
    },
  };
}
