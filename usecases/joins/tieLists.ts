import 'server-only';
import { setImmediate as turn } from 'node:timers/promises';
import { tieList, type TieList } from '../../core/rig/joins/tieList';
import type { RigRecord } from '../../core/record/record';
import { listRigs } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { readRigs } from '../rigs/readRigs';

export interface TieListOfRig extends TieList {
  readonly record: RigRecord;
}

/** What is to be tied on every rig of a boat, rigs with nothing to do left out. */
export async function readTieLists(db: BoatDb): Promise<readonly TieListOfRig[]> {
  const records = await readRigs(db, await listRigs(db, db.boatId), 'summary');
  const lists: TieListOfRig[] = [];
  for (const record of records) {
    const list = tieList(record, Date.parse(record.readAt));
    if (list.rows.length > 0) lists.push({ ...list, record });
    // Whoever asks for another page meanwhile gets a turn between two rigs.
    await turn();
  }
  return lists;
}
