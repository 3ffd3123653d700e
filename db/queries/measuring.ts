import type { MeasurementKind } from '../../core/worth/measurement';
import type { Queryable } from '../withBoat';

/** What a reading names that no instrument made. */
const BY_EYE = 'read by eye';

/** Keeps how long measurements take a boat's crew (minutes), by kind; those not named take as long as usual. */
export async function setMinutes(
  db: Queryable,
  boatId: string,
  minutes: Readonly<Partial<Record<MeasurementKind, number>>>,
): Promise<boolean> {
  const result = await db.query('UPDATE boats SET measuring_minutes = $2 WHERE id = $1', [
    boatId,
    JSON.stringify(minutes),
  ]);
  return result.rowCount === 1;
}

/**
 * How long the crew's own measurements took (s): from what the same person did before to the noting of each, the newest first.
 * Of those read by eye; what an instrument streamed says nothing of a hand.
 */
export async function listTimesTaken(
  db: Queryable,
  boatId: string,
): Promise<readonly { readonly kind: MeasurementKind; readonly seconds: number }[]> {
  const result = await db.query<{ kind: MeasurementKind; seconds: number }>(
    `SELECT kind, seconds FROM (
       SELECT number,
         CASE
           WHEN request = 'recordLeverPoint' THEN 'lever-pull'
           WHEN request = 'noteLevel' THEN 'level'
           WHEN request = 'recordTrial' AND asked->>'kind' = 'tape' THEN 'walk'
           WHEN request = 'recordTrial' AND asked->>'kind' = 'turns' THEN 'turns'
           WHEN request = 'recordTrial' AND asked->>'kind' = 'colour' THEN 'colours'
         END AS kind,
         asked->>'instrument' AS instrument,
         extract(epoch FROM noted_at - lag(noted_at) OVER (PARTITION BY noted_by ORDER BY number))::float8 AS seconds
       FROM (SELECT * FROM acts WHERE boat_id = $1 ORDER BY number DESC LIMIT 300) AS newest
     ) AS taken
     WHERE kind IS NOT NULL AND seconds BETWEEN 10 AND 1800 AND coalesce(instrument, $2) = $2
     ORDER BY number DESC`,
    [boatId, BY_EYE],
  );
  return result.rows;
}
