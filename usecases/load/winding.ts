import 'server-only';
import { countsPerWrap } from '../../core/counter/counter';
import { planForRig, productOf } from '../../core/rig/load/planForRig';
import { loadBasis } from '../../core/rig/bases';
import { currentLine } from '../../core/rig/currentLine';
import type { LoadSegmentRecord, RigRecord } from '../../core/rig/record';
import { windingOutlook } from '../../core/rig/load/windingOutlook';
import { abandonLoad, finishLoad, insertLoad, insertLoadSegment } from '../../db/queries/loads';
import { insertLevel, insertWindingEntry } from '../../db/queries/windingLog';
import { insertLogEntry } from '../../db/queries/log';
import { advanceRigVersion } from '../../db/queries/rigs';
import { findVirtualReel, updateVirtualReel } from '../../db/queries/virtualBench';
import { withTransaction } from '../../db/withTransaction';
import { EMPTY_REEL } from '../../instruments/virtual/virtualReel';
import { RefusedInTransaction, refusedInside } from '../refused';
import { takeFromShelf } from '../supplies/takeFromShelf';
import { CHANGED_ELSEWHERE, conflict, done, invalid, notFound, type Refusal, type UseCaseOutcome } from '../outcome';
import { readRigRecord } from '../rigs/rigRecord';
import type { BeginInput, FinishInput, LevelInput, WindingInput } from './loadInput';

function plannedSegments(record: RigRecord, levelBelowRimM: number): UseCaseOutcome<readonly LoadSegmentRecord[]> {
  const plan = planForRig(record, levelBelowRimM);
  if (!plan.ok) return invalid('segments', plan.message);
  return done(
    record.segments.map((segment): LoadSegmentRecord => {
      const planned = plan.value.segments.find((candidate) => candidate.id === segment.id);
      if (!planned) throw new Error(`plannedSegments: the plan lacks ${segment.id}`);
      const product = productOf(record, segment.productId);
      return {
        segmentId: segment.id,
        name: segment.name,
        role: segment.role,
        productId: segment.productId,
        lineDiameterM: product.diameterM.value,
        packing: product.packing.value,
        plannedLengthM: planned.lengthM.value,
        plannedPlusMinusM: planned.lengthM.plusMinus,
        plannedTurns: planned.turns.value,
        lengthKnown: segment.lengthKnown && segment.lengthM !== null,
        wound: segment.wound,
        stopReading: planned.stopReading,
        naiveStopReading: planned.naiveStopReading,
        colours: segment.colours,
      };
    }),
  );
}

/** Takes the present plan to the bench: a load with a copy of every planned figure. */
export async function beginWinding(
  boatId: string,
  rigId: string,
  input: BeginInput,
): Promise<UseCaseOutcome<{ loadId: string }>> {
  return withTransaction(async (db) => {
    const record = await readRigRecord(boatId, rigId, db);
    if (!record) return notFound('rig');
    if (record.segments.length === 0) return conflict('Plan the line first: this rig has no segment yet.');
    if (record.load?.status === 'winding') return conflict('This rig is being wound already.');
    const segments = plannedSegments(record, input.levelBelowRimM);
    if (!segments.ok) return segments;
    if (!(await advanceRigVersion(db, boatId, rigId, input.version))) return conflict(CHANGED_ELSEWHERE);
    const loadId = await insertLoad(db, boatId, rigId, loadBasis(record));
    for (const [position, segment] of segments.value.entries())
      await insertLoadSegment(db, boatId, loadId, position, segment);
    // A new load starts on an empty spool, on the virtual bench too.
    const virtual = await findVirtualReel(db, boatId, rigId);
    if (virtual) {
      const reelState = { ...EMPTY_REEL, handlings: virtual.reelState.handlings + 1 };
      await updateVirtualReel(db, boatId, rigId, virtual.version, { reelState, dragClicks: virtual.dragClicks });
    }
    return done({ loadId });
  });
}

/** Why a counter cannot show a reading, or null. */
export function refuseReading(record: RigRecord, reading: number | null): Refusal | null {
  const { counter } = record.reel;
  if (!counter || (reading ?? 0) < countsPerWrap(counter)) return null;
  return invalid(
    'reading',
    `This counter has ${counter.digits} digits: it shows at most ${countsPerWrap(counter) - 1}.`,
  );
}

/** Notes the reading at the end of a segment; noting it again corrects the earlier row. */
export async function noteWinding(
  boatId: string,
  rigId: string,
  loadId: string,
  input: WindingInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  return withTransaction(async (db) => {
    const record = await readRigRecord(boatId, rigId, db);
    const load = record?.load;
    if (!record || load?.id !== loadId) return notFound('load');
    if (load.status !== 'winding') return conflict('This load is finished: its winding log is closed.');
    const order = load.segments.filter((segment) => segment.wound);
    const index = order.findIndex((segment) => segment.segmentId === input.segmentId);
    if (index < 0) return notFound('wound segment');
    const before = order.slice(0, index).find((s) => !load.winding.some((entry) => entry.segmentId === s.segmentId));
    if (before) return conflict(`${before.name} goes on first: note its end before this one.`);
    const { counter } = record.reel;
    if (counter && input.reading === null)
      return invalid('reading', 'Type what the counter shows at the end of this segment.');
    const tooLarge = refuseReading(record, input.reading);
    if (tooLarge) return tooLarge;
    const earlier = load.winding.findLast((entry) => entry.segmentId === input.segmentId);
    await insertWindingEntry(db, boatId, loadId, {
      segmentId: input.segmentId,
      reading: counter ? input.reading : null,
      lengthByCounter: input.lengthByCounter,
      meteredLengthM: input.meteredLengthM,
      turnsCounted: input.turnsCounted,
      instrument: input.instrument,
      note: input.note,
      correctsId: earlier?.id ?? null,
      withdrawn: false,
    });
    return done({ done: true });
  });
}

/** Notes a level measured with the end of the newest segment just on: packing is learned, the rest solved again. */
export async function noteLevel(
  boatId: string,
  rigId: string,
  loadId: string,
  input: LevelInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  return withTransaction(async (db) => {
    const record = await readRigRecord(boatId, rigId, db);
    const load = record?.load;
    if (!record || load?.id !== loadId) return notFound('load');
    if (load.status !== 'winding') return conflict('This load is finished: measure the next one.');
    if (load.winding.at(-1)?.segmentId !== input.segmentId) {
      return conflict('A level belongs to the segment whose end has just gone on.');
    }
    const level = { segmentId: input.segmentId, levelBelowRimM: input.levelBelowRimM, at: '' };
    if (!windingOutlook({ ...record, load: { ...load, levels: [...load.levels, level] } })) {
      return invalid(
        'levelBelowRimM',
        'That level would need the line to pack more than a third tighter or looser than lines do. Was it measured from the rim?',
      );
    }
    await insertLevel(db, boatId, loadId, input);
    return done({ done: true });
  });
}

/** Closes a load: everything wound is noted, and the level, when measured, is believable. */
export async function finishWinding(
  boatId: string,
  rigId: string,
  loadId: string,
  input: FinishInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  return refusedInside(async (db) => {
    const record = await readRigRecord(boatId, rigId, db);
    const load = record?.load;
    if (!record || load?.id !== loadId) return notFound('load');
    if (load.status !== 'winding') return conflict('This load is finished already.');
    const missing = load.segments.find(
      (s) => s.wound && !load.winding.some((entry) => entry.segmentId === s.segmentId),
    );
    if (missing) return conflict(`${missing.name} is not on yet: note its end first.`);
    const finished: RigRecord = { ...record, load: { ...load, status: 'wound', levelBelowRimM: input.levelBelowRimM } };
    const line = currentLine(finished);
    if (!line.ok) return invalid('levelBelowRimM', line.message);
    if (!(await finishLoad(db, boatId, loadId, input.version, input.levelBelowRimM)))
      return conflict(CHANGED_ELSEWHERE);
    for (const { segmentId, supplySpoolId } of input.supplies) {
      const lengthM = line.value.line.segments.find((segment) => segment.id === segmentId)?.lengthM;
      const refusal = await takeFromShelf(db, record, { supplySpoolId, loadId, segmentId, lengthM });
      // Nothing of a finish is kept when one spool cannot give what was wound.
      if (refusal) throw new RefusedInTransaction(refusal);
    }
    await insertLogEntry(
      db,
      boatId,
      rigId,
      'load',
      `Loaded: ${load.segments.map((segment) => segment.name).join(', ')}.`,
    );
    return done({ done: true });
  });
}

/** Gives up a winding: the spool is emptied, the log of it stays. */
export async function abandonWinding(
  boatId: string,
  rigId: string,
  loadId: string,
): Promise<UseCaseOutcome<{ done: true }>> {
  return withTransaction(async (db) => {
    if (!(await abandonLoad(db, boatId, loadId))) return conflict('This load is not being wound.');
    await insertLogEntry(db, boatId, rigId, 'load', 'Winding abandoned; the spool was emptied.');
    return done({ done: true });
  });
}
