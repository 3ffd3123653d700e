import type { JoinKind } from '../../joins/joinKinds';
import type { JoinPlacePart } from '../../joins/placeParts';
import { kitList, type KitList } from '../../load/kitList';
import { loadAdvice, type LoadAdvice } from '../../load/loadAdvice';
import type { LoadPlan } from '../../load/planLoad';
import { spoolVolumeM3 } from '../../spool/spoolGeometry';
import { productOf } from '../line/planForRig';
import type { RigRecord } from '../../record/record';

/** The kit list of a rig's planned load. */
export function kitOfRig(record: RigRecord, plan: LoadPlan): KitList {
  return kitList(
    plan.line.segments.map((segment) => {
      const { productId } = stackSegment(record, segment.id);
      return {
        id: segment.id,
        name: segment.name,
        productId,
        material: productOf(record, productId).material,
        lengthM: segment.lengthM,
        turns: segment.turns,
        wound: segment.wound,
        joinKind: partAt(record, segment.id, 'join'),
        ends: { inner: partAt(record, segment.id, 'inner'), outer: partAt(record, segment.id, 'outer') },
      };
    }),
    record.reel.counter !== null,
  );
}

/** What there is to say of a rig's planned load. */
export function adviceOnPlan(record: RigRecord, plan: LoadPlan): readonly LoadAdvice[] {
  const { line } = plan;
  return loadAdvice({
    reelKind: record.reel.kind,
    smallestOpeningM: record.smallestOpeningM,
    fullDiameterM: record.reel.fullDiameterM.value,
    widthM: record.reel.widthM.value,
    volumeM3: spoolVolumeM3(line.spool, line.fullDiameterM),
    levelBelowRimM: plan.levelBelowRimM.value,
    segments: line.segments.map((segment) => {
      const planned = stackSegment(record, segment.id);
      return {
        name: segment.name,
        role: planned.role,
        material: productOf(record, planned.productId).material,
        lineDiameterM: segment.lineDiameterM,
        lengthM: segment.lengthM,
        wound: segment.wound,
        colours: planned.colourLengthM === null ? planned.colours.length : segment.lengthM / planned.colourLengthM,
        purpose: planned.purpose,
        joinKind: partAt(record, segment.id, 'join'),
        volumeM3: segment.areaM2 * segment.lengthM,
      };
    }),
    retailLengthsM: line.segments.map((segment) => {
      const { productId } = stackSegment(record, segment.id);
      return record.supplySpools
        .filter((spool) => spool.lineProductId === productId)
        .map((spool) => spool.boughtLengthM);
    }),
  });
}

/** What is planned at the inner end of a segment: what meets there, or what one of the two ends is made. */
const partAt = (record: RigRecord, segmentId: string, part: JoinPlacePart): JoinKind | null =>
  record.planJoins.find((join) => join.part === part && join.outerSegmentId === segmentId)?.kind ?? null;

function stackSegment(record: RigRecord, segmentId: string): RigRecord['segments'][number] {
  const segment = record.segments.find((candidate) => candidate.id === segmentId);
  if (!segment) throw new RangeError(`stackSegment: the stack has no segment ${segmentId}`);
  return segment;
}
