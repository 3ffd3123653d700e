import 'server-only';
import { atBench } from '../../core/rig/line/atBench';
import { structuresOn } from '../../core/rig/line/structures';
import { withKnowledge } from '../../core/rig/load/learnFromLoads';
import type {
  DragSettingRecord,
  JoinRecord,
  KeptPlanRecord,
  LeverPointRecord,
  LineMarkRecord,
  LoadRecord,
  LogRecord,
  PastDragRecord,
  PlanerLookRecord,
  PresetActRecord,
  ReverseFillRecord,
  RigRecord,
  SegmentRecord,
  StrengthSessionRecord,
  StrengthTestRecord,
  SupplySpoolRecord,
  TrialRecord,
  WaterMarkRecord,
} from '../../core/record/record';
import { findLearning, keptOf } from '../../db/queries/boatLearning';
import { listCalibrations, listTrials } from '../../db/queries/count';
import { listDragSettings } from '../../db/queries/drag';
import { listJoinBreaks } from '../../db/queries/joinChecks';
import { listJoins, type PlacedJoin } from '../../db/queries/joins';
import { listReelResets, listReverseFills } from '../../db/queries/learning';
import { listDragHistory, listLeverPoints, listPlanerLooks, listPresetActs } from '../../db/queries/lever';
import { listLineMarks } from '../../db/queries/lineMarks';
import { listKeptPlans } from '../../db/queries/keeping';
import { listLines } from '../../db/queries/lines';
import { listLoadJoins, listLoadsOn } from '../../db/queries/loads';
import { listLog } from '../../db/queries/log';
import { listTimesTaken } from '../../db/queries/measuring';
import { knownMinutes } from '../../core/worth/minutes';
import { listReelsById } from '../../db/queries/reels';
import { findRig, listSegments, lockRig, type RigRow } from '../../db/queries/rigs';
import type { OfLoad, OfRig } from '../../db/queries/standing';
import { listStrengthSessions, listStrengthTests } from '../../db/queries/strength';
import { listSupplySpools } from '../../db/queries/supplies';
import { listVirtual } from '../../db/queries/virtualBench';
import { listWaterMarks } from '../../db/queries/tow';
import type { BoatDb } from '../../db/withBoat';

/**
 * How much of a rig is read, each with all of the one before it: 'winding' its reel, lines, load and winding log, for a note on
 * the way; 'summary' what the locker shows; 'whole' also log, tests of the counter, looks, shelf and bench.
 */
const DEPTHS = ['winding', 'summary', 'whole'] as const;
type Depth = (typeof DEPTHS)[number];

const NOTHING_VIRTUAL: Awaited<ReturnType<typeof listVirtual>> = { rigIds: [], productIds: [] };
/** Nothing was asked for. */
const none = <T>(): Promise<readonly T[]> => Promise.resolve([]);

/**
 * The records of several rigs, in their order, with one statement a table however many rigs there are. Their reels and
 * lines are as they were learned last; nothing is worked out here.
 *
 * @param depth how much is read, see {@link Depth}; what is not read is empty
 */
export async function readRigs(
  db: BoatDb,
  rigs: readonly RigRow[],
  depth: Depth = 'whole',
): Promise<readonly RigRecord[]> {
  const { boatId, boat } = db;
  if (!boat || rigs.length === 0) return [];
  const rigIds = rigs.map((rig) => rig.id);
  const reelIds = rigs.map((rig) => rig.reelId);
  const reaches = (least: Depth): boolean => DEPTHS.indexOf(depth) >= DEPTHS.indexOf(least);
  const [isWhole, isSummary] = [reaches('whole'), reaches('summary')];
  const [reels, learning, reverseFills, resets] = await Promise.all([
    listReelsById(db, boatId, reelIds),
    findLearning(db, reelIds),
    isWhole ? listReverseFills(db, boatId, reelIds) : none<ReverseFillRecord>(),
    isWhole ? listReelResets(db, boatId) : new Map<string, string>(),
  ]);
  const [products, strengthTests, strengthSessions, joinBreaks, supplySpools, virtual, keptPlans, taken] =
    await Promise.all([
      listLines(db, boatId),
      isSummary ? listStrengthTests(db, boatId) : none<StrengthTestRecord>(),
      isWhole ? listStrengthSessions(db, boatId) : none<StrengthSessionRecord>(),
      isSummary ? listJoinBreaks(db, boatId) : none<Awaited<ReturnType<typeof listJoinBreaks>>[number]>(),
      isWhole ? listSupplySpools(db, boatId) : none<SupplySpoolRecord>(),
      isWhole ? listVirtual(db, boatId, rigIds) : NOTHING_VIRTUAL,
      isWhole ? listKeptPlans(db, boatId) : none<KeptPlanRecord>(),
      isWhole ? listTimesTaken(db, boatId) : none<Awaited<ReturnType<typeof listTimesTaken>>[number]>(),
    ]);
  const minutes = knownMinutes(boat.minutes, taken);
  const [segments, loads, calibrations, dragSettings, log, dragHistory, presetActs, planerLooks, waterMarks] =
    await Promise.all([
      isSummary ? listSegments(db, boatId, rigIds) : none<OfRig<SegmentRecord>>(),
      listLoadsOn(db, boatId, rigIds, isSummary ? 'all' : 'winding'),
      listCalibrations(db, boatId, rigIds),
      isSummary ? listDragSettings(db, boatId, rigIds) : none<OfRig<DragSettingRecord>>(),
      isWhole ? listLog(db, boatId, rigIds) : none<OfRig<LogRecord>>(),
      isWhole ? listDragHistory(db, boatId, rigIds) : none<OfRig<PastDragRecord>>(),
      isSummary ? listPresetActs(db, boatId, rigIds) : none<OfRig<PresetActRecord>>(),
      isWhole ? listPlanerLooks(db, boatId, rigIds) : none<OfRig<PlanerLookRecord>>(),
      isSummary ? listWaterMarks(db, boatId, rigIds) : none<OfRig<WaterMarkRecord>>(),
    ]);
  const loadIds = loads.map((load) => load.id);
  const loadJoins = isSummary ? await listLoadJoins(db, boatId, loadIds) : [];
  const joins = isSummary
    ? await listJoins(
        db,
        boatId,
        rigIds,
        joinBreaks,
        loadJoins.map((each) => each.joinId),
      )
    : [];
  const [trials, lineMarks, leverPoints] = await Promise.all([
    isWhole ? listTrials(db, boatId, loadIds) : none<TrialRecord>(),
    isWhole ? listLineMarks(db, boatId, loadIds) : none<OfLoad<LineMarkRecord>>(),
    isWhole ? listLeverPoints(db, boatId, loadIds) : none<OfLoad<LeverPointRecord>>(),
  ]);
  const readAt = new Date().toISOString();
  return rigs.map((rig) => {
    const reel = reels.find((candidate) => candidate.id === rig.reelId);
    if (!reel) throw new Error(`readRigs: rig ${rig.id} has no reel`);
    const of = <T>(rows: readonly OfRig<T>[]): readonly T[] => rows.filter((row) => row.rigId === rig.id);
    const [newest = null, before = null] = of(loads);
    const load = before ?? newest;
    const planJoins = of<PlacedJoin>(joins)
      .filter((join) => join.isPlanned)
      .map(asJoin);
    const ofLine = loadJoins.filter((each) => each.loadId === load?.id).map((each) => each.joinId);
    const onLine = structuresOn(
      of<PlacedJoin>(joins)
        .filter((join) => ofLine.includes(join.id))
        .map(asJoin),
      planJoins,
    );
    const onReel = since([rig.reelSince]);
    const settings = of(dragSettings).filter(({ startedAt }) => since([rig.reelSince, rig.rodSince])(startedAt));
    const dragSetting = settings.find((setting) => setting.acceptedAt !== null) ?? null;
    const session = settings.find((setting) => setting.acceptedAt === null) ?? null;
    const ofLoad = <T extends { readonly loadId: string }>(rows: readonly T[]): readonly T[] =>
      rows.filter((row) => row.loadId === load?.id);
    const record = {
      boat: { id: boatId, name: boat.name },
      id: rig.id,
      name: rig.name,
      readAt,
      note: rig.note,
      hangM: rig.hangM,
      workingRange: rig.workingRange,
      reach: rig.reach,
      guides: rig.guides,
      rodPosition: rig.rodPosition,
      smallestOpeningM: rig.smallestOpeningM,
      minutes,
      fill: rig.fill,
      archivedAt: rig.archivedAt,
      keptPlans,
      version: rig.version,
      reel,
      products,
      segments: of(segments),
      joins: load?.status === 'wound' && onLine.length > 0 ? inOrder(onLine, load) : planJoins,
      planJoins,
      load,
      making: before ? newest : null,
      trials: ofLoad(trials).filter((trial) => !trial.heldOut),
      openTrials: ofLoad(trials).filter((trial) => trial.heldOut),
      lineMarks: ofLoad(lineMarks),
      calibration: of(calibrations).filter(({ at }) => onReel(at))[0] ?? null,
      strengthTests,
      strengthSessions,
      joinBreaks,
      meantPlaceId: rig.meantPlaceId,
      dragAim: rig.dragAim,
      dragSetting,
      dragSession: session && session.startedAt > (dragSetting?.startedAt ?? '') ? session : null,
      dragHistory: of(dragHistory),
      leverPoints: ofLoad(leverPoints),
      presetActs: of(presetActs).filter(({ at }) => onReel(at)),
      planerLooks: of(planerLooks).filter(({ at }) => onReel(at)),
      towed: rig.towed,
      waterMarks: ofLoad(of(waterMarks)),
      log: of(log),
      hasVirtualReel: virtual.rigIds.includes(rig.id),
      virtualProductIds: virtual.productIds,
      supplySpools: supplySpools.filter(({ archivedAt }) => archivedAt === null),
      reverseFills: reverseFills.filter((fill) => fill.reelId === reel.id),
    };
    return withKnowledge(record, keptOf(learning, reel.id, resets.get(reel.id) ?? null));
  });
}

/** Whether something was noted after the last of several changes, those that never happened aside. */
function since(changes: readonly (string | null)[]): (at: string) => boolean {
  return (at) => changes.every((change) => change === null || at >= change);
}

/** A join without where it stands. */
function asJoin(placed: PlacedJoin): JoinRecord {
  const { id, innerSegmentId, outerSegmentId, kind, part, breaks, pullTested, lastTie, lastSlip } = placed;
  return { id, innerSegmentId, outerSegmentId, kind, part, breaks, pullTested, lastTie, lastSlip };
}

/** Joins from the arbor outwards, as their load has them. */
function inOrder(joins: readonly JoinRecord[], load: LoadRecord): readonly JoinRecord[] {
  const place = (join: JoinRecord): number =>
    load.segments.findIndex((segment) => segment.segmentId === join.outerSegmentId);
  return joins.toSorted((a, b) => place(a) - place(b));
}

/** The whole record of one rig, or null when the boat has no such rig. */
export async function readRig(db: BoatDb, rigId: string): Promise<RigRecord | null> {
  const rig = await findRig(db, db.boatId, rigId);
  const [record] = rig ? await readRigs(db, [rig]) : [];
  return record ?? null;
}

/**
 * The record of a rig for an act that writes: the rig is locked first, so that acts on it follow each other and each sees
 * what the one before it has done. Null when the boat has no such rig.
 */
export async function rigToWrite(db: BoatDb, rigId: string, depth: Depth = 'whole'): Promise<RigRecord | null> {
  const rig = await lockRig(db, db.boatId, rigId);
  const [record] = rig ? await readRigs(db, [rig], depth) : [];
  return record ?? null;
}

/** The same as the winding bench sees it: the load that is being made, where there is one. */
export async function benchToWrite(db: BoatDb, rigId: string, depth: Depth = 'whole'): Promise<RigRecord | null> {
  const record = await rigToWrite(db, rigId, depth);
  return record && atBench(record);
}
