import { createRequire } from 'node:module';
import type * as odex from 'odex';
import type { DepthBelief } from '../../core/tow/depthBelief';
import { depthFigures } from '../../core/tow/depthFigures';
import { depthMap } from '../../core/tow/depthMap';
import { learnDepth } from '../../core/tow/learnDepth';
import type { SeenDepth } from '../../core/tow/seenDepth';
import type { LineDragBy } from '../../core/tow/lineDrag';
import { AIR, waterOf } from '../../core/tow/medium';
import { sinksBy } from '../../core/tow/sinking';
import { towProfile } from '../../core/tow/towProfile';
import type { Tow } from '../../core/tow/towStack';
import { normalDeviate, seededRandom, type Random } from '../../instruments/random';
import { percentile, row } from './report';

/** Its types stand in for its source, and runners that follow them would find no code there. */
const { Solver } = createRequire(import.meta.url)('../../node_modules/odex/src/odex.js') as typeof odex;

const SEA = waterOf('salt', 12);
const G = 9.80665;

interface TruePiece {
  readonly lengthM: number;
  readonly diameterM: number;
  readonly weightNPerM: number;
}

/** A line as it truly is, and what the water does to it: constants, or by the Reynolds number with a hum of its own. */
interface Truth {
  readonly speedShare: number;
  readonly law: 'constant' | 'reynolds';
  readonly hum: number;
  readonly pieces: readonly TruePiece[];
  readonly dragM2: number;
  readonly weightN: number;
}

function normalForce(un: number, d: number, law: Truth['law'], hum: number): number {
  if (un === 0) return 0;
  if (law === 'constant') return 0.5 * SEA.densityKgM3 * d * 1.2 * hum * un * Math.abs(un);
  const re = (Math.abs(un) * d) / SEA.kinematicViscosityM2S;
  const s = Math.log(8 / re) - 0.077215665;
  const cn =
    re < 0.7
      ? ((8 * Math.PI) / (re * s)) * (1 - 0.87 / s ** 2)
      : re < 40
        ? 1.45 + 8.55 * re ** -0.9
        : 1.1 + 4 / Math.sqrt(re);
  return 0.5 * SEA.densityKgM3 * d * cn * hum * un * Math.abs(un);
}

/** Depth with all line wet, by a general-purpose integrator, the tension's level and upright parts as unknowns. */
function trueDepthM(of: Truth, speedMS: number, lengthM: number, tolerance = 1e-7): number {
  const v = speedMS * of.speedShare;
  const pressure = 0.5 * SEA.densityKgM3 * v ** 2;
  let state = [Math.max(pressure * of.dragM2, 1e-4), of.weightN, 0, 0];
  let fromM = 0;
  for (const { lengthM: each, diameterM, weightNPerM } of of.pieces) {
    const toM = Math.min(fromM + each, lengthM);
    if (toM <= fromM) break;
    const solver = new Solver(4);
    solver.absoluteTolerance = tolerance;
    solver.relativeTolerance = tolerance;
    state = [
      ...solver.solve(
        (_, [level = 0, upright = 0]) => {
          const angle = Math.atan2(upright, level);
          const [sin, cos] = [Math.sin(angle), Math.cos(angle)];
          const fn = normalForce(v * sin, diameterM, of.law, of.hum);
          const ut = v * cos;
          const ft = 0.5 * SEA.densityKgM3 * diameterM * Math.PI * 0.006 * ut * Math.abs(ut);
          return [ft * cos + fn * sin, weightNPerM + ft * sin - fn * cos, cos, sin];
        },
        fromM,
        state,
        toM,
      ).y,
    ];
    fromM = toM;
  }
  return state[3] ?? NaN;
}

/** A rig, as a person describes it, and as it is: law, hum, weight, speed and lure drawn. */
function drawn(random: Random): { readonly belief: DepthBelief; readonly truth: Truth } {
  const between = (low: number, high: number): number => low + (high - low) * random();
  const leadM = 0.00082 * (1 + 0.05 * normalDeviate(random));
  const braidM = 0.00028;
  const leaderM = 0.00035;
  const lines = [
    {
      key: 'leader',
      lengthM: between(4, 10),
      diameterM: leaderM,
      isSoft: false,
      sinks: sinksBy('fluorocarbon', null),
      sd: 0.03,
    },
    {
      key: 'lead',
      lengthM: between(18, 60),
      diameterM: 0.00082,
      isSoft: true,
      sinks: sinksBy('lead core', null),
      sd: 0.05,
    },
    {
      key: 'braid',
      lengthM: between(10, 40),
      diameterM: braidM,
      isSoft: true,
      sinks: sinksBy('braid', null),
      sd: 0.06,
    },
  ] as const;
  const belief: DepthBelief = {
    lines: lines.map(({ sd, diameterM, ...each }) => ({
      ...each,
      name: each.key,
      diameterM: { value: diameterM, sd: sd * diameterM, source: 'label' },
    })),
    ...{ lure: 'spoon', lurePull: null, water: SEA, tipHeightM: 0, bottomM: null, speedShareSd: 0.04 },
  };
  const area = (d: number): number => (Math.PI * d ** 2) / 4;
  const leadKgM3 = 3600 + 500 * normalDeviate(random);
  const truth: Truth = {
    speedShare: 1 + 0.04 * normalDeviate(random),
    law: random() < 0.3 ? 'constant' : 'reynolds',
    hum: between(1, 1.5),
    pieces: [
      { lengthM: lines[0].lengthM, diameterM: leaderM, weightNPerM: G * (1780 - SEA.densityKgM3) * area(leaderM) },
      { lengthM: lines[1].lengthM, diameterM: leadM, weightNPerM: G * (leadKgM3 - SEA.densityKgM3) * area(leadM) },
      { lengthM: lines[2].lengthM, diameterM: braidM, weightNPerM: G * (980 - SEA.densityKgM3) * area(braidM) },
    ],
    dragM2: 0.0015 * Math.exp(0.5 * normalDeviate(random)),
    weightN: 0.1,
  };
  return { belief, truth };
}

/** Coverage of the ± before anything is seen and after three touches at two lengths, and what they do to the error. */
export function benchDepthLearning(rigs: number): void {
  const random = seededRandom(606);
  let [coveredBefore, coveredAfter] = [0, 0];
  const [before, after, halfBefore, halfAfter]: [number[], number[], number[], number[]] = [[], [], [], []];
  for (let rig = 0; rig < rigs; rig += 1) {
    const { belief, truth } = drawn(random);
    const wholeM = belief.lines.reduce((sum, { lengthM }) => sum + lengthM, 0);
    const speedMS = 0.8 + 0.4 * random();
    const depth = trueDepthM(truth, speedMS, wholeM);
    const [first] = depthFigures(belief, learnDepth(belief, []), speedMS, [wholeM]);
    const marks: SeenDepth[] = [0.95, 0.95, 0.6].map((share, index) => {
      const lengthOutM = share * wholeM;
      const read = speedMS * (index === 1 ? 1.15 : 1);
      const seen = trueDepthM(truth, read * (1 + 0.02 * normalDeviate(random)), lengthOutM);
      const depthSdM = Math.hypot(0.3, 0.02 * seen);
      const depthM = seen + depthSdM * normalDeviate(random);
      return { id: `touch ${index}`, lengthOutM, lengthSdM: 0, speedMS: read, depthM, depthSdM };
    });
    const [then] = depthFigures(belief, learnDepth(belief, marks), speedMS, [wholeM]);
    if (!first || !then) continue;
    if (Math.abs(first.value - depth) <= first.plusMinus) coveredBefore += 1;
    if (Math.abs(then.value - depth) <= then.plusMinus) coveredAfter += 1;
    before.push(Math.abs(first.value - depth));
    after.push(Math.abs(then.value - depth));
    halfBefore.push(first.plusMinus / first.value);
    halfAfter.push(then.plusMinus / then.value);
  }
  const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;
  row('depth within its ±, nothing seen', percent(coveredBefore / rigs));
  row('depth within its ±, three touches at two lengths', percent(coveredAfter / rigs));
  row(
    '± as a share of the depth, median, before and after',
    `${percent(percentile(halfBefore, 0.5))}, ${percent(percentile(halfAfter, 0.5))}`,
  );
  const rms = (errors: readonly number[]): number =>
    Math.sqrt(errors.reduce((sum, each) => sum + each ** 2, 0) / errors.length);
  row(
    'error after ÷ before, RMS and median',
    `${(rms(after) / rms(before)).toFixed(2)}, ${(percentile(after, 0.5) / percentile(before, 0.5)).toFixed(2)}`,
  );
}

const BY: LineDragBy = { law: 'reynolds', cn: 1.2, ct: 0.01, humFactor: 1.1 };

function rigToTow(speedMS: number, tipHeightM: number): Tow {
  const piece = (lengthM: number, diameterM: number, weight: number) => ({
    ...{ lengthM, diameterM, submergedWeightNPerM: weight },
    dryWeightNPerM: weight + (G * SEA.densityKgM3 * Math.PI * diameterM ** 2) / 4,
  });
  return {
    ...{ speedMS, water: SEA, air: AIR, by: BY, lure: { dragN: 1.2 * speedMS ** 2, downN: 0.1 } },
    pieces: [piece(8, 0.00035, 0.0007), piece(45, 0.00082, 0.0125), piece(67, 0.00028, -0.00003)],
    ...{ loads: [], tipHeightM, bottomM: null },
  };
}

function timeMs(work: () => void, rounds: number): number {
  work();
  const from = performance.now();
  for (let round = 0; round < rounds; round += 1) work();
  return (performance.now() - from) / rounds;
}

/** One solve and a map of 60 speeds by 60 lengths, beside the same by the general-purpose integrator at the same error. */
export function benchDepthSpeed(): void {
  const wet = rigToTow(1.1, 0);
  const truth: Truth = {
    ...{ speedShare: 1, law: 'reynolds', hum: BY.humFactor, dragM2: (2 * 1.2) / SEA.densityKgM3, weightN: 0.1 },
    pieces: wet.pieces.map((each) => ({ ...each, weightNPerM: each.submergedWeightNPerM })),
  };
  // The looser of two tolerances of each that keeps the wet line to a tenth of a millimetre of its own tight answer.
  const looser = (of: (tolerance: number) => number): number => {
    const tight = of(1e-11);
    return [1e-4, 1e-5, 1e-6, 1e-7, 1e-8, 1e-9].find((each) => Math.abs(of(each) - tight) < 1e-4) ?? 1e-10;
  };
  const ours = looser((tolerance) => towProfile(wet, tolerance).depthM ?? NaN);
  const theirs = looser((tolerance) => trueDepthM(truth, 1.1, 120, tolerance));
  const oneMs = timeMs(() => towProfile(wet, ours), 200);
  const otherMs = timeMs(() => trueDepthM(truth, 1.1, 120, theirs), 50);
  row(
    'one line under water, to 0.1 mm: ms, and the integrator’s ÷ ours',
    `${oneMs.toFixed(2)}, ${(otherMs / oneMs).toFixed(1)}`,
  );
  const airMs = timeMs(() => towProfile(rigToTow(1.1, 1.4), ours), 100);
  row('one line with its part in air: ms', airMs.toFixed(2));
  const speeds = Array.from({ length: 60 }, (_, index) => 0.4 + index * 0.03);
  const lengths = Array.from({ length: 60 }, (_, index) => 2 * (index + 1));
  const mapMs = timeMs(() => depthMap((v) => rigToTow(v, 1.4), speeds, lengths), 3);
  const theirMapMs = timeMs(() => {
    for (const v of speeds) for (const lengthM of lengths) trueDepthM(truth, v, lengthM, theirs);
  }, 1);
  row(
    '60 × 60 map with air: ms, and the integrator’s without air ÷ ours',
    `${mapMs.toFixed(0)}, ${(theirMapMs / mapMs).toFixed(1)}`,
  );
}
