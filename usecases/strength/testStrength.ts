import 'server-only';
import { listLines } from '../../db/queries/lines';
import { insertStrengthPull, insertStrengthTest, listStrengthTests } from '../../db/queries/strength';
import { withTransaction } from '../../db/withTransaction';
import { done, notFound, type UseCaseOutcome } from '../outcome';
import type { PullInput, TestInput } from './strengthInput';

/** Starts a test of a line, with the expected force written down before the first pull. */
export async function startStrengthTest(boatId: string, input: TestInput): Promise<UseCaseOutcome<{ id: string }>> {
  return withTransaction(async (db) => {
    const lines = await listLines(db, boatId);
    if (!lines.some((line) => line.id === input.productId)) return notFound('line');
    return done({ id: await insertStrengthTest(db, boatId, input) });
  });
}

export async function recordStrengthPull(
  boatId: string,
  testId: string,
  input: PullInput,
): Promise<UseCaseOutcome<{ done: true }>> {
  return withTransaction(async (db) => {
    const tests = await listStrengthTests(db, boatId);
    if (!tests.some((test) => test.id === testId)) return notFound('strength test');
    await insertStrengthPull(db, boatId, testId, { ...input, correctsId: null, withdrawn: false });
    return done({ done: true });
  });
}
