import { reelShape } from '../../core/gear/reelShape';
import type { CounterRecord, ReelRecord } from '../../core/record/record';
import type { Source } from '../../core/provenance/source';
import { onlyRow, type Queryable } from '../withBoat';

interface Row {
  id: string;
  name: string;
  kind: ReelRecord['kind'];
  arbor_diameter_m: number | null;
  width_m: number | null;
  full_diameter_m: number | null;
  dimension_sd_m: number;
  dimension_source: Source;
  counter_kind: 'spool' | 'roller' | 'none';
  counter_unit_m: number | null;
  counter_digits: number | null;
  counter_length_per_turn_m: number | null;
  counter_length_per_turn_sd_m: number | null;
  counter_source: Source | null;
  counter_display: CounterRecord['display'] | null;
  wind_hand: 'left' | 'right';
  drag_kind: ReelRecord['dragKind'];
  drag_limit_n: number | null;
  gear_ratio: number | null;
  archived_at: string | null;
  version: number;
  ratings: { lineDiameterM: number; lengthM: number; label: string }[];
}

function toCounter(row: Row): CounterRecord | null {
  if (
    row.counter_kind === 'none' ||
    row.counter_unit_m === null ||
    row.counter_digits === null ||
    row.counter_length_per_turn_m === null ||
    row.counter_length_per_turn_sd_m === null ||
    row.counter_source === null ||
    row.counter_display === null
  ) {
    return null;
  }
  return {
    drive: row.counter_kind,
    unitM: row.counter_unit_m,
    digits: row.counter_digits,
    display: row.counter_display,
    lengthPerTurnM: {
      value: row.counter_length_per_turn_m,
      sd: row.counter_length_per_turn_sd_m,
      source: row.counter_source,
    },
  };
}

function toReel(row: Row): ReelRecord {
  const measured = {
    arborDiameterM: row.arbor_diameter_m,
    widthM: row.width_m,
    fullDiameterM: row.full_diameter_m,
    sdM: row.dimension_sd_m,
  };
  return {
    id: row.id,
    name: row.name,
    kind: row.kind,
    ...reelShape(row.kind, measured, row.ratings),
    measured,
    ratings: row.ratings,
    counter: toCounter(row),
    windHand: row.wind_hand,
    gearRatio: row.gear_ratio,
    dragKind: row.drag_kind,
    dragLimitN: row.drag_limit_n,
    archivedAt: row.archived_at,
    version: row.version,
  };
}

const SELECT_REEL = `
  SELECT reels.*, COALESCE((
    SELECT json_agg(json_build_object('lineDiameterM', line_diameter_m, 'lengthM', length_m, 'label', label) ORDER BY line_diameter_m)
    FROM reel_capacity_ratings WHERE reel_id = reels.id), '[]') AS ratings
  FROM reels`;

export async function listReels(db: Queryable, boatId: string): Promise<readonly ReelRecord[]> {
  const result = await db.query<Row>(`${SELECT_REEL} WHERE boat_id = $1 ORDER BY name`, [boatId]);
  return result.rows.map(toReel);
}

export async function listReelsById(
  db: Queryable,
  boatId: string,
  reelIds: readonly string[],
): Promise<readonly ReelRecord[]> {
  const result = await db.query<Row>(`${SELECT_REEL} WHERE boat_id = $1 AND id = ANY($2)`, [boatId, reelIds]);
  return result.rows.map(toReel);
}

/** Locks a reel until the transaction ends; false when the boat has no such reel. */
export async function lockReel(db: Queryable, boatId: string, reelId: string): Promise<boolean> {
  const result = await db.query('SELECT 1 FROM reels WHERE boat_id = $1 AND id = $2 FOR UPDATE', [boatId, reelId]);
  return result.rows.length === 1;
}

export async function findReel(db: Queryable, boatId: string, reelId: string): Promise<ReelRecord | null> {
  const result = await db.query<Row>(`${SELECT_REEL} WHERE boat_id = $1 AND id = $2`, [boatId, reelId]);
  return result.rows[0] ? toReel(result.rows[0]) : null;
}

/** What a person states of a reel. The counter is null for a reel without one. */
export interface ReelInput {
  readonly name: string;
  readonly kind: ReelRecord['kind'];
  readonly arborDiameterM: number | null;
  readonly widthM: number | null;
  readonly fullDiameterM: number | null;
  readonly dimensionSdM: number;
  readonly dimensionSource: Source;
  readonly counter: CounterRecord | null;
  readonly windHand: 'left' | 'right';
  readonly dragKind: ReelRecord['dragKind'];
  readonly dragLimitN: number | null;
  readonly gearRatio: number | null;
}

function reelValues(reel: ReelInput): unknown[] {
  const { counter } = reel;
  return [
    reel.name,
    reel.kind,
    reel.arborDiameterM,
    reel.widthM,
    reel.fullDiameterM,
    reel.dimensionSdM,
    reel.dimensionSource,
    counter?.drive ?? 'none',
    counter?.unitM ?? null,
    counter?.digits ?? null,
    counter?.lengthPerTurnM.value ?? null,
    counter?.lengthPerTurnM.sd ?? null,
    counter?.lengthPerTurnM.source ?? null,
    counter?.display ?? null,
    reel.windHand,
    reel.dragKind,
    reel.dragLimitN,
    reel.gearRatio,
  ];
}

export async function insertReel(db: Queryable, boatId: string, reel: ReelInput): Promise<string> {
  const result = await db.query<{ id: string }>(
    `INSERT INTO reels (name, kind, arbor_diameter_m, width_m, full_diameter_m, dimension_sd_m, dimension_source,
       counter_kind, counter_unit_m, counter_digits, counter_length_per_turn_m, counter_length_per_turn_sd_m,
       counter_source, counter_display, wind_hand, drag_kind, drag_limit_n, gear_ratio, boat_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19) RETURNING id`,
    [...reelValues(reel), boatId],
  );
  return onlyRow(result).id;
}

/** Writes a reel over the version that was read; false when somebody else has written since. */
export async function updateReel(
  db: Queryable,
  boatId: string,
  reelId: string,
  version: number,
  reel: ReelInput,
): Promise<boolean> {
  const result = await db.query(
    `UPDATE reels SET name = $1, kind = $2, arbor_diameter_m = $3, width_m = $4, full_diameter_m = $5,
       dimension_sd_m = $6, dimension_source = $7, counter_kind = $8, counter_unit_m = $9, counter_digits = $10,
       counter_length_per_turn_m = $11, counter_length_per_turn_sd_m = $12, counter_source = $13,
       counter_display = $14, wind_hand = $15, drag_kind = $16, drag_limit_n = $17, gear_ratio = $18,
       version = version + 1
     WHERE boat_id = $19 AND id = $20 AND version = $21`,
    [...reelValues(reel), boatId, reelId, version],
  );
  return result.rowCount === 1;
}

/** Puts a reel's capacity ratings in the place of the ones that stood there, in one statement for all. */
export async function replaceRatings(
  db: Queryable,
  boatId: string,
  reelId: string,
  ratings: ReelRecord['ratings'],
): Promise<void> {
  await db.query('DELETE FROM reel_capacity_ratings WHERE boat_id = $1 AND reel_id = $2', [boatId, reelId]);
  if (ratings.length === 0) return;
  await db.query(
    `INSERT INTO reel_capacity_ratings (boat_id, reel_id, label, line_diameter_m, length_m)
     SELECT $1, $2, label, line_diameter_m, length_m
     FROM unnest($3::text[], $4::double precision[], $5::double precision[]) AS of_reel (label, line_diameter_m, length_m)`,
    [
      boatId,
      reelId,
      ratings.map((rating) => rating.label),
      ratings.map((rating) => rating.lineDiameterM),
      ratings.map((rating) => rating.lengthM),
    ],
  );
}

/** Notes how the display of a reel's counter makes whole counts; false when there is no such counter. */
export async function setDisplay(
  db: Queryable,
  boatId: string,
  reelId: string,
  display: CounterRecord['display'],
): Promise<boolean> {
  const result = await db.query(
    `UPDATE reels SET counter_display = $3, version = version + 1
     WHERE boat_id = $1 AND id = $2 AND counter_display IS NOT NULL`,
    [boatId, reelId, display],
  );
  return result.rowCount === 1;
}

const DIMENSION_COLUMNS = { arbor: 'arbor_diameter_m', width: 'width_m', rim: 'full_diameter_m' } as const;

/** Keeps one dimension of a spool as a caliper had it; false where the reel was changed elsewhere. */
export async function setDimension(
  db: Queryable,
  boatId: string,
  reelId: string,
  version: number,
  what: keyof typeof DIMENSION_COLUMNS,
  valueM: number,
): Promise<boolean> {
  const result = await db.query(
    `UPDATE reels SET ${DIMENSION_COLUMNS[what]} = $4, version = version + 1
     WHERE boat_id = $1 AND id = $2 AND version = $3`,
    [boatId, reelId, version, valueM],
  );
  return result.rowCount === 1;
}
