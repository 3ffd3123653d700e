import 'server-only';
import { because } from '../../core/reasons';
import { countsForLine } from '../../core/counter/counter';
import type { Creep } from '../../core/drag/planer/planerLooks';
import type { ForceSample } from '../../core/force/forceSample';
import type { RigRecord } from '../../core/record/record';
import { windingOutlook } from '../../core/rig/line/windingOutlook';
import { productIdNow } from '../../core/rig/line/woundSegments';
import {
  findVirtualLine,
  findVirtualReel,
  takeNextPullNumber,
  updateVirtualReel,
  type VirtualReelRow,
} from '../../db/queries/virtualBench';
import type { BoatDb, Queryable } from '../../db/withBoat';
import { VirtualReel } from '../../instruments/virtual/virtualReel';
import { writeGaugeHead, writeGaugeLine, type BreakPlace } from '../../instruments/gaugeLine';
import { seededRandom } from '../../instruments/random';
import { VirtualHand } from '../../instruments/virtual/virtualHand';
import { VirtualForceGauge } from '../../instruments/virtual/virtualForceGauge';
import { towVirtualPlaner, virtualPlaner } from '../../instruments/virtual/virtualPlaner';
import { leverShare, STRIKE, virtualHold, VirtualScale } from '../../instruments/virtual/virtualScale';
import { conflict, done, invalid, notFound, type UseCaseOutcome } from '../outcome';
import { benchToWrite } from '../rigs/readRigs';
import type { BenchInput, DragPullBenchInput, StreamInput } from './benchInput';

/** Bend of the line through the guides with a planer in tow (rad). */
const TOWING_BEND_RAD = Math.PI / 4;

/** What an instrument on the virtual bench shows after a handling. Never its hidden truth. */
export interface BenchReading {
  readonly instrument: string;
  readonly reading: number | null;
  readonly levelBelowRimM: number | null;
  readonly samples: readonly ForceSample[];
  readonly breakPlace: 'middle' | 'grip' | 'knot' | null;
  readonly creep: Creep | null;
}

/** Clicks from free to the end of the virtual drag. */
const MOST_CLICKS = 600;

/** Unsteadiness of a hand or a clicking drag (relative SD). */
const UNSTEADY = 0.06;

const NOTHING: BenchReading = {
  instrument: '',
  reading: null,
  levelBelowRimM: null,
  samples: [],
  breakPlace: null,
  creep: null,
};

/** Works the virtual reel of a rig once and gives what its instrument shows. */
export async function workVirtualReel(
  db: BoatDb,
  rigId: string,
  input: BenchInput,
): Promise<UseCaseOutcome<BenchReading>> {
  const { boatId } = db;
  const record = await benchToWrite(db, rigId);
  const virtual = record && (await findVirtualReel(db, boatId, rigId));
  if (!record || !virtual) return notFound('virtual reel');
  const reel = new VirtualReel(virtual.truth, virtual.reelState);
  const keep = async (after: VirtualReel, shown: Partial<BenchReading>, dragClicks = virtual.dragClicks) => {
    const written = await updateVirtualReel(db, boatId, rigId, virtual.version, {
      reelState: after.state,
      dragClicks,
    });
    return written
      ? done({ ...NOTHING, instrument: reel.label.name, ...shown })
      : conflict(because('changed-elsewhere'));
  };
  switch (input.act) {
    case 'wind':
      return windOn(db, record, virtual, reel, input.segmentId, keep);
    case 'wind-to-colour':
      return windToColour(db, record, reel, input.segmentId, input.coloursOn);
    case 'measure-level':
      if (reel.state.wound.length === 0) return conflict(because('virtual-nothing-wound'));
      return keep(reel.rewind(), { levelBelowRimM: reel.levelBelowRimM(), instrument: 'virtual caliper' });
    case 'walk': {
      const walked = reel.walk(input.lengthM);
      if (!walked.ok) return invalid('trueLengthM', walked);
      return keep(walked.value, { reading: walked.value.read() });
    }
    case 'seat-join':
      return seatJoin(db, record, virtual, input.joinId, input.aimN, (samples) => keep(reel.handled(), samples));
    case 'break-join':
      return breakJoin(db, record, virtual, input.joinId, (shown) => keep(reel.handled(), shown));
    case 'hold-braid': {
      const hand = new VirtualHand(input.aimN, 0, UNSTEADY, handSeed(virtual));
      return keep(reel.handled(), { samples: hand.readPull(), instrument: hand.label.name });
    }
    case 'tow-planer': {
      const { planer, leverPosition, speedMS, water } = input;
      if (reel.state.wound.length === 0) return conflict(because('virtual-nothing-wound'));
      const truth = virtualPlaner(planer, virtual.truth.seed);
      const clicks = virtual.dragClicks * leverShare(leverPosition);
      const holdsN = virtualHold(virtual.dragTruth, clicks, reel.diameterM(), TOWING_BEND_RAD);
      const creep = towVirtualPlaner(truth, holdsN, speedMS, water, seededRandom(handSeed(virtual)));
      return keep(reel.handled(), { creep, instrument: 'virtual planer' });
    }
    case 'turn-drag':
      return keep(reel, {}, Math.min(MOST_CLICKS, Math.max(0, virtual.dragClicks + input.clicks)));
    case 'pull-drag': {
      if (reel.state.wound.length === 0) return conflict(because('virtual-nothing-wound'));
      const seed = virtual.truth.seed * 104729 + virtual.reelState.handlings;
      const clicks = virtual.dragClicks * leverShare(input.leverPosition ?? STRIKE);
      const scale = new VirtualScale(virtual.dragTruth, clicks, reel.diameterM(), input.rodAngleRad, seed);
      return keep(reel.rewind(), { samples: scale.readPull(), instrument: scale.label.name });
    }
  }
}

/**
 * Winds the next segment on the virtual reel. A segment that is on already, but not noted, only shows
 * its reading again: hands do not wind the same line twice.
 */
async function windOn(
  db: Queryable,
  record: RigRecord,
  virtual: VirtualReelRow,
  reel: VirtualReel,
  segmentId: string,
  keep: (after: VirtualReel, shown: Partial<BenchReading>) => Promise<UseCaseOutcome<BenchReading>>,
): Promise<UseCaseOutcome<BenchReading>> {
  const { load } = record;
  if (load?.status !== 'winding') return conflict(because('virtual-no-plan'));
  // What was on comes off when the first segment of a new load goes on, and not before.
  const bare = reel.forLoad(load.id);
  const order = load.segments.filter((segment) => segment.wound);
  const index = order.findIndex((segment) => segment.segmentId === segmentId);
  const segment = order[index];
  if (!segment) return notFound('wound segment');
  const onReel = bare.state.wound.length;
  const showReading = record.reel.counter !== null;
  if (onReel === index + 1) return keep(bare, { reading: showReading ? bare.read() : null });
  if (onReel !== index) return conflict(because('virtual-order'));
  const line = await findVirtualLine(db, record.boat.id, segment.productId);
  if (!line) return conflict(because('virtual-no-spool', { segment: segment.name }));
  const { counter } = record.reel;
  const now = windingOutlook(record)?.remaining.find((candidate) => candidate.segmentId === segmentId);
  if (!now) return conflict(because('virtual-levels-impossible'));
  const byReading = counter && now.stopReading !== null && !segment.lengthKnown;
  const after = byReading
    ? bare.windOnToReading(
        line.windingTruth,
        now.stopReading,
        countsForLine(now, { ...counter, lengthPerTurnM: counter.lengthPerTurnM.value }),
      )
    : bare.windOnLength(line.windingTruth, now.lengthM);
  return keep(after, { reading: showReading ? after.read() : null });
}

const handSeed = (virtual: VirtualReelRow): number => virtual.truth.seed * 7919 + virtual.reelState.handlings;

/** A seating pull of one join. It beds somewhere between a fifth and two fifths of what its weaker line really holds. */
async function seatJoin(
  db: Queryable,
  record: RigRecord,
  virtual: VirtualReelRow,
  joinId: string,
  aimN: number,
  keep: (shown: Partial<BenchReading>) => Promise<UseCaseOutcome<BenchReading>>,
): Promise<UseCaseOutcome<BenchReading>> {
  const weakerN = await weakerTruthN(db, record, joinId);
  if (!weakerN.ok) return weakerN;
  const seed = handSeed(virtual);
  // The same join beds at the same pull, however often it is tried.
  const place = record.joins.findIndex((candidate) => candidate.id === joinId);
  const share = 0.2 + 0.2 * seededRandom(virtual.truth.seed + 31 * place)();
  const hand = new VirtualHand(aimN, share * weakerN.value, UNSTEADY / 2, seed);
  return keep({ samples: hand.readPull(), instrument: hand.label.name });
}

/** What the weaker line of a join really holds (N). */
async function weakerTruthN(db: Queryable, record: RigRecord, joinId: string): Promise<UseCaseOutcome<number>> {
  const join = record.joins.find((candidate) => candidate.id === joinId);
  if (!join) return notFound('join');
  const ids = [join.innerSegmentId, join.outerSegmentId].filter((id) => id !== null);
  const lines = await Promise.all(ids.map((id) => findVirtualLine(db, record.boat.id, productIdNow(record, id))));
  const strengths = lines.filter((line) => line !== null).map((line) => line.strengthTruth.meanStrengthN);
  if (strengths.length < ids.length) return conflict(because('virtual-no-spool-of-one'));
  return done(Math.min(...strengths));
}

/** A join on the force gauge: it keeps a share of its weaker line that is its own, and scatters as hands tie. */
async function breakJoin(
  db: Queryable,
  record: RigRecord,
  virtual: VirtualReelRow,
  joinId: string,
  keep: (shown: Partial<BenchReading>) => Promise<UseCaseOutcome<BenchReading>>,
): Promise<UseCaseOutcome<BenchReading>> {
  const weakerN = await weakerTruthN(db, record, joinId);
  if (!weakerN.ok) return weakerN;
  const place = record.joins.findIndex((candidate) => candidate.id === joinId);
  const share = 0.68 + 0.27 * seededRandom(virtual.truth.seed + 97 * place)();
  const truth = { meanStrengthN: share * weakerN.value, cv: 0.05, stretchAtBreak: 0.1 };
  const gauge = new VirtualForceGauge(truth, handSeed(virtual));
  return keep({ samples: gauge.readPull(), instrument: gauge.label.name, breakPlace: 'knot' });
}

/** The counter on the way, with so many colours on. Nothing is kept: the segment goes on as a whole. */
async function windToColour(
  db: Queryable,
  record: RigRecord,
  reel: VirtualReel,
  segmentId: string,
  coloursOn: number,
): Promise<UseCaseOutcome<BenchReading>> {
  const { load } = record;
  if (load?.status !== 'winding') return conflict(because('virtual-no-plan'));
  const bare = reel.forLoad(load.id);
  const wound = load.segments.filter((segment) => segment.wound);
  const index = wound.findIndex((segment) => segment.segmentId === segmentId);
  const segment = wound[index];
  if (!segment || coloursOn >= segment.colours.length) return notFound('colour change');
  if (bare.state.wound.length !== index) return conflict(because('virtual-not-that-segment'));
  const line = await findVirtualLine(db, record.boat.id, segment.productId);
  if (!line) return conflict(because('virtual-no-spool', { segment: segment.name }));
  const lengthM = (segment.plannedLengthM * coloursOn) / segment.colours.length;
  const reading = bare.windOnLength(line.windingTruth, lengthM).read();
  return done({ ...NOTHING, instrument: reel.label.name, reading });
}

/** Breaks the next piece of a line on the virtual force gauge. */
export async function breakOnVirtualGauge(db: BoatDb, productId: string): Promise<UseCaseOutcome<BenchReading>> {
  const { boatId } = db;
  const line = await findVirtualLine(db, boatId, productId);
  const number = await takeNextPullNumber(db, boatId, productId);
  if (!line || number === null) return notFound('line on the virtual bench');
  const gauge = new VirtualForceGauge(line.strengthTruth, line.seed * 31 + number);
  const breakPlace = breakPlaceOf(line.seed, number);
  return done({ ...NOTHING, instrument: gauge.label.name, samples: gauge.readPull(), breakPlace });
}

/** The lines of an instrument's stream, and when the line of each sample is due, from the first (s): see docs/instruments.md. */
export interface TimedLines {
  readonly lines: readonly string[];
  readonly timeS: readonly number[];
}

/** Breaks the next piece of a line on the virtual force gauge, to be streamed as it happens. */
export async function streamVirtualGauge(db: BoatDb, input: StreamInput): Promise<UseCaseOutcome<TimedLines>> {
  const { boatId } = db;
  const line = await findVirtualLine(db, boatId, input.productId);
  const number = line && (await takeNextPullNumber(db, boatId, input.productId));
  if (!line || number === null) return notFound('line on the virtual bench');
  const gauge = new VirtualForceGauge(line.strengthTruth, line.seed * 31 + number, input.gaugeLengthM);
  return done({ lines: [...gauge.lines(breakPlaceOf(line.seed, number))], timeS: [...gauge.trace.timeS] });
}

/** Every ninth piece breaks at a grip. */
function breakPlaceOf(seed: number, number: number): BreakPlace {
  return (seed + number) % 9 === 0 ? 'grip' : 'middle';
}

/** Pulls the scale on the virtual reel, to be streamed as it happens by the same line protocol, tared. */
export async function streamVirtualPull(
  db: BoatDb,
  rigId: string,
  input: DragPullBenchInput,
): Promise<UseCaseOutcome<TimedLines>> {
  const pulled = await workVirtualReel(db, rigId, input);
  if (!pulled.ok) return pulled;
  const { samples, instrument } = pulled.value;
  const lines = samples.map((sample) => writeGaugeLine({ ...sample, stretchM: null }));
  return done({ lines: [writeGaugeHead(instrument), ...lines], timeS: samples.map((sample) => sample.timeS) });
}
