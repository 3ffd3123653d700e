import 'server-only';
import { because } from '../../core/reasons';
import { currentLine, woundLine } from '../../core/rig/line/currentLine';
import { productIdNow } from '../../core/rig/line/woundSegments';
import type { RigRecord } from '../../core/record/record';
import { cutFromHook, type CutFromHook } from '../../core/rig/line/cutFromHook';
import { isMoreThanFits } from '../../core/rig/load/fitsOnReel';
import { insertLineChange, insertReplacement } from '../../db/queries/lineChanges';
import { insertSupplySpool } from '../../db/queries/supplies';
import { insertLogEntry } from '../../db/queries/log';
import { findVirtualReel, updateVirtualReel } from '../../db/queries/virtualBench';
import type { BoatDb, Queryable } from '../../db/withBoat';
import { success } from '../../core/result';
import { VirtualReel } from '../../instruments/virtual/virtualReel';
import { LIMITS } from '../limits';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { finishedLoadToWrite } from './finishedLoad';
import type { LineChangeInput, LossInput, TurnInput } from './loadInput';

/** Records line that was stripped, lost or added after winding; everything downstream follows. */
export async function changeLength(
  db: BoatDb,
  rigId: string,
  loadId: string,
  input: LineChangeInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const found = await finishedLoadToWrite(db, rigId, loadId);
  if (!found.ok) return found;
  const { record, load } = found.value;
  const changeM = input.reason === 'added' ? Math.abs(input.changeM) : -Math.abs(input.changeM);
  const line = currentLine(record);
  if (!line.ok) return invalid('changeM', line);
  const segment = line.value.line.segments.find((candidate) => candidate.id === input.segmentId);
  if (!segment) return notFound('segment on this spool');
  if (segment.lengthM + changeM < 0) {
    return invalid('changeM', because('less-left-than-lost', { leftM: segment.lengthM, segment: segment.name }));
  }
  const changes = [...load.changes, { ...input, changeM, id: 'noted', at: record.readAt }];
  if (changeM > 0 && segment.wound && isMoreThanFits(record, woundLine(record, { ...load, changes }))) {
    return invalid('changeM', because('added-over-the-rim'));
  }
  await insertLineChange(db, boatId, { ...input, loadId, changeM });
  await insertLogEntry(
    db,
    boatId,
    rigId,
    'load',
    because(`line-${input.reason}`, { segment: segment.name, lengthM: Math.abs(changeM), note: input.note }),
  );
  const place = load.segments.filter((each) => each.wound).findIndex((each) => each.segmentId === segment.id);
  if (segment.wound) await followOnVirtualReel(db, boatId, rigId, -changeM, place);
  return done({ done: true });
}

/** Cuts line off at the hook, through segments and joins, in one act: everything downstream follows. */
export async function loseLine(
  db: BoatDb,
  rigId: string,
  loadId: string,
  input: LossInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const found = await finishedLoadToWrite(db, rigId, loadId);
  if (!found.ok) return found;
  const { record } = found.value;
  const line = currentLine(record);
  if (!line.ok) return invalid('lengthM', line);
  const cut = cutFromHook(line.value.line, record.joins, input.lengthM);
  if (!cut.ok) return invalid('lengthM', cut);
  const { reason, note } = input;
  for (const { segmentId, name, lengthM } of cut.value.pieces) {
    await insertLineChange(db, boatId, { loadId, segmentId, changeM: -lengthM, reason, note });
    await insertLogEntry(db, boatId, rigId, 'load', because(`line-${reason}`, { segment: name, lengthM, note }));
  }
  if (reason === 'kept') await keepOnSpools(db, record, cut.value);
  const offSpoolM = cut.value.pieces.reduce((sum, piece) => sum + (piece.wound ? piece.lengthM : 0), 0);
  if (offSpoolM > 0) await followOnVirtualReel(db, boatId, rigId, offSpoolM);
  return done({ done: true });
}

/** What was pulled off and kept lies on spools of its own, each piece of line for itself; scraps are none. */
async function keepOnSpools(db: BoatDb, record: RigRecord, cut: CutFromHook): Promise<void> {
  for (const { segmentId, name, lengthM } of cut.pieces) {
    if (lengthM < LIMITS.supplyLengthM.min) continue;
    await insertSupplySpool(db, db.boatId, {
      lineProductId: productIdNow(record, segmentId),
      label: `${name}, ${record.name}`.slice(0, 80),
      boughtLengthM: lengthM,
      remainingLengthM: lengthM,
    });
  }
}

/** Notes that the outermost wound segment was pulled off and wound on the other way round: its worn end lies inside now. */
export async function turnSegment(
  db: BoatDb,
  rigId: string,
  loadId: string,
  { segmentId }: TurnInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const found = await finishedLoadToWrite(db, rigId, loadId);
  if (!found.ok) return found;
  const { record, load } = found.value;
  const top = load.segments.findLast((segment) => segment.wound);
  if (top?.segmentId !== segmentId) return conflict(because('only-outermost-replaced'));
  const line = currentLine(record);
  if (!line.ok) return conflict(line);
  const segment = line.value.line.segments.find((each) => each.id === segmentId);
  if (!segment) return notFound('segment on this spool');
  const { lengthM, name } = segment;
  const productId = productIdNow(record, segmentId);
  await insertReplacement(db, boatId, { loadId, segmentId, productId, lengthM, windOnId: null, note: '' });
  await insertLogEntry(db, boatId, rigId, 'load', because('line-turned', { segment: name, lengthM }));
  return done({ done: true });
}

/** The virtual reel's own line follows what the person did to it; what is added is more of the line at that place. */
async function followOnVirtualReel(
  db: Queryable,
  boatId: string,
  rigId: string,
  strippedM: number,
  place = -1,
): Promise<void> {
  const virtual = await findVirtualReel(db, boatId, rigId);
  if (!virtual || virtual.reelState.wound.length === 0) return;
  const reel = new VirtualReel(virtual.truth, virtual.reelState);
  const after = strippedM < 0 ? success(reel.add(place, -strippedM)) : reel.strip(strippedM);
  if (!after.ok) return;
  await updateVirtualReel(db, boatId, rigId, virtual.version, {
    reelState: after.value.state,
    dragClicks: virtual.dragClicks,
  });
}
