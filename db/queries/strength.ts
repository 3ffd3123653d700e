import type { PullRecord, StrengthTestRecord } from '../../core/rig/record';
import { onlyRow, type Queryable } from '../withTransaction';
import { standing } from './standing';

interface TestRow {
  id: string;
  line_product_id: string;
  condition: StrengthTestRecord['condition'];
  gauge_length_m: number;
  expected_n: number;
  sample_label: string;
  started_at: string;
}

/** Every strength test of a boat with its standing pulls, oldest first. */
export async function listStrengthTests(db: Queryable, boatId: string): Promise<readonly StrengthTestRecord[]> {
  const tests = await db.query<TestRow>(
    `SELECT id, line_product_id, condition, gauge_length_m, expected_n, sample_label, started_at
     FROM strength_tests WHERE boat_id = $1 ORDER BY started_at`,
    [boatId],
  );
  const pulls = await db.query<{
    id: string;
    strength_test_id: string;
    peak_n: number;
    break_place: PullRecord['breakPlace'];
    instrument: string;
    noted_at: string;
  }>(
    `SELECT id, strength_test_id, peak_n, break_place, instrument, noted_at FROM strength_pulls
     WHERE boat_id = $1 AND ${standing('strength_pulls')} ORDER BY noted_at`,
    [boatId],
  );
  return tests.rows.map((test) => ({
    id: test.id,
    productId: test.line_product_id,
    condition: test.condition,
    gaugeLengthM: test.gauge_length_m,
    expectedN: test.expected_n,
    sampleLabel: test.sample_label,
    at: test.started_at,
    pulls: pulls.rows
      .filter((pull) => pull.strength_test_id === test.id)
      .map((pull) => ({
        id: pull.id,
        peakN: pull.peak_n,
        breakPlace: pull.break_place,
        instrument: pull.instrument,
        at: pull.noted_at,
      })),
  }));
}

export async function insertStrengthTest(
  db: Queryable,
  boatId: string,
  test: Pick<StrengthTestRecord, 'productId' | 'condition' | 'gaugeLengthM' | 'expectedN' | 'sampleLabel'>,
): Promise<string> {
  const result = await db.query<{ id: string }>(
    `INSERT INTO strength_tests (boat_id, line_product_id, condition, gauge_length_m, expected_n, sample_label)
     VALUES ($1, $2, $3, $4, $5, $6) RETURNING id`,
    [boatId, test.productId, test.condition, test.gaugeLengthM, test.expectedN, test.sampleLabel],
  );
  return onlyRow(result).id;
}

export async function insertStrengthPull(
  db: Queryable,
  boatId: string,
  testId: string,
  pull: Pick<PullRecord, 'peakN' | 'breakPlace' | 'instrument'> & {
    readonly correctsId: string | null;
    readonly withdrawn: boolean;
  },
): Promise<void> {
  await db.query(
    `INSERT INTO strength_pulls (boat_id, strength_test_id, peak_n, break_place, instrument, corrects_id, withdrawn)
     VALUES ($1, $2, $3, $4, $5, $6, $7)`,
    [boatId, testId, pull.peakN, pull.breakPlace, pull.instrument, pull.correctsId, pull.withdrawn],
  );
}
