import type { LoadToFit } from '../../core/gear/gearEvidence';
import { gearFit } from '../../core/gear/gearFit';
import { learnedReel } from '../../core/gear/learned';
import { reelShape, type ReelShape } from '../../core/gear/reelShape';
import { planLoad, type LoadPlan } from '../../core/load/planLoad';
import { normalDeviate } from '../../instruments/random';
import { layReel } from '../../instruments/virtual/layReel';
import { asItLies, drawLoad, drawReel, lineToFit, stackOf, type DrawnReel } from './reelPopulation';
import { percentile, row } from './report';

const DEPTHS = ['ratings only', 'caliper', 'one checkpoint', 'learned'] as const;
type Depth = (typeof DEPTHS)[number];

const TARGET_BELOW_RIM_M = 0.002;
const LEVEL_READING_SD_M = 0.0002;
const LENGTH_SD = 0.003;
const NOT_MEASURED = { arborDiameterM: null, widthM: null, fullDiameterM: null, sdM: 0 };

interface Tally {
  readonly errors: number[];
  covered: number;
  stops: number;
  stopsRight: number;
}

/**
 * How well plans hold at each depth of knowledge: seeded reels are planned, wound turn by turn on the virtual bench
 * to the planned lengths, and the level that comes out is held against the plan and its ±.
 */
export function benchKnowledge(reels: number, scatter: number): void {
  const tallies = new Map<Depth, Tally>(
    DEPTHS.map((depth) => [depth, { errors: [], covered: 0, stops: 0, stopsRight: 0 }]),
  );
  let refused = 0;
  for (let seed = 1; seed <= reels; seed += 1) {
    const reel = drawReel(seed * 31 + 7, scatter);
    for (const depth of DEPTHS) {
      const plan = planAt(depth, reel);
      const tally = tallies.get(depth);
      if (!plan || !tally) {
        refused += 1;
        continue;
      }
      judge(plan, reel, tally);
    }
  }
  for (const [depth, tally] of tallies) {
    const share = (part: number, of: number): string => `${((100 * part) / of).toFixed(1)} %`;
    const size = tally.errors.length;
    row(
      `${depth}: level off, median and 95th percentile of spool depth`,
      `${(100 * percentile(tally.errors, 0.5)).toFixed(1)} %, ${(100 * percentile(tally.errors, 0.95)).toFixed(1)} %`,
    );
    row(`${depth}: the ± covers the level`, `${share(tally.covered, size)} of ${size}`);
    if (depth === 'learned')
      row('learned: stop readings within max(1 count, 0.8 %)', share(tally.stopsRight, tally.stops));
  }
  if (refused > 0) row('plans refused: the known segments alone are believed not to fit', `${refused}`);
}

function planAt(depth: Depth, reel: DrawnReel): LoadPlan | null {
  if (depth === 'ratings only')
    return planned(reel, reelShape('conventional', NOT_MEASURED, reel.ratings), reel.ratings, []);
  const first = planned(reel, reel.caliper, [], []);
  if (depth === 'caliper' || !first) return first;
  const lengthsM = first.segments.map((segment) => segment.lengthM.value);
  // A checkpoint is a level with the backing on; a learned reel has seen all of an earlier load.
  const upTo = depth === 'one checkpoint' ? 1 : lengthsM.length;
  return planned(reel, reel.caliper, [], [windAndWatch(reel, lengthsM.slice(0, upTo))]);
}

function planned(
  reel: DrawnReel,
  shape: ReelShape,
  ratings: DrawnReel['ratings'],
  loads: readonly LoadToFit[],
): LoadPlan | null {
  const counter = { unitM: reel.truth.unitM, lengthPerTurnM: reel.counter };
  const fit = gearFit([{ id: 'reel', ...shape, ratings, counter }], reel.lines.map(lineToFit), loads);
  const learned = learnedReel(fit, 'reel', 'learned');
  const factors = reel.lines.map((line) => learned.lineFactors[line.id] ?? 1);
  const plan = planLoad(
    learned,
    stackOf(reel, factors),
    { unitM: counter.unitM, digits: 3, display: 'rounds', lengthPerTurnM: learned.lengthPerTurnM ?? reel.counter },
    TARGET_BELOW_RIM_M,
    learned.joint,
  );
  return plan.ok ? plan.value : null;
}

/** Winds lines on for real, and reads the level and the counter as a person would. */
function windAndWatch(reel: DrawnReel, lengthsM: readonly number[]): LoadToFit {
  const load = drawLoad(reel.random, 1);
  const laid = layReel(
    reel.truth,
    reel.lines.slice(0, lengthsM.length).map((line, i) => asItLies(line, lengthsM[i] ?? 0, load)),
  );
  const levelM = (reel.truth.rimDiameterM - laid.meanDiameterM) / 2;
  return {
    reelId: 'reel',
    name: 'load',
    evenTension: true,
    levelSdM: LEVEL_READING_SD_M,
    segments: lengthsM.map((lengthM, index) => ({
      name: reel.lines[index]?.id ?? '',
      lineId: reel.lines[index]?.id ?? '',
      lengthM,
      counts: Math.round(((laid.turnsPerLine[index] ?? 0) * reel.truth.lengthPerTurnM) / reel.truth.unitM),
      turns: null,
    })),
    levels: [
      { afterSegment: lengthsM.length - 1, levelBelowRimM: levelM + LEVEL_READING_SD_M * normalDeviate(reel.random) },
    ],
  };
}

function judge(plan: LoadPlan, reel: DrawnReel, tally: Tally): void {
  const load = drawLoad(reel.random, 1);
  const lines = plan.segments.map((segment, index) => {
    const line = reel.lines[index];
    if (!line) throw new Error('judge: a segment without a line');
    return asItLies(line, segment.lengthM.value * (1 + LENGTH_SD * normalDeviate(reel.random)), load);
  });
  const laid = layReel(reel.truth, lines);
  const offM = (reel.truth.rimDiameterM - laid.meanDiameterM) / 2 - plan.levelBelowRimM.value;
  const depthM = (reel.truth.rimDiameterM - reel.truth.arborDiameterM) / 2;
  tally.errors.push(Math.abs(offM) / depthM);
  if (Math.abs(offM) <= plan.levelBelowRimM.plusMinus) tally.covered += 1;
  plan.segments.forEach((segment, index) => {
    // The stop is for the named length, not for what a hand made of it.
    const asNamed = segment.lengthM.value / (lines[index]?.lengthM ?? NaN);
    const counts = ((laid.turnsPerLine[index] ?? NaN) * asNamed * reel.truth.lengthPerTurnM) / reel.truth.unitM;
    const statedCounts = Math.round(segment.counts?.value ?? NaN);
    tally.stops += 1;
    if (Math.abs(statedCounts - counts) <= Math.max(1, 0.008 * counts)) tally.stopsRight += 1;
  });
}
