import 'server-only';
import { setImmediate as turn } from 'node:timers/promises';
import type { RigRecord } from '../../core/record/record';
import type { RodPosition } from '../../core/record/rodPosition';
import { STATIONS, type Station } from '../../core/record/stations';
import type { StationState } from '../../core/record/stationState';
import { rigSummary, type RigSummary } from '../../core/rig/rigSummary';
import { stationStates } from '../../core/rig/stationStates';
import { listRigPage, listRigsPutAway } from '../../db/queries/rigs';
import type { BoatDb } from '../../db/withBoat';
import { readRigs } from './readRigs';

/** Rigs on one page of the locker: a troller's whole spread. */
const RIGS_A_PAGE = 12;
/** Rods beside each other in the fleet: what one helm can keep in view. */
export const RODS_BESIDE_EACH_OTHER = 24;

export interface PageOf<T> {
  readonly rigs: readonly T[];
  readonly total: number;
  /** From 1; a page beyond the last one is the first one. */
  readonly page: number;
  readonly pages: number;
}

/** One page of a boat's rigs. */
export async function pageOf(
  db: BoatDb,
  find: string,
  page: number,
  limit: number,
  depth: 'whole' | 'summary',
): Promise<PageOf<RigRecord>> {
  const at = async (wanted: number) => listRigPage(db, db.boatId, { find, offset: (wanted - 1) * limit, limit });
  const first = await at(page);
  // Beyond the end nothing is counted either: the first page knows how many there are.
  const { rigs, total } = first.rigs.length > 0 || page === 1 ? first : await at(1);
  const shown = rigs === first.rigs ? page : 1;
  return { rigs: await readRigs(db, rigs, depth), total, page: shown, pages: Math.max(1, Math.ceil(total / limit)) };
}

export interface LockerPage extends PageOf<RigSummary> {
  /** Rigs that are put away. */
  readonly putAway: readonly { readonly id: string; readonly name: string }[];
}

/** A page of a boat's locker, each rig summed up. */
export async function readLocker(db: BoatDb, find: string, page: number): Promise<LockerPage> {
  const found = await pageOf(db, find, page, RIGS_A_PAGE, 'summary');
  const rigs: RigSummary[] = [];
  for (const rig of found.rigs) {
    rigs.push(rigSummary(rig));
    // Whoever asks for another page meanwhile gets a turn between two rigs.
    await turn();
  }
  return { ...found, rigs, putAway: await listRigsPutAway(db, db.boatId) };
}

/** The rods of a boat that are compared with each other, a page of them. */
export async function readFleet(db: BoatDb, find: string, page: number): Promise<PageOf<RigRecord>> {
  return pageOf(db, find, page, RODS_BESIDE_EACH_OTHER, 'whole');
}

/** What of a boat's rods is to be done, at a glance. */
export interface BoatAtAGlance {
  /** How many rods there are, and how many were looked through. */
  readonly total: number;
  readonly looked: number;
  /** Every rod that was looked through: where it stands, and its stations whose result no longer stands, or not yet. */
  readonly rods: readonly {
    readonly id: string;
    readonly name: string;
    readonly position: RodPosition | null;
    readonly stale: readonly Station[];
    readonly due: readonly Station[];
  }[];
}

/** Which stations of a boat's rods are stale or due: of as many rods as one helm can keep in view. */
export async function readAtAGlance(db: BoatDb): Promise<BoatAtAGlance> {
  const { rigs, total } = await pageOf(db, '', 1, RODS_BESIDE_EACH_OTHER, 'summary');
  const rods: BoatAtAGlance['rods'][number][] = [];
  for (const rig of rigs) {
    const states = stationStates(rig);
    const of = (state: StationState['state']): readonly Station[] =>
      STATIONS.map(({ id }) => id).filter((id) => states[id].state === state);
    rods.push({ id: rig.id, name: rig.name, position: rig.rodPosition, stale: of('stale'), due: of('due') });
    await turn();
  }
  return { total, looked: rigs.length, rods };
}
