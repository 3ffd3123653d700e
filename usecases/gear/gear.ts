import 'server-only';
import { because } from '../../core/reasons';
import { guessedLengthPerTurnM } from '../../core/counter/guessedConstant';
import { reelShape } from '../../core/gear/reelShape';
import type { Known } from '../../core/provenance/source';
import { ERRORS } from '../../core/measurement/errors';
import { labelDiameterRelativeSd } from '../../core/measurement/lineErrors';
import { MATERIAL } from '../../core/materials/materials';
import type { KeptPlanRecord, LineProductRecord, ReelRecord, SupplySpoolRecord } from '../../core/record/record';
import { wantedLines, type WantedLine } from '../../core/rig/load/wantedLine';
import type { PersonRecord } from '../../core/record/crew';
import { listPeople } from '../../db/queries/boats';
import { listKeptPlans } from '../../db/queries/keeping';
import { insertLine, listLines, updateLine, type LineInput } from '../../db/queries/lines';
import { findReel, insertReel, listReels, replaceRatings, updateReel, type ReelInput } from '../../db/queries/reels';
import { listRigs, type RigRow } from '../../db/queries/rigs';
import { insertSupplySpool, listSupplySpools } from '../../db/queries/supplies';
import type { BoatDb } from '../../db/withBoat';
import { conflict, done, notFound, type UseCaseOutcome } from '../outcome';
import { readRigs } from '../rigs/readRigs';
import type { LineFormInput, ReelFormInput, SupplyInput } from './gearInput';

/**
 * Relative SD of the length a counter takes for a turn, by where it comes from: a maker's statement
 * is a round figure, a default only a guess at the reel's class.
 */
const CONSTANT_RELATIVE_SD = {
  maker: ERRORS.statedConstantShare.sd,
  default: ERRORS.guessedConstantShare.sd,
  measured: 0.01,
} as const;

function toReel(input: ReelFormInput): ReelInput {
  const { counter } = input;
  return {
    name: input.name,
    kind: input.kind,
    arborDiameterM: input.arborDiameterM,
    widthM: input.widthM,
    fullDiameterM: input.fullDiameterM,
    windHand: input.windHand,
    dragKind: input.dragKind,
    dragLimitN: input.dragLimitN,
    gearRatio: input.gearRatio,
    dimensionSdM: ERRORS.caliperM.sd,
    dimensionSource: 'measured',
    counter: counter && {
      drive: counter.drive,
      unitM: counter.unitM,
      digits: counter.digits,
      display: counter.display,
      lengthPerTurnM: constantOf(input, counter),
    },
  };
}

/** The length for a turn as it was stated; from the spool's size where it was not. */
function constantOf(reel: ReelFormInput, counter: NonNullable<ReelFormInput['counter']>): Known {
  const { arborDiameterM, widthM, fullDiameterM } = reel;
  const measured = { arborDiameterM, widthM, fullDiameterM, sdM: ERRORS.caliperM.sd };
  const rimM = reelShape(reel.kind, measured, reel.ratings).fullDiameterM.value;
  const value = counter.lengthPerTurnM ?? guessedLengthPerTurnM(counter.drive, rimM);
  const source = counter.lengthPerTurnM === null ? 'default' : counter.source;
  return { value, sd: value * CONSTANT_RELATIVE_SD[source], source };
}

function toLine(input: LineFormInput): LineInput {
  const relativeSd = {
    measured: ERRORS.wrappedDiameterShare.sd,
    label: labelDiameterRelativeSd(input.material),
    default: MATERIAL[input.material].guessedDiameterRelativeSd,
  }[input.diameterSource];
  return {
    name: input.name,
    material: input.material,
    diameterM: { value: input.diameterM, sd: input.diameterM * relativeSd, source: input.diameterSource },
    packing: MATERIAL[input.material].packing,
    labelStrengthN: input.labelStrengthN,
    family: input.family,
    colourLengthM: input.colourLengthM,
    construction: input.construction,
    massKgPerM: input.massKgPerM,
    colours: input.colours,
  };
}

export interface Gear {
  readonly boat: { readonly id: string; readonly name: string };
  readonly reels: readonly ReelRecord[];
  readonly lines: readonly LineProductRecord[];
  /** Reels that carry no rig yet. */
  readonly freeReelIds: readonly string[];
  readonly people: readonly PersonRecord[];
  readonly rigs: readonly { readonly id: string; readonly name: string }[];
  readonly plans: readonly KeptPlanRecord[];
  readonly supplySpools: readonly SupplySpoolRecord[];
  readonly wanted: readonly WantedLine[];
}

/** Rigs whose plans the cut list asks for at once: more than that is no afternoon's work. */
const MOST_RIGS_TO_CUT_FOR = 60;

/** The reels and lines of a boat, or null when there is no such boat. */
export async function readGear(db: BoatDb): Promise<Gear | null> {
  const { boatId, boat } = db;
  if (!boat) return null;
  const [reels, lines, rigs, supplySpools, people, plans] = await Promise.all([
    listReels(db, boatId),
    listLines(db, boatId),
    listRigs(db, boatId),
    listSupplySpools(db, boatId),
    listPeople(db, boatId),
    listKeptPlans(db, boatId),
  ]);
  return {
    boat,
    reels,
    lines,
    freeReelIds: freeOf(reels, rigs).map((reel) => reel.id),
    supplySpools,
    people,
    rigs: rigs.map(({ id, name }) => ({ id, name })),
    plans,
    wanted: wantedLines(await readRigs(db, rigs.slice(0, MOST_RIGS_TO_CUT_FOR))),
  };
}

const freeOf = (reels: readonly ReelRecord[], rigs: readonly RigRow[]): readonly ReelRecord[] =>
  reels.filter((reel) => reel.archivedAt === null && !rigs.some((rig) => rig.reelId === reel.id));

/** The reels in use that carry no rig. */
export async function readFreeReels(db: BoatDb): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const [reels, rigs] = [await listReels(db, db.boatId), await listRigs(db, db.boatId)];
  return freeOf(reels, rigs).map(({ id, name }) => ({ id, name }));
}

export async function createReel(db: BoatDb, input: ReelFormInput): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const id = await insertReel(db, boatId, toReel(input));
  await replaceRatings(db, boatId, id, input.ratings);
  return done({ id });
}

export async function changeReel(
  db: BoatDb,
  reelId: string,
  version: number,
  input: ReelFormInput,
): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  if (!(await findReel(db, boatId, reelId))) return notFound('reel');
  if (!(await updateReel(db, boatId, reelId, version, toReel(input)))) return conflict(because('changed-elsewhere'));
  await replaceRatings(db, boatId, reelId, input.ratings);
  return done({ id: reelId });
}

export async function createLine(db: BoatDb, input: LineFormInput): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  return done({ id: await insertLine(db, boatId, toLine(input)) });
}

export async function changeLine(
  db: BoatDb,
  lineId: string,
  version: number,
  input: LineFormInput,
): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const lines = await listLines(db, boatId);
  if (!lines.some((line) => line.id === lineId)) return notFound('line');
  const written = await updateLine(db, boatId, lineId, version, toLine(input));
  return written ? done({ id: lineId }) : conflict(because('changed-elsewhere'));
}

export async function addSupplySpool(db: BoatDb, input: SupplyInput): Promise<UseCaseOutcome<{ id: string }>> {
  const { boatId } = db;
  const lines = await listLines(db, boatId);
  if (!lines.some((line) => line.id === input.lineProductId)) return notFound('line');
  return done({ id: await insertSupplySpool(db, boatId, input) });
}
