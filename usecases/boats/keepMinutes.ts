import 'server-only';
import type { MeasurementKind } from '../../core/worth/measurement';
import { setMinutes } from '../../db/queries/measuring';
import type { BoatDb } from '../../db/withBoat';
import { done, notFound, type UseCaseOutcome } from '../outcome';

/** Keeps how long measurements take a boat's crew. */
export async function keepMinutes(
  db: BoatDb,
  minutes: Readonly<Partial<Record<MeasurementKind, number>>>,
): Promise<UseCaseOutcome<{ done: true }>> {
  return (await setMinutes(db, db.boatId, minutes)) ? done({ done: true }) : notFound('boat');
}
