import 'server-only';
import { because } from '../../core/reasons';
import { isFarPull } from '../../core/strength/farPull';
import type { StrengthTestRecord } from '../../core/record/record';
import { listLines } from '../../db/queries/lines';
import { setMeantPlace } from '../../db/queries/rigAims';
import {
  insertStrengthPull,
  insertStrengthSession,
  insertStrengthTest,
  listStrengthTests,
} from '../../db/queries/strength';
import type { BoatDb } from '../../db/withBoat';
import { rigToWrite } from '../rigs/readRigs';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import type { CorrectPullInput, MoveInput, PullInput, SessionInput, TestInput } from './strengthInput';

/** Starts a test of a line, with the expected force written down before the first pull. */
export async function startStrengthTest(db: BoatDb, input: TestInput): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const lines = await listLines(db, boatId);
  if (!lines.some((line) => line.id === input.productId)) return notFound('line');
  return done({ id: await insertStrengthTest(db, boatId, { ...input, sessionId: null }) });
}

/** Keeps a pull. One far from what is expected is asked about, and counts for nothing until somebody has answered. */
export async function recordStrengthPull(
  db: BoatDb,
  testId: string,
  input: PullInput,
): Promise<UseCaseOutcome<{ readonly id: string; readonly heldOut: boolean }>> {
  const { boatId } = db;
  const test = (await listStrengthTests(db, boatId)).find((each) => each.id === testId);
  if (!test) return notFound('strength test');
  const others = test.pulls.map((pull) => pull.peakN);
  const heldOut = isFarPull(input.peakN, others, test.expectedN);
  return done({ id: await insertStrengthPull(db, boatId, { ...input, testId, note: '', heldOut }), heldOut });
}

/** Corrects a pull that was read or typed wrongly. The row stays; a new one stands for it and says why. */
export async function correctPull(
  db: BoatDb,
  pullId: string,
  { reason, ...read }: CorrectPullInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const { pull, test } = pullOf(await listStrengthTests(db, boatId), pullId);
  if (!pull || !test) return notFound('pull');
  await insertStrengthPull(db, boatId, { ...pull, ...read, testId: test.id, note: reason, heldOut: false }, pull.id);
  return done({ done: true });
}

/** A pull, counting or asked about, and its test. */
function pullOf(tests: readonly StrengthTestRecord[], pullId: string) {
  const of = (test: StrengthTestRecord) => [...test.pulls, ...test.openPulls].find((pull) => pull.id === pullId);
  const test = tests.find((each) => of(each) !== undefined);
  return { test, pull: test && of(test) };
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

/**
 * Moves a pull to the line that it belongs to: to its newest test in the same condition, or to a new one where it has none. The
 * row stays where it was; a new one corrects it and says why.
 */
export async function movePull(
  db: BoatDb,
  pullId: string,
  { productId, expectedN, reason }: MoveInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  const { boatId } = db;
  const tests = await listStrengthTests(db, boatId);
  const { pull, test: from } = pullOf(tests, pullId);
  const lines = await listLines(db, boatId);
  if (!pull || !from) return notFound('pull');
  if (!lines.some((line) => line.id === productId)) return notFound('line');
  if (from.productId === productId) return conflict(because('pull-there-already'));
  const { condition, gaugeLengthM } = from;
  const there = tests.findLast((test) => test.productId === productId && test.condition === condition);
  const testId =
    there?.id ??
    (await insertStrengthTest(db, boatId, {
      ...{ productId, condition, gaugeLengthM, expectedN },
      sampleLabel: '',
      sessionId: null,
    }));
  await insertStrengthPull(db, boatId, { ...pull, testId, note: reason, heldOut: false }, pull.id);
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
