import { ERRORS } from '../../core/measurement/errors';
import { LINE_ERRORS } from '../../core/measurement/lineErrors';
import { correctionTable } from '../../core/calibration/correctionTable';
import { estimateCounter } from '../../core/calibration/estimateCounter';
import type { BelievedLoad } from '../../core/calibration/loadModel';
import { type CounterObservation } from '../../core/calibration/observations';
import type { LoadToFit } from '../../core/gear/gearEvidence';
import { gearFit } from '../../core/gear/gearFit';
import { learnedReel, type LearnedReel } from '../../core/gear/learned';
import { planLoad } from '../../core/load/planLoad';
import { normalDeviate } from '../../instruments/random';
import { layReel, type LaidReel } from '../../instruments/virtual/layReel';
import { asItLies, drawLoad, drawReel, lineToFit, stackOf, type DrawnReel } from './reelPopulation';
import { row } from './report';

const KINDS = ['tape and level', 'tape on a learned reel', 'tape and winding log'] as const;
type Kind = (typeof KINDS)[number];

const FOOT_M = 0.3048;
const WALK_M = 100 * FOOT_M;
const FROM_M = 60 * FOOT_M;
const STATIONS = 12;
/** A colour of lead core: 10 yd (common practice, no source). */
const COLOUR_M = 9.144;
const LENGTH_SD = 0.003;
/** Relative SD of a backing that was stopped by the counter, before its turns are looked at. */
const SOLVED_RELATIVE_SD = 0.15;
/** A level read at three places, as the bench of plans has it (m). */
const LEVEL_READING_SD_M = 0.0002;

interface Tally {
  loads: number;
  within: number;
  covered: number;
  asked: number;
}

/**
 * How well one walk corrects the whole of a segmented line: seeded stacks are wound turn by turn on the virtual bench,
 * the backing to a stop reading and the rest to known lengths, and the corrected counter is held against what that
 * reel shows at twelve lengths from 60 ft to the end. Beside it, in the same run, the counter as it is.
 */
export function benchWholeLine(loads: number, scatter: number): void {
  const tallies = new Map<Kind, Tally>(KINDS.map((kind) => [kind, { loads: 0, within: 0, covered: 0, asked: 0 }]));
  let uncorrected = 0;
  for (let seed = 1; seed <= loads; seed += 1) {
    const reel = drawReel(seed * 53 + 11, scatter);
    const wound = windOn(reel, scatter);
    if (!wound) continue;
    if (
      isWithin(
        wound.lengthsM,
        wound.shown,
        wound.lengthsM.map((lengthM) => lengthM / FOOT_M),
      )
    )
      uncorrected += 1;
    for (const kind of KINDS) judge(kind, reel, wound, tallies.get(kind));
  }
  const share = (part: number, of: number): string => `${((100 * part) / of).toFixed(1)} %`;
  for (const [kind, tally] of tallies) {
    row(
      `${kind}: loads within max(1.5 %, 1 count) beyond 60 ft`,
      `${share(tally.within, tally.loads)} of ${tally.loads}`,
    );
    row(`${kind}: the ± covers what the counter shows`, share(tally.covered, tally.asked));
  }
  row('the counter as it is: loads within the same', share(uncorrected, tallies.get(KINDS[0])?.loads ?? NaN));
}

interface Wound {
  readonly laid: LaidReel;
  readonly plannedM: readonly number[];
  /** Counts noted while each line went on. */
  readonly counts: readonly number[];
  /** Readings at colours on the way, for each line. */
  readonly colours: readonly (readonly { readonly share: number; readonly reading: number }[])[];
  readonly levelDiameterM: number;
  readonly lengthsM: readonly number[];
  /** What the counter really shows at those lengths, unrounded. */
  readonly shown: readonly number[];
  readonly walkReading: number;
  readonly earlier: LoadToFit;
}

const countsOf = (reel: DrawnReel, turns: number): number => (turns * reel.truth.lengthPerTurnM) / reel.truth.unitM;

/** Turns that a length of line takes off a laid reel. */
function turnsOff(laid: LaidReel, lengthM: number): number {
  let left = lengthM;
  let turns = 0;
  for (let index = laid.laid.length - 1; index >= 0 && left > 0; index -= 1) {
    const turn = laid.laid[index];
    if (!turn) break;
    turns += turn.turns * Math.min(1, left / turn.lengthM);
    left -= turn.lengthM;
  }
  return turns;
}

function windOn(reel: DrawnReel, scatter: number): Wound | null {
  const counter = { unitM: reel.truth.unitM, digits: 3, display: 'rounds' as const, lengthPerTurnM: reel.counter };
  const plan = planLoad(reel.caliper, stackOf(reel, [1, 1, 1]), counter, 0.002);
  if (!plan.ok) return null;
  const plannedM = plan.value.segments.map((segment) => segment.lengthM.value);
  const off = (): number => 1 + scatter * LENGTH_SD * normalDeviate(reel.random);
  const load = drawLoad(reel.random, scatter);
  const [backing, ...others] = reel.lines;
  if (!backing) return null;
  const stopTurns =
    (Math.round(plan.value.segments[0]?.counts?.value ?? NaN) * reel.truth.unitM) / reel.truth.lengthPerTurnM;
  const first = layReel(reel.truth, [asItLies(backing, plannedM[0] ?? 0, load)], stopTurns);
  const backingM = first.lengthsPerLineM[0] ?? NaN;
  const lines = [
    asItLies(backing, backingM, load),
    ...others.map((line, index) => asItLies(line, (plannedM[index + 1] ?? 0) * off(), load)),
  ];
  const laid = layReel(reel.truth, lines);
  const woundM = laid.lengthsPerLineM.reduce((sum, each) => sum + each, 0);
  if (woundM < 1.1 * WALK_M) return null;
  const lengthsM = Array.from({ length: STATIONS }, (_, i) => FROM_M + ((0.98 * woundM - FROM_M) * i) / (STATIONS - 1));
  const walkedM = WALK_M + scatter * ERRORS.walkM.sd * normalDeviate(reel.random);
  return {
    laid,
    plannedM,
    counts: laid.turnsPerLine.map((turns) =>
      Math.round(countsOf(reel, turns) + scatter * 0.5 * normalDeviate(reel.random)),
    ),
    colours: plannedM.map((lengthM, segment) => colourStops(reel, laid, segment, lengthM, scatter)),
    levelDiameterM: laid.meanDiameterM + 2 * scatter * LEVEL_READING_SD_M * normalDeviate(reel.random),
    lengthsM,
    shown: lengthsM.map((lengthM) => countsOf(reel, turnsOff(laid, lengthM))),
    walkReading: Math.round(countsOf(reel, turnsOff(laid, walkedM))),
    earlier: earlierLoad(reel, plannedM, scatter),
  };
}

/** Another load of the same reel and lines, of known lengths, with its levels: what makes the reel a learned one. */
function earlierLoad(reel: DrawnReel, plannedM: readonly number[], scatter: number): LoadToFit {
  const load = drawLoad(reel.random, scatter);
  const laid = layReel(
    { ...reel.truth, seed: reel.truth.seed + 500_000 },
    reel.lines.map((line, i) => asItLies(line, plannedM[i] ?? 0, load)),
  );
  return {
    reelId: 'reel',
    name: 'earlier',
    evenTension: true,
    levelSdM: LEVEL_READING_SD_M,
    segments: plannedM.map((lengthM, index) => ({
      name: reel.lines[index]?.id ?? '',
      lineId: reel.lines[index]?.id ?? '',
      lengthM,
      counts: Math.round(countsOf(reel, laid.turnsPerLine[index] ?? NaN)),
      turns: null,
    })),
    levels: [
      {
        afterSegment: plannedM.length - 1,
        levelBelowRimM:
          (reel.truth.rimDiameterM - laid.meanDiameterM) / 2 +
          scatter * LEVEL_READING_SD_M * normalDeviate(reel.random),
      },
    ],
  };
}

function knowledge(reel: DrawnReel, loads: readonly LoadToFit[]): LearnedReel {
  const counter = { unitM: reel.truth.unitM, lengthPerTurnM: reel.counter };
  const fit = gearFit([{ id: 'reel', ...reel.caliper, ratings: [], counter }], reel.lines.map(lineToFit), loads);
  return learnedReel(fit, 'reel', 'learned');
}

function judge(kind: Kind, reel: DrawnReel, wound: Wound, tally: Tally | undefined): void {
  if (!tally) return;
  const learned = knowledge(reel, kind === 'tape on a learned reel' ? [wound.earlier] : []);
  const { unitM } = reel.truth;
  const stack = stackOf(
    reel,
    reel.lines.map((line) => learned.lineFactors[line.id] ?? 1),
  );
  const believed: BelievedLoad = {
    ...learned,
    constantM: learned.lengthPerTurnM ?? reel.counter,
    counter: { unitM, display: 'rounds' },
    segments: stack.map((segment, index) => ({
      id: segment.id,
      name: segment.name,
      lineId: segment.lineId ?? segment.id,
      wound: true,
      lengthM: wound.plannedM[index] ?? NaN,
      lineDiameterM: segment.lineDiameterM.value,
      packing: segment.packing.value,
      areaRelativeSd: NaN,
      lengthRelativeSd: index === 0 ? SOLVED_RELATIVE_SD : LENGTH_SD,
      windingStrain: LINE_ERRORS[reel.lines[index]?.material ?? 'nylon'].windingStrain,
    })),
    joint: learned.joint,
  };
  const estimate = estimateCounter(believed, [
    ...walkAndLevel(reel, wound),
    // The reading at which the backing was stopped is always known.
    ...logged(reel, wound).slice(0, kind === 'tape and winding log' ? Infinity : 1),
  ]);
  const table = correctionTable(estimate, wound.lengthsM);
  tally.loads += 1;
  const read = table.map((figure) => figure.value);
  if (isWithin(wound.lengthsM, wound.shown, read)) tally.within += 1;
  table.forEach((figure, index) => {
    tally.asked += 1;
    if (Math.abs(figure.value - Math.round(wound.shown[index] ?? NaN)) <= figure.plusMinus) tally.covered += 1;
  });
}

const NOTHING = [0, 0, 0];

function walkAndLevel(reel: DrawnReel, wound: Wound): readonly CounterObservation[] {
  const walk = {
    kind: 'tape',
    name: 'walk',
    trueLengthM: WALK_M,
    lengthSdM: ERRORS.walkM.sd,
    goneSinceM: NOTHING,
  } as const;
  const levelBelowRimM = (reel.truth.rimDiameterM - wound.levelDiameterM) / 2;
  const level = {
    kind: 'level',
    name: 'level',
    afterSegment: 2,
    levelSdM: LEVEL_READING_SD_M,
    goneSinceM: NOTHING,
  } as const;
  return [
    { ...walk, reading: wound.walkReading },
    { ...level, levelBelowRimM },
  ];
}

/**
 * What each line took while it went on, the backing included: its length is not known, its turns are. Lead core is
 * noted at every colour.
 */
function logged(reel: DrawnReel, wound: Wound): readonly CounterObservation[] {
  return wound.counts.flatMap((reading, segment): CounterObservation[] => {
    const stops = [...(wound.colours[segment] ?? []), { share: 1, reading }];
    return stops.map((stop, index) => {
      const before = stops[index - 1] ?? { share: 0, reading: 0 };
      return {
        kind: 'wound',
        name: `line ${segment}`,
        segment,
        fromShare: before.share,
        toShare: stop.share,
        reading: stop.reading - before.reading,
        goneSinceM: NOTHING,
      };
    });
  });
}

/** Readings at the colours of lead core on the way, from zero at its start. */
function colourStops(reel: DrawnReel, laid: LaidReel, segment: number, lengthM: number, scatter: number) {
  if (reel.lines[segment]?.material !== 'lead core') return [];
  const outsideM = laid.lengthsPerLineM.slice(segment + 1).reduce((sum, each) => sum + each, 0);
  const all = turnsOff(laid, outsideM + (laid.lengthsPerLineM[segment] ?? 0));
  return Array.from({ length: Math.floor(lengthM / COLOUR_M) }, (_, index) => {
    const share = ((index + 1) * COLOUR_M) / lengthM;
    const turns = all - turnsOff(laid, outsideM + (1 - share) * (laid.lengthsPerLineM[segment] ?? 0));
    return { share, reading: Math.round(countsOf(reel, turns) + scatter * 0.5 * normalDeviate(reel.random)) };
  }).filter((stop) => stop.share < 0.98);
}

/**
 * True where a person who sets a length by these readings is off by no more than max(1.5 %, 1 count) at any of them.
 */
function isWithin(lengthsM: readonly number[], shown: readonly number[], believed: readonly number[]): boolean {
  return lengthsM.every((_, index) => {
    const counts = shown[index] ?? NaN;
    return Math.abs((believed[index] ?? NaN) - counts) <= Math.max(1, 0.015 * counts);
  });
}
