import 'server-only';
import { boatNameTaken, insertBoat } from '../../db/queries/boats';
import { withTransaction } from '../../db/withTransaction';
import { done, invalid, type UseCaseOutcome } from '../outcome';
import type { BoatInput } from './boatInput';

export async function createBoat(input: BoatInput): Promise<UseCaseOutcome<{ id: string }>> {
  return withTransaction(async (db) => {
    if (await boatNameTaken(db, input.name)) return invalid('name', `There is a boat called ${input.name} already.`);
    return done({ id: await insertBoat(db, input.name, input.homeWater) });
  });
}
