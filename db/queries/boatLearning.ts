import {
  NOTHING_LEARNED,
  type BoatLearning,
  type KnownBy,
  type LearnedLines,
  type LearnedOfReel,
} from '../../core/rig/load/learnFromLoads';
import { oncePer } from '../../core/oncePer';
import type { BoatDb } from '../withBoat';

/** Raised when the model changes what the same evidence teaches, so that what was kept is worked out anew. */
const MODEL = 'one posterior 2';

/**
 * Names everything that teaches a boat's reels and lines: rows of measurements are only ever added, and what is changed
 * counts its versions, so that counts and sums, and the acts that were undone, name a state of the evidence.
 */
const VERSION = `concat_ws('.', '${MODEL}',
  (SELECT md5(string_agg(number::text, ' ' ORDER BY number)) FROM acts WHERE boat_id = $1 AND undone_by IS NOT NULL),
  (SELECT count(*) FROM loads WHERE boat_id = $1 AND status = 'wound'),
  (SELECT count(*) FROM winding_entries WHERE boat_id = $1
     AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND status = 'wound')),
  (SELECT count(*) FROM level_readings WHERE boat_id = $1
     AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND status = 'wound')),
  (SELECT count(*) FROM reverse_fills WHERE boat_id = $1),
  (SELECT count(*) FROM reel_resets WHERE boat_id = $1),
  (SELECT count(*) FROM counter_trials WHERE boat_id = $1
     AND load_id IN (SELECT id FROM loads WHERE boat_id = $1 AND status = 'wound')),
  (SELECT count(*) FROM line_changes WHERE boat_id = $1),
  (SELECT count(*) FROM segment_replacements WHERE boat_id = $1),
  (SELECT concat_ws('-', count(*), sum(version)) FROM reels WHERE boat_id = $1),
  (SELECT concat_ws('-', count(*), sum(version)) FROM line_products WHERE boat_id = $1))`;

/** The version of a boat's evidence, as it stands in this transaction. */
export async function evidenceVersion(db: BoatDb): Promise<string> {
  const result = await db.query<{ version: string }>(`SELECT ${VERSION} AS version`, [db.boatId]);
  return result.rows[0]?.version ?? MODEL;
}

/** What was learned of several reels, and whether it is of the evidence as it stands. */
export interface KeptLearning {
  readonly isCurrent: boolean;
  readonly lines: LearnedLines;
  readonly reels: ReadonlyMap<string, LearnedOfReel>;
}

/** True when what was kept is of the evidence as it stands in this transaction; asked once of each. */
export const isLearned = oncePer(async (db: BoatDb): Promise<boolean> => {
  // A boat that never loaded a reel has nothing to learn from.
  const result = await db.query<{ is_current: boolean }>(
    `SELECT coalesce((SELECT evidence_version = ${VERSION} FROM boat_learning WHERE boat_id = $1),
       NOT EXISTS (SELECT FROM loads WHERE boat_id = $1 AND status = 'wound')
       AND NOT EXISTS (SELECT FROM reverse_fills WHERE boat_id = $1)) AS is_current`,
    [db.boatId],
  );
  return result.rows[0]?.is_current ?? false;
});

/** What was learned last of a boat's lines and of some of its reels; of other reels nothing is known by loads. */
export async function findLearning(db: BoatDb, reelIds: readonly string[]): Promise<KeptLearning> {
  const isCurrent = await isLearned(db);
  const result = await db.query<{ lines: LearnedLines; reels: { id: string; learned: LearnedOfReel }[] | null }>(
    `SELECT learned AS lines,
       (SELECT json_agg(json_build_object('id', reel_id, 'learned', learned)) FROM reel_learning
        WHERE boat_id = $1 AND reel_id = ANY($2) AND evidence_version = boat_learning.evidence_version) AS reels
     FROM boat_learning WHERE boat_id = $1`,
    [db.boatId, reelIds],
  );
  const row = result.rows[0];
  return {
    isCurrent,
    lines: row?.lines ?? NOTHING_LEARNED,
    reels: new Map((row?.reels ?? []).map(({ id, learned }) => [id, learned])),
  };
}

/** What one reel is known by, of what was kept. */
export function keptOf(kept: KeptLearning, reelId: string, resetAt: string | null): KnownBy {
  return { lines: kept.lines, reel: kept.reels.get(reelId) ?? null, resetAt, isCurrent: kept.isCurrent };
}

/** Keeps what evidence of a version has taught; what was kept of an older one gives way. */
export async function keepLearning(db: BoatDb, version: string, learning: BoatLearning): Promise<void> {
  await db.query(
    `INSERT INTO boat_learning (boat_id, evidence_version, learned) VALUES ($1, $2, $3)
     ON CONFLICT (boat_id) DO UPDATE SET evidence_version = $2, learned = $3, worked_out_at = clock_timestamp()`,
    [db.boatId, version, JSON.stringify(learning.lines)],
  );
  await db.query(
    `INSERT INTO reel_learning (boat_id, reel_id, evidence_version, learned)
     SELECT $1, (each->'reel'->>'reelId')::uuid, $2, each FROM jsonb_array_elements($3::jsonb) AS each
     ON CONFLICT (boat_id, reel_id) DO UPDATE SET evidence_version = $2, learned = EXCLUDED.learned`,
    [db.boatId, version, JSON.stringify(learning.reels)],
  );
}
