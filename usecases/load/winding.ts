import 'server-only';
import { because, type RefusalReason } from '../../core/reasons';
import { askedLength, type AskedLength } from '../../core/rig/line/askedLength';
import { windingOutlook } from '../../core/rig/line/windingOutlook';
import { countsPerWrap } from '../../core/counter/counter';
import { planForRig, productOf } from '../../core/rig/line/planForRig';
import { loadBasis } from '../../core/rig/bases';
import { isBeingWound } from '../../core/rig/line/atBench';
import { woundLine } from '../../core/rig/line/currentLine';
import type { LoadRecord, LoadSegmentRecord, RigRecord, WindingEntryRecord } from '../../core/record/record';
import { isBeyondSpool, isMoreThanAnyFill } from '../../core/rig/load/fitsOnReel';
import type { LoadedLine } from '../../core/spool/loadedLine';
import { finishLoad, insertAgreedLength, insertLoad, insertLoadJoin, insertLoadSegment } from '../../db/queries/loads';
import { insertLevel, insertWindingEntry } from '../../db/queries/windingLog';
import { insertLogEntry } from '../../db/queries/log';
import { advanceRigVersion } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { takeFromShelf } from '../supplies/takeFromShelf';
import { conflict, done, invalid, notFound, type Refusal, type UseCaseOutcome } from '../outcome';
import { benchToWrite, rigToWrite } from '../rigs/readRigs';
import type { AgreeInput, BeginInput, FinishInput, LevelInput, WindingInput } from './loadInput';

function plannedSegments(record: RigRecord, levelBelowRimM: number): UseCaseOutcome<readonly LoadSegmentRecord[]> {
  const plan = planForRig(record, levelBelowRimM);
  if (!plan.ok) return invalid('segments', plan);
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
        solved: segment.lengthM === null,
        agreedFromM: null,
        wound: segment.wound,
        stopReading: planned.stopReading,
        naiveStopReading: planned.naiveStopReading,
        colours: segment.colours,
        colourLengthM: segment.colourLengthM,
        purpose: segment.purpose,
      };
    }),
  );
}

/** Takes the present plan to the bench: a load with a copy of every planned figure. */
export async function beginWinding(
  db: BoatDb,
  rigId: string,
  input: BeginInput,
): Promise<UseCaseOutcome<{ loadId: string }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  if (record.segments.length === 0) return conflict(because('plan-first'));
  if (isBeingWound(record)) return conflict(because('being-wound-already'));
  const segments = plannedSegments(record, input.levelBelowRimM);
  if (!segments.ok) return segments;
  if (!(await advanceRigVersion(db, boatId, rigId, input.version))) return conflict(because('changed-elsewhere'));
  const loadId = await insertLoad(db, boatId, rigId, loadBasis(record));
  for (const [position, segment] of segments.value.entries())
    await insertLoadSegment(db, boatId, { ...segment, loadId, position });
  return done({ loadId });
}

/** Why a counter cannot show a reading, or null. */
export function refuseReading(record: RigRecord, reading: number | null): Refusal | null {
  const { counter } = record.reel;
  if (!counter || (reading ?? 0) < countsPerWrap(counter)) return null;
  return invalid('reading', because('beyond-digits', { digits: counter.digits, most: countsPerWrap(counter) - 1 }));
}

/** Notes the reading at the end of a segment; an end that is noted already is corrected only by who saw that note. */
export async function noteWinding(
  db: BoatDb,
  rigId: string,
  loadId: string,
  input: WindingInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await benchToWrite(db, rigId, 'winding');
  const load = record?.load;
  if (!record || load?.id !== loadId) return notFound('load');
  if (load.status !== 'winding') return conflict(because('log-closed'));
  const order = load.segments.filter((segment) => segment.wound);
  const index = order.findIndex((segment) => segment.segmentId === input.segmentId);
  if (index < 0) return notFound('wound segment');
  const before = order.slice(0, index).find((s) => !load.winding.some((entry) => entry.segmentId === s.segmentId));
  if (before) return conflict(because('goes-on-first', { segment: before.name }));
  const { counter } = record.reel;
  if (counter && input.reading === null) return invalid('reading', because('reading-wanted'));
  const tooLarge = refuseReading(record, input.reading);
  if (tooLarge) return tooLarge;
  const { corrects, ...note } = input;
  const standing = load.winding.find((entry) => entry.segmentId === input.segmentId);
  if (standing && standing.id !== corrects) {
    const segment = order[index]?.name ?? '';
    return conflict(
      standing.reading === null
        ? because('end-noted-elsewhere', { segment })
        : because('end-noted-elsewhere-at', { segment, reading: standing.reading }),
    );
  }
  const noted = { ...note, reading: counter ? input.reading : null };
  if (isMoreThanAnyFill(record, asNoted(record, load, noted))) {
    return invalid(
      input.meteredLengthM !== null ? 'meteredLengthM' : input.turnsCounted !== null ? 'turnsCounted' : 'reading',
      because('more-than-any-spool'),
    );
  }
  const outlook = windingOutlook(record);
  const segment = order[index];
  if (outlook && segment && !standing) {
    const asked = askedLength(record, outlook, segment, noted);
    if (asked) return conflict(lengthAsked(asked));
    if (outlook.mustAsk && input.lengthIs === 'plan') return conflict(because('level-over-rim'));
  }
  await insertWindingEntry(db, boatId, { ...noted, loadId });
  return done({ done: true });
}

function lengthAsked({ segment, typedM, saidM, by }: AskedLength): RefusalReason {
  return because(by === 'turns' ? 'turns-say-other-length' : 'counter-says-other-length', { segment, typedM, saidM });
}

/** Keeps a change of a typed length that a person has agreed to, of a segment that is still to come. */
export async function agreeLength(
  db: BoatDb,
  rigId: string,
  loadId: string,
  input: AgreeInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const record = await benchToWrite(db, rigId);
  const load = record?.load;
  if (!record || load?.id !== loadId) return notFound('load');
  if (load.status !== 'winding') return conflict(because('log-closed'));
  const segment = load.segments.find((each) => each.segmentId === input.segmentId);
  if (!segment) return notFound('segment');
  if (load.winding.some((entry) => entry.segmentId === input.segmentId)) {
    return conflict(because('segment-all-on', { segment: segment.name }));
  }
  if (Math.abs(segment.plannedLengthM - input.fromM) > SAME_LENGTH_M) return conflict(because('changed-elsewhere'));
  await insertAgreedLength(db, db.boatId, { loadId, segmentId: input.segmentId, lengthM: input.lengthM });
  await insertLogEntry(
    db,
    db.boatId,
    rigId,
    'load',
    because('length-agreed', { segment: segment.name, fromM: segment.plannedLengthM, toM: input.lengthM }),
  );
  return done({ done: true });
}

/** Lengths that differ by less (m) are the same one. */
const SAME_LENGTH_M = 0.001;

/** The line on the spool with one more end noted. */
function asNoted(record: RigRecord, load: LoadRecord, entry: Omit<WindingEntryRecord, 'id' | 'at'>): LoadedLine {
  const winding = [...load.winding, { ...entry, id: 'noted', at: load.startedAt }];
  const on = load.segments.filter((segment) => winding.some((each) => each.segmentId === segment.segmentId));
  return woundLine(record, { ...load, segments: on, winding, levels: [], levelBelowRimM: null });
}

/**
 * Notes a level. While winding it belongs to the segment whose end has just gone on, and the rest is solved again; of a
 * finished load it is the level at its end, measured late or typed wrongly before.
 */
export async function noteLevel(
  db: BoatDb,
  rigId: string,
  loadId: string,
  input: LevelInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await benchToWrite(db, rigId);
  const load = record?.load;
  if (!record || load?.id !== loadId) return notFound('load');
  const outermost =
    load.status === 'winding' ? load.winding.at(-1) : load.segments.findLast((segment) => segment.wound);
  if (outermost?.segmentId !== input.segmentId) {
    return conflict(because('level-of-last-segment'));
  }
  if (load.changes.length > 0 || load.replacements.length > 0) {
    return conflict(because('level-too-late'));
  }
  if (isBeyondSpool(record, input.levelBelowRimM)) return beyondSpool();
  await insertLevel(db, boatId, { ...input, loadId });
  return done({ done: true });
}

function beyondSpool(): Refusal {
  return invalid('levelBelowRimM', because('deeper-than-spool'));
}

/** Closes a load: everything wound is noted, and the level, when measured, is one that this spool can have. */
export async function finishWinding(
  db: BoatDb,
  rigId: string,
  loadId: string,
  input: FinishInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await benchToWrite(db, rigId);
  const load = record?.load;
  if (!record || load?.id !== loadId) return notFound('load');
  if (load.status !== 'winding') return conflict(because('load-finished'));
  const missing = load.segments.find((s) => s.wound && !load.winding.some((entry) => entry.segmentId === s.segmentId));
  if (missing) return conflict(because('segment-not-on', { segment: missing.name }));
  const { levelBelowRimM } = input;
  if (levelBelowRimM !== null && isBeyondSpool(record, levelBelowRimM)) return beyondSpool();
  const line = woundLine(record, { ...load, status: 'wound', levelBelowRimM });
  const last = load.segments.findLast((segment) => segment.wound);
  if (levelBelowRimM !== null && last) {
    await insertLevel(db, boatId, { loadId, segmentId: last.segmentId, levelBelowRimM, instrument: 'read by eye' });
  }
  if (!(await finishLoad(db, boatId, loadId, input.version, input.laid))) return conflict(because('changed-elsewhere'));
  for (const join of record.planJoins) await insertLoadJoin(db, boatId, loadId, join);
  for (const { segmentId, supplySpoolId } of input.supplies) {
    const lengthM = line.segments.find((segment) => segment.id === segmentId)?.lengthM;
    const refusal = await takeFromShelf(db, record, { supplySpoolId, loadId, segmentId, lengthM });
    // Nothing of a finish is kept when one spool cannot give what was wound.
    if (refusal) return refusal;
  }
  await insertLogEntry(
    db,
    boatId,
    rigId,
    'load',
    because('loaded', { segments: load.segments.map((segment) => segment.name) }),
  );
  return done({ done: true });
}
