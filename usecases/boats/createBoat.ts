import 'server-only';
import { because } from '../../core/reasons';
import { boatNameTaken, insertBoat } from '../../db/queries/boats';
import type { BoatDb } from '../../db/withBoat';
import { done, invalid, type UseCaseOutcome } from '../outcome';
import type { BoatInput } from './boatInput';

/** Makes a locker for a boat. Belongs to work without a boat. */
export async function createBoat(db: BoatDb, input: BoatInput): Promise<UseCaseOutcome<{ id: string }>> {
  if (await boatNameTaken(db, input.name)) return invalid('name', because('boat-name-taken', { name: input.name }));
  return done({ id: await insertBoat(db, input.name, input.homeWater) });
}
