import 'server-only';
import { readSlip } from '../../core/joins/slipCheck';
import { findTiePhoto, insertSlipCheck, insertTiePhoto } from '../../db/queries/joinChecks';
import { listJoins } from '../../db/queries/joins';
import { insertLogEntry } from '../../db/queries/log';
import { reader, withTransaction } from '../../db/withTransaction';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import type { PhotoInput, SlipInput } from './joinInput';

/** Keeps a look at the mark across spool and line. */
export async function checkSlip(
  boatId: string,
  rigId: string,
  joinId: string,
  input: SlipInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  return withTransaction(async (db) => {
    const join = (await listJoins(db, boatId, rigId)).find((candidate) => candidate.id === joinId);
    if (!join) return notFound('join');
    if (join.innerSegmentId !== null) return conflict('Only the arbor is marked: this join is between two lines.');
    await insertSlipCheck(db, boatId, joinId, input);
    await insertLogEntry(db, boatId, rigId, 'join', `Mark at the arbor looked at: ${readSlip(input.movedM).words}`);
    return done({ done: true });
  });
}

const JPEG_HEAD = Buffer.from([0xff, 0xd8, 0xff]);

/** Keeps a photo of a tie. Only a JPEG is kept, and only as large as a phone's small one. */
export async function keepTiePhoto(
  boatId: string,
  tieId: string,
  input: PhotoInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const jpeg = Buffer.from(input.jpegBase64, 'base64');
  if (!jpeg.subarray(0, 3).equals(JPEG_HEAD)) return invalid('jpegBase64', 'That is not a JPEG picture.');
  return withTransaction(async (db) =>
    (await insertTiePhoto(db, boatId, tieId, jpeg)) ? done({ done: true }) : notFound('tied join'),
  );
}

/** The newest photo of a tie, or null. */
export async function readTiePhoto(boatId: string, tieId: string): Promise<Buffer | null> {
  return findTiePhoto(reader(), boatId, tieId);
}
