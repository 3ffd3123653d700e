import 'server-only';
import { because } from '../../core/reasons';
import { countsForLine, type Counter } from '../../core/counter/counter';
import { unwrapReading } from '../../core/counter/unwrapReading';
import { countBasis } from '../../core/rig/bases';
import { colourPlace } from '../../core/rig/count/colourPlace';
import { rulerOf } from '../../core/rig/line/counterOf';
import { counterEstimate } from '../../core/rig/counter/counterEvidence';
import { currentLine, validTrial, type CurrentLine } from '../../core/rig/line/currentLine';
import { FAR_SDS, trialAgainstKnown } from '../../core/calibration/farTrial';
import { trialObservation, wasLogged } from '../../core/rig/counter/loadObservations';
import type { RigRecord } from '../../core/record/record';
import { spoolStateAt, type LoadedLine } from '../../core/spool/loadedLine';
import { insertCalibration, insertTrial } from '../../db/queries/count';
import { insertLogEntry } from '../../db/queries/log';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, invalid, notFound, type Refusal, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';
import type { AcceptInput, TrialInput } from './countInput';

/** Records one test of a counter: a walk along a tape, a colour at the tip, or spool turns. */
export async function recordTrial(
  db: BoatDb,
  rigId: string,
  input: TrialInput,
): Promise<UseCaseOutcome<{ readonly id: string; readonly heldOut: boolean }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  const { load } = record;
  // Without a counter the spool's turns are counted.
  const known = rulerOf(record);
  const counter = { ...known, lengthPerTurnM: known.lengthPerTurnM.value };
  if (load?.id !== input.loadId) return conflict(because('wound-again-test'));
  if (load.status !== 'wound') return conflict(because('finish-winding-first'));
  const line = currentLine(record);
  if (!line.ok) return conflict(line);
  const measured = measureOf(record, input, counter, line.value.line);
  if ('refusal' in measured) return measured.refusal;
  const reading = unwrapReading(input.reading, measured.expectedCounts, counter);
  if (!reading.ok) return invalid('reading', reading);
  const lastTrialAt = record.trials.at(-1)?.at ?? '';
  const strippedBeforeM = -load.changes
    .filter((change) => change.at > lastTrialAt)
    .reduce((sum, c) => sum + c.changeM, 0);
  const trial = {
    loadId: input.loadId,
    kind: input.kind,
    trueLengthM: measured.trueLengthM,
    turns: input.kind === 'turns' ? input.turns : null,
    betweenFlips: input.kind === 'turns' && input.betweenFlips,
    reading: reading.value,
    strippedBeforeM,
    instrument: input.instrument,
  };
  const heldOut = isFar(record, line.value, trial);
  return done({ id: await insertTrial(db, boatId, { ...trial, heldOut }), heldOut });
}

/** True where a test contradicts everything that is known: it is asked about before it counts. */
function isFar(record: RigRecord, current: CurrentLine, trial: Parameters<typeof trialObservation>[0]): boolean {
  const observation = trialObservation(trial, current);
  const against = observation && trialAgainstKnown(counterEstimate(record, current), observation);
  return against !== null && Math.abs(against.offSds) > FAR_SDS;
}

/** The true length of a test, and about what the counter should show; or why it cannot be. */
function measureOf(
  record: RigRecord,
  input: TrialInput,
  counter: Counter,
  line: LoadedLine,
): { trueLengthM: number | null; expectedCounts: number } | { refusal: Refusal } {
  if (input.kind === 'turns') {
    if (!record.reel.counter || counter.drive === 'roller') {
      return { refusal: conflict(because('turns-need-spool-drive')) };
    }
    const line = { turns: input.turns, lengthM: NaN };
    return { trueLengthM: null, expectedCounts: countsForLine(line, counter) };
  }
  if (input.kind === 'colour') {
    const place = colourPlace(record, line, input.segmentId, input.coloursOut);
    if (!place.ok) return { refusal: invalid('coloursOut', place) };
    return { trueLengthM: place.value, expectedCounts: expectedAt(record, line, place.value, counter) };
  }
  if (input.trueLengthM > line.woundLengthM) {
    return { refusal: invalid('trueLengthM', because('longer-than-wound', { lengthM: line.woundLengthM })) };
  }
  const { trueLengthM } = input;
  return { trueLengthM, expectedCounts: expectedAt(record, line, trueLengthM, counter) };
}

/** A counter shows about the length; turns of the spool are what the line's geometry says. */
function expectedAt(record: RigRecord, line: LoadedLine, lengthM: number, counter: Counter): number {
  return record.reel.counter ? lengthM / counter.unitM : spoolStateAt(line, lengthM).turns;
}

/** Accepts the counter as it now is: made true, or left alone with a correction card. */
export async function acceptCalibration(
  db: BoatDb,
  rigId: string,
  input: AcceptInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  if (record.load?.id !== input.loadId) return conflict(because('wound-again-first'));
  const line = currentLine(record);
  if (!line.ok) return conflict(line);
  if (!record.reel.counter) return conflict(because('no-counter-to-accept'));
  if (record.openTrials.length > 0) return conflict(because('answer-first'));
  const estimate = counterEstimate(record, line.value);
  if (!validTrial(record) && !wasLogged(record)) {
    return conflict(because('neither-walk-nor-log'));
  }
  await insertCalibration(db, boatId, rigId, {
    loadId: input.loadId,
    method: input.method,
    lengthPerTurnM: estimate.constantM,
    basis: countBasis(record, line.value.line),
  });
  const accepted = because(input.method === 'true' ? 'counter-accepted' : 'counter-left');
  await insertLogEntry(db, boatId, rigId, 'count', accepted);
  return done({ done: true });
}
