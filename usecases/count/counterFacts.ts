import 'server-only';
import { because } from '../../core/reasons';
import { currentLine } from '../../core/rig/line/currentLine';
import { markPlace } from '../../core/rig/count/lineMarks';
import type { CounterRecord } from '../../core/record/record';
import { insertLineMark } from '../../db/queries/lineMarks';
import { insertLogEntry } from '../../db/queries/log';
import { setDisplay } from '../../db/queries/reels';
import { setHang, setWorkingRange } from '../../db/queries/rigAims';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { rigToWrite } from '../rigs/readRigs';
import type { LineMarkInput } from './countInput';

/** Keeps what the quiz found out about a reel's display. */
export async function noteDisplay(
  db: BoatDb,
  reelId: string,
  display: CounterRecord['display'],
): Promise<UseCaseOutcome<{ done: true }>> {
  return (await setDisplay(db, db.boatId, reelId, display)) ? done({ done: true }) : notFound('counter');
}

/** Keeps what hangs from the tip of a rig when its counter is zeroed. */
export async function noteHang(db: BoatDb, rigId: string, hangM: number): Promise<UseCaseOutcome<{ done: true }>> {
  return (await setHang(db, db.boatId, rigId, hangM)) ? done({ done: true }) : notFound('rig');
}

/** Keeps the lengths of line out that a rig is fished with. */
export async function noteWorkingRange(
  db: BoatDb,
  rigId: string,
  range: { readonly fromM: number; readonly toM: number } | null,
): Promise<UseCaseOutcome<{ done: true }>> {
  return (await setWorkingRange(db, db.boatId, rigId, range)) ? done({ done: true }) : notFound('rig');
}

/** Keeps a mark that was tied or inked at a length from the hook. */
export async function markLine(
  db: BoatDb,
  rigId: string,
  input: LineMarkInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const record = await rigToWrite(db, rigId);
  if (!record) return notFound('rig');
  if (record.load?.id !== input.loadId || record.load.status !== 'wound') {
    return conflict(because('wound-again-mark'));
  }
  const current = currentLine(record);
  if (!current.ok) return conflict(current);
  const place = markPlace(current.value.line, input.lengthOutM);
  if (!place.ok) return invalid('lengthOutM', place);
  const { kind, looks } = input;
  await insertLineMark(db, boatId, { loadId: input.loadId, kind, looks, ...place.value });
  await insertLogEntry(db, boatId, rigId, 'count', because('line-marked', { mark: kind, looks }));
  return done({ done: true });
}
