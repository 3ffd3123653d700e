import 'server-only';
import { because } from '../../core/reasons';
import { readSlip } from '../../core/joins/slipCheck';
import { weakerLineN } from '../../core/rig/joins/joinsOfRig';
import { insertJoinBreak, insertSlipCheck, insertTiePhoto, photoBytes } from '../../db/queries/joinChecks';
import { insertLogEntry } from '../../db/queries/log';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';
import { joinToWrite } from './joinToWrite';
import type { JoinPullInput, PhotoInput, SlipInput } from './joinInput';

/** Keeps a look at the mark across spool and line. */
export async function checkSlip(
  db: BoatDb,
  rigId: string,
  joinId: string,
  input: SlipInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const found = await joinToWrite(db, rigId, joinId);
  if (!found.ok) return found;
  const { join } = found.value;
  if (join.innerSegmentId !== null) return conflict(because('only-arbor-is-marked'));
  await insertSlipCheck(db, boatId, { ...input, joinId });
  await insertLogEntry(db, boatId, rigId, 'join', because('slip-looked-at', { found: readSlip(input.movedM).why }));
  return done({ done: true });
}

/** Keeps a join pulled to the break, beside what its weaker line is taken to hold today. */
export async function recordJoinBreak(
  db: BoatDb,
  rigId: string,
  joinId: string,
  input: JoinPullInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  const join = record?.joins.find((candidate) => candidate.id === joinId);
  if (!record || !join) return notFound('join');
  const weakerN = weakerLineN(record, join);
  if (weakerN === null) {
    return conflict(because('join-has-no-strength'));
  }
  if (input.peakN > MOST_OF_LINE * weakerN) {
    return invalid('peakN', because('join-far-too-strong'));
  }
  await insertJoinBreak(db, boatId, { ...input, joinId, weakerN });
  await insertLogEntry(db, boatId, rigId, 'join', because('join-broken', { share: input.peakN / weakerN }));
  return done({ done: true });
}

/** No join holds more than its line; labels are low by half at most. */
const MOST_OF_LINE = 2;

/** What the photos of one boat may take (bytes): some seven hundred of a phone's small ones. */
const MOST_PHOTOS_BYTES = 100_000_000;

/** Keeps a photo of a tie, as it was written anew: only its pixels. */
export async function keepTiePhoto(
  db: BoatDb,
  tieId: string,
  input: PhotoInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const jpeg = Buffer.from(input.jpegBase64, 'base64');
  if ((await photoBytes(db)) + jpeg.length > MOST_PHOTOS_BYTES) {
    return invalid('jpegBase64', because('photos-full'));
  }
  return (await insertTiePhoto(db, db.boatId, tieId, jpeg)) ? done({ done: true }) : notFound('tied join');
}
