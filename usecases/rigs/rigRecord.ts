import 'server-only';
import { learnFromLoads, withKnowledge, type BoatLearning } from '../../core/rig/load/learnFromLoads';
import type { ReelRecord, RigRecord } from '../../core/rig/record';
import { findBoat, type BoatRow } from '../../db/queries/boats';
import { findCalibration, listReelConstants, listTrials } from '../../db/queries/count';
import { findDragSetting } from '../../db/queries/drag';
import { listDragHistory, listLeverPoints, listPlanerLooks, listPresetActs } from '../../db/queries/lever';
import { listFinishedLoads, listReelResets, listReverseFills } from '../../db/queries/learning';
import { listLineMarks } from '../../db/queries/lineMarks';
import { listLines } from '../../db/queries/lines';
import { findNewestLoad } from '../../db/queries/loads';
import { listLog } from '../../db/queries/log';
import { listReels } from '../../db/queries/reels';
import { listJoinBreaks } from '../../db/queries/joinChecks';
import { listJoins } from '../../db/queries/joins';
import { findRig, listRigs, listSegments, type RigRow } from '../../db/queries/rigs';
import { listStrengthSessions, listStrengthTests } from '../../db/queries/strength';
import { listSupplySpools } from '../../db/queries/supplies';
import { listVirtualLineIds, listVirtualRigIds } from '../../db/queries/virtualBench';
import { reader, type Queryable } from '../../db/withTransaction';

/** What all rigs of one boat share. */
interface BoatGear {
  readonly boat: BoatRow;
  readonly products: RigRecord['products'];
  readonly strengthTests: RigRecord['strengthTests'];
  readonly strengthSessions: RigRecord['strengthSessions'];
  readonly joinBreaks: RigRecord['joinBreaks'];
  readonly supplySpools: RigRecord['supplySpools'];
  readonly virtualRigIds: readonly string[];
  readonly virtualProductIds: readonly string[];
  readonly learning: BoatLearning;
}

async function readGear(db: Queryable, boat: BoatRow): Promise<BoatGear> {
  const [
    products,
    strengthTests,
    strengthSessions,
    joinBreaks,
    supplySpools,
    virtualRigIds,
    virtualProductIds,
    learning,
  ] = await Promise.all([
    listLines(db, boat.id),
    listStrengthTests(db, boat.id),
    listStrengthSessions(db, boat.id),
    listJoinBreaks(db, boat.id),
    listSupplySpools(db, boat.id),
    listVirtualRigIds(db, boat.id),
    listVirtualLineIds(db, boat.id),
    readLearning(boat.id, db),
  ]);
  const strength = { strengthTests, strengthSessions, joinBreaks };
  return { boat, products, ...strength, supplySpools, virtualRigIds, virtualProductIds, learning };
}

/** What a boat's loads have taught of its reels and lines. */
export async function readLearning(boatId: string, db: Queryable = reader()): Promise<BoatLearning> {
  const [reels, products, loads, reverseFills, constants, resets] = await Promise.all([
    listReels(db, boatId),
    listLines(db, boatId),
    listFinishedLoads(db, boatId),
    listReverseFills(db, boatId),
    listReelConstants(db, boatId),
    listReelResets(db, boatId),
  ]);
  return learnFromLoads({ reels, products, loads, reverseFills, constants, resets });
}

async function assemble(db: Queryable, gear: BoatGear, rig: RigRow, reel: ReelRecord): Promise<RigRecord> {
  const boatId = gear.boat.id;
  const [segments, joins, load, calibration, dragSetting, log, dragHistory, presetActs, planerLooks] =
    await Promise.all([
      listSegments(db, boatId, rig.id),
      listJoins(db, boatId, rig.id),
      findNewestLoad(db, boatId, rig.id),
      findCalibration(db, boatId, rig.id),
      findDragSetting(db, boatId, rig.id),
      listLog(db, boatId, rig.id),
      listDragHistory(db, boatId, rig.id),
      listPresetActs(db, boatId, rig.id),
      listPlanerLooks(db, boatId, rig.id),
    ]);
  const record = {
    boat: { id: boatId, name: gear.boat.name },
    id: rig.id,
    name: rig.name,
    readAt: new Date().toISOString(),
    note: rig.note,
    hangM: rig.hangM,
    version: rig.version,
    reel,
    products: gear.products,
    segments,
    joins,
    load,
    trials: load ? await listTrials(db, boatId, load.id) : [],
    lineMarks: load ? await listLineMarks(db, boatId, load.id) : [],
    calibration,
    strengthTests: gear.strengthTests,
    strengthSessions: gear.strengthSessions,
    joinBreaks: gear.joinBreaks,
    meantPlaceId: rig.meantPlaceId,
    dragSetting,
    dragHistory,
    leverPoints: load ? await listLeverPoints(db, boatId, load.id) : [],
    presetActs,
    planerLooks,
    log,
    hasVirtualReel: gear.virtualRigIds.includes(rig.id),
    virtualProductIds: gear.virtualProductIds,
    supplySpools: gear.supplySpools,
    reverseFills: gear.learning.evidence.reverseFills.filter((fill) => fill.reelId === reel.id),
  };
  return withKnowledge(record, gear.learning);
}

/** The whole record of one rig of a boat, or null when that boat has no such rig. */
export async function readRigRecord(
  boatId: string,
  rigId: string,
  db: Queryable = reader(),
): Promise<RigRecord | null> {
  const [boat, rig] = await Promise.all([findBoat(db, boatId), findRig(db, boatId, rigId)]);
  if (!boat || !rig) return null;
  const gear = await readGear(db, boat);
  const reel = gear.learning.evidence.reels.find((candidate) => candidate.id === rig.reelId);
  if (!reel) throw new Error(`readRigRecord: rig ${rigId} has no reel`);
  return assemble(db, gear, rig, reel);
}

export interface Locker {
  readonly boat: BoatRow;
  readonly rigs: readonly RigRecord[];
}

/** Every rig of a boat, in the order of the locker, or null when there is no such boat. */
export async function readLocker(boatId: string): Promise<Locker | null> {
  const db = reader();
  const boat = await findBoat(db, boatId);
  if (!boat) return null;
  const [gear, rigs] = await Promise.all([readGear(db, boat), listRigs(db, boatId)]);
  const { reels } = gear.learning.evidence;
  const records = await Promise.all(
    rigs.map((rig) => {
      const reel = reels.find((candidate) => candidate.id === rig.reelId);
      if (!reel) throw new Error(`readLocker: rig ${rig.id} has no reel`);
      return assemble(db, gear, rig, reel);
    }),
  );
  return { boat, rigs: records };
}
