import 'server-only';
import { because } from '../../core/reasons';
import { isBeingWound } from '../../core/rig/line/atBench';
import { plannedLevelM } from '../../core/rig/line/fillOfRig';
import { planForRig } from '../../core/rig/line/planForRig';
import { IMPOSSIBLE_ABOVE_RIM_M } from '../../core/load/defaults';
import type { RigRecord } from '../../core/record/record';
import { placeJoin } from '../../db/queries/joins';
import { advanceRigVersion, clearStack, keepFill, placeSegment } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { LIMITS } from '../limits';
import { conflict, done, invalid, notFound, type Refusal, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';
import type { StackInput } from './stackInput';

/** Why a stack cannot be right on this reel, or null. */
function refuseStack(record: RigRecord, stack: StackInput): Refusal | null {
  const strange = stack.segments.findIndex((segment) => !record.products.some((line) => line.id === segment.productId));
  if (strange >= 0) return invalid(`segments.${strange}.productId`, because('not-a-line-of-this-boat'));
  const planned = { ...record, segments: stack.segments, fill: stack.fill };
  const plan = planForRig(planned, plannedLevelM(planned));
  if (!plan.ok) return invalid('segments', plan);
  const solved = plan.value.line.segments.find((segment) => segment.id === plan.value.solvedSegmentId);
  if (solved && solved.lengthM > LIMITS.segmentLengthM.max) {
    return invalid('segments', because('solved-too-long', { lengthM: solved.lengthM, segment: solved.name }));
  }
  const aboveRimM = (plan.value.line.fullDiameterM - record.reel.fullDiameterM.value) / 2;
  if (aboveRimM > IMPOSSIBLE_ABOVE_RIM_M) {
    const top = plan.value.line.segments.findLast((segment) => segment.wound);
    return invalid(
      'segments',
      top ? because('stack-over-rim-top', { aboveRimM, top: top.name }) : because('stack-over-rim', { aboveRimM }),
    );
  }
  return null;
}

/** Replaces a rig's stack. Loads that were wound from the old one keep their own copy. */
export async function saveStack(
  db: BoatDb,
  rigId: string,
  stack: StackInput,
): Promise<UseCaseOutcome<{ version: number }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  const refusal = refuseStack(record, stack);
  if (refusal) return refusal;
  if (isBeingWound(record)) {
    return conflict(because('rig-being-wound'));
  }
  if (!(await advanceRigVersion(db, boatId, rigId, stack.version))) return conflict(because('changed-elsewhere'));
  await keepFill(db, boatId, rigId, stack.fill);
  await clearStack(db, boatId, rigId);
  for (const [position, segment] of stack.segments.entries()) {
    if (!(await placeSegment(db, boatId, rigId, position, segment))) {
      return invalid(`segments.${position}.id`, because('segment-of-another-rig'));
    }
  }
  for (const join of stack.joins) await placeJoin(db, boatId, rigId, join);
  return done({ version: stack.version + 1 });
}
