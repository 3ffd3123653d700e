import 'server-only';
import { constantFromTape } from '../../core/calibration/counterConstant';
import { countsPerWrap } from '../../core/counter/counter';
import { countBasis } from '../../core/rig/bases';
import { counterOf } from '../../core/rig/counterOf';
import { currentLine, validTrial } from '../../core/rig/currentLine';
import { insertCalibration, insertTrial } from '../../db/queries/count';
import { insertLogEntry } from '../../db/queries/log';
import { withTransaction } from '../../db/withTransaction';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { readRigRecord } from '../rigs/rigRecord';
import type { AcceptInput, TrialInput } from './countInput';

/** A counter off by more than this factor was not zeroed, or the units differ. */
const MOST_OFF = 2;

/** Records one walk along a tape. */
export async function recordTrial(
  boatId: string,
  rigId: string,
  input: TrialInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  return withTransaction(async (db) => {
    const record = await readRigRecord(boatId, rigId, db);
    if (!record) return notFound('rig');
    const { load } = record;
    const counter = counterOf(record);
    if (!counter) return conflict('This reel has no counter to test.');
    if (load?.id !== input.loadId)
      return conflict('The line was wound again since this walk: it says nothing about the new load.');
    if (load.status !== 'wound') return conflict('Finish winding first.');
    const line = currentLine(record);
    if (!line.ok) return conflict(line.message);
    if (input.trueLengthM > line.value.line.woundLengthM) {
      return invalid('trueLengthM', `There are only about ${line.value.line.woundLengthM.toFixed(0)} m on the spool.`);
    }
    if (input.reading >= countsPerWrap(counter)) {
      return invalid(
        'reading',
        `This counter has ${counter.digits} digits: it shows at most ${countsPerWrap(counter) - 1}.`,
      );
    }
    const ratio = (input.reading * counter.unitM) / input.trueLengthM;
    if (!(ratio < MOST_OFF && ratio > 1 / MOST_OFF)) {
      return invalid(
        'reading',
        'That is off by more than a factor of two. Was the counter zeroed before the walk, and is the length in the right unit?',
      );
    }
    const lastTrialAt = record.trials.at(-1)?.at ?? '';
    const strippedBeforeM = -load.changes
      .filter((change) => change.at > lastTrialAt)
      .reduce((sum, c) => sum + c.changeM, 0);
    await insertTrial(db, boatId, { ...input, strippedBeforeM, correctsId: null, withdrawn: false });
    return done({ done: true });
  });
}

/** Accepts the counter as it now is: made true, or left alone with a correction card. */
export async function acceptCalibration(
  boatId: string,
  rigId: string,
  input: AcceptInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  return withTransaction(async (db) => {
    const record = await readRigRecord(boatId, rigId, db);
    if (!record) return notFound('rig');
    if (record.load?.id !== input.loadId) return conflict('The line was wound again since: test the new load first.');
    const counter = counterOf(record);
    const trial = validTrial(record);
    const line = currentLine(record);
    if (!counter || !trial || !line.ok)
      return conflict('There is no walk of the line as it is now: walk the tape once more, then accept.');
    await insertCalibration(db, boatId, rigId, {
      loadId: input.loadId,
      method: input.method,
      lengthPerTurnM: constantFromTape(line.value.line, counter.unitM, trial),
      basis: countBasis(record, line.value.line),
    });
    const words = input.method === 'true' ? 'Counter accepted as true.' : 'Counter left as it is; corrected by card.';
    await insertLogEntry(db, boatId, rigId, 'count', words);
    return done({ done: true });
  });
}
