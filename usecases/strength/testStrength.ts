import 'server-only';
import { because } from '../../core/reasons';
import { listLines } from '../../db/queries/lines';
import { setMeantPlace } from '../../db/queries/rigs';
import {
  insertStrengthPull,
  insertStrengthSession,
  insertStrengthTest,
  listStrengthTests,
} from '../../db/queries/strength';
import type { BoatDb } from '../../db/withBoat';
import { rigToWrite } from '../rigs/readRigs';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import type { MoveInput, PullInput, SessionInput, TestInput } from './strengthInput';

/** Starts a test of a line, with the expected force written down before the first pull. */
export async function startStrengthTest(db: BoatDb, input: TestInput): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const lines = await listLines(db, boatId);
  if (!lines.some((line) => line.id === input.productId)) return notFound('line');
  return done({ id: await insertStrengthTest(db, boatId, { ...input, sessionId: null }) });
}

export async function recordStrengthPull(
  db: BoatDb,
  testId: string,
  input: PullInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const tests = await listStrengthTests(db, boatId);
  if (!tests.some((test) => test.id === testId)) return notFound('strength test');
  await insertStrengthPull(db, boatId, { ...input, testId, note: '' });
  return done({ done: true });
}

/** Plans a session: one test for each line, every expected force on record before the first pull. */
export async function planSession(db: BoatDb, input: SessionInput): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const lines = await listLines(db, boatId);
  if (input.lines.some(({ productId }) => !lines.some((line) => line.id === productId))) return notFound('line');
  const { name, pullsEach, condition, gaugeLengthM } = input;
  const sessionId = await insertStrengthSession(db, boatId, { name, pullsEach });
  for (const line of input.lines) {
    await insertStrengthTest(db, boatId, { ...line, condition, gaugeLengthM, sessionId });
  }
  return done({ id: sessionId });
}

/** Moves a pull to the test that it belongs to. The row stays where it was; a new one corrects it and says why. */
export async function movePull(db: BoatDb, testId: string, input: MoveInput): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const tests = await listStrengthTests(db, boatId);
  const from = tests.find((test) => test.pulls.some((pull) => pull.id === input.pullId));
  const pull = from?.pulls.find((each) => each.id === input.pullId);
  if (!pull || !from || !tests.some((test) => test.id === testId)) return notFound('pull or test');
  if (from.id === testId) return conflict(because('pull-there-already'));
  await insertStrengthPull(db, boatId, { ...pull, testId, note: input.reason }, pull.id);
  return done({ done: true });
}

/** Keeps which place of a rig is meant to break on a snag. */
export async function chooseMeantPlace(
  db: BoatDb,
  rigId: string,
  placeId: string | null,
): Promise<UseCaseOutcome<{ done: true }>> {
  const record = await rigToWrite(db, rigId, 'summary');
  if (!record) return notFound('rig');
  const places = [...record.segments, ...record.joins, ...record.planJoins].map((place) => place.id);
  const onLine = record.load?.segments.map((segment) => segment.segmentId) ?? [];
  if (placeId !== null && ![...places, ...onLine].includes(placeId)) return notFound('segment or join');
  return (await setMeantPlace(db, db.boatId, rigId, placeId)) ? done({ done: true }) : notFound('rig');
}
