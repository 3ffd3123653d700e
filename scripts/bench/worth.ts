import { estimateCounter, type CounterEstimate } from '../../core/calibration/estimateCounter';
import { countsAt, type CounterObservation } from '../../core/calibration/observations';
import { bulkRelativeSd } from '../../core/load/planLoad';
import { ERRORS } from '../../core/measurement/errors';
import { PLUS_MINUS_SDS } from '../../core/numerics/propagate';
import type { Known } from '../../core/provenance/source';
import { covarianceAfter, sdOfBelief } from '../../core/worth/belief';
import { loadFigure } from '../../core/worth/loadFigures';
import { loadMeasurements, type LoadToMeasure } from '../../core/worth/loadMeasurements';
import {
  spoolToTryM,
  USUAL_MINUTES,
  TURNS,
  type Measurement,
  type MeasurementKind,
} from '../../core/worth/measurement';
import { NEARLY } from '../../core/worth/enough';
import { measureNext, measureSet, quickestTo, type FigureToNarrow } from '../../core/worth/measureNext';
import { normalDeviate } from '../../instruments/random';
import { believedLine, strainOf } from './honest/observed';
import { AS_MODELLED, FOOT_M, shown } from './honest/world';
import { WALK_M, woundOutfit, type Wound } from './honest/wound';
import { percentile, row } from './report';

/** What of one rig has been measured so far, really: readings off a reel that was laid turn by turn. */
interface Measured {
  readonly calipered: ReadonlySet<'arbor' | 'width' | 'rim'>;
  readonly lines: ReadonlyMap<string, Known>;
  readonly seen: readonly CounterObservation[];
}

const NOTHING: Measured = { calipered: new Set(), lines: new Map(), seen: [] };
/** A spool as its size is told by eye (m). */
const BY_EYE_M = 0.001;

class Bench {
  private readonly guessesM: Readonly<Record<'arbor' | 'width' | 'rim', number>>;

  constructor(private readonly wound: Wound) {
    const { random, truth } = wound.outfit;
    const guess = (valueM: number): number => valueM + BY_EYE_M * normalDeviate(random);
    this.guessesM = { arbor: guess(truth.arborDiameterM), width: guess(truth.widthM), rim: guess(truth.rimDiameterM) };
  }

  private dimension(measured: Measured, what: 'arbor' | 'width' | 'rim'): Known {
    const { caliperM } = this.wound.outfit;
    const isCalipered = measured.calipered.has(what);
    const value = isCalipered ? (caliperM[{ arbor: 0, width: 1, rim: 2 }[what]] ?? NaN) : this.guessesM[what];
    const own = isCalipered ? ERRORS.caliperM.sd : BY_EYE_M;
    const sd = what === 'width' ? Math.hypot(own, ERRORS.flangeShare.sd * value) : own;
    return { value, sd, source: 'measured' };
  }

  estimate(measured: Measured): CounterEstimate {
    const { outfit, laid } = this.wound;
    return estimateCounter(
      {
        arborDiameterM: this.dimension(measured, 'arbor'),
        widthM: this.dimension(measured, 'width'),
        fullDiameterM: this.dimension(measured, 'rim'),
        constantM: { value: outfit.statedM, sd: ERRORS.statedConstantShare.sd * outfit.statedM, source: 'maker' },
        counter: { unitM: FOOT_M, display: 'rounds' },
        joint: null,
        segments: outfit.lines.map((line, index) => {
          const { lineDiameterM: label, packing } = believedLine(line);
          const lineDiameterM = measured.lines.get(line.id) ?? label;
          return {
            ...{ id: line.id, name: line.id, lineId: line.id, wound: true },
            lengthM: laid.lengthsM[index] ?? NaN,
            lineDiameterM: lineDiameterM.value,
            packing: packing.value,
            areaRelativeSd: bulkRelativeSd({ lineDiameterM, packing }),
            lengthRelativeSd: ERRORS.lengthShare.sd,
            windingStrain: strainOf(line),
          };
        }),
      },
      measured.seen,
    );
  }

  figure(
    measured: Measured,
    planned: Partial<LoadToMeasure> = {},
  ): FigureToNarrow & { readonly value: number; readonly estimate: CounterEstimate } {
    const { outfit } = this.wound;
    const estimate = this.estimate(measured);
    const figure = loadFigure(estimate, { kind: 'counter', atM: WALK_M });
    if (!figure) throw new Error('worth: no figure');
    const isOpen = (what: 'arbor' | 'width' | 'rim'): boolean => !measured.calipered.has(what);
    const measurements = loadMeasurements({
      rigId: 'rig',
      reel: { id: 'reel', name: 'reel', unmeasured: (['arbor', 'width', 'rim'] as const).filter(isOpen) },
      estimate,
      lines: outfit.lines
        .filter((line) => !measured.lines.has(line.id))
        .map((line) => {
          const { lineDiameterM: diameterM, packing } = believedLine(line);
          const bulk = bulkRelativeSd({ lineDiameterM: diameterM, packing });
          return { lineId: line.id, name: line.id, diameterM, bulkRelativeSd: bulk, isSoft: false };
        }),
      ...{ isWound: true, hasCounter: true, walkM: WALK_M, coloursM: [], spool: null },
      canReadLevel: !measured.seen.some(({ kind }) => kind === 'level'),
      ...planned,
    });
    return {
      id: 'counter',
      value: figure.value,
      belief: figure.belief,
      enough: figure.value * 0.01,
      measurements,
      estimate,
    };
  }

  /** The length of the innermost line for a level of 2 mm, before anything is on. */
  length(): FigureToNarrow | null {
    const { outfit } = this.wound;
    const [first] = outfit.lines;
    const estimate = this.estimate(NOTHING);
    const figure = first && loadFigure(estimate, { kind: 'length', segmentId: first.id, levelBelowRimM: 0.002 });
    if (!figure) return null;
    const { measurements } = this.figure(NOTHING, {
      isWound: false,
      spool: { segmentId: first.id, name: first.id, lengthM: spoolToTryM(figure.value) },
    });
    return { id: 'length', belief: figure.belief, enough: 0.01 * figure.value, measurements };
  }

  /** Makes a measurement for real. */
  make(measured: Measured, { kind, of }: Measurement): Measured {
    const { outfit, laid } = this.wound;
    const { random, truth, tapeShare } = outfit;
    const goneSinceM = outfit.lines.map(() => 0);
    const see = (each: CounterObservation): Measured => ({ ...measured, seen: [...measured.seen, each] });
    switch (kind) {
      case 'rim':
      case 'arbor':
      case 'width':
        return { ...measured, calipered: new Set([...measured.calipered, kind]) };
      case 'line-caliper': {
        const line = outfit.lines.find((each) => each.id === of);
        const sd = ERRORS.lineCaliperM.sd;
        const value = (line?.trueM ?? NaN) + sd * normalDeviate(random);
        return { ...measured, lines: new Map([...measured.lines, [of, { value, sd, source: 'measured' }]]) };
      }
      case 'level': {
        const isM = (truth.rimDiameterM - laid.reel.meanDiameterM) / 2;
        const levelBelowRimM = isM + ERRORS.levelM.sd * normalDeviate(random);
        const afterSegment = outfit.lines.length - 1;
        return see({
          kind: 'level',
          name: 'level',
          afterSegment,
          levelBelowRimM,
          levelSdM: ERRORS.levelM.sd,
          goneSinceM,
        });
      }
      case 'turns': {
        const exact = ((TURNS + ERRORS.handTurn.sd * normalDeviate(random)) * truth.lengthPerTurnM) / FOOT_M;
        const reading = exact + ERRORS.flipCounts.sd * Math.SQRT2 * normalDeviate(random);
        return see({ kind: 'turns', name: 'turns', turns: TURNS, reading, betweenFlips: true });
      }
      case 'walk': {
        const walkedM = WALK_M * (1 + tapeShare) + ERRORS.walkM.sd * normalDeviate(random);
        const reading = Math.max(1, shown(outfit, laid.counts(walkedM)));
        return see({
          kind: 'tape',
          name: 'walk',
          trueLengthM: WALK_M,
          lengthSdM: ERRORS.walkM.sd,
          reading,
          goneSinceM,
        });
      }
      case 'wraps':
      case 'colours':
      case 'spool':
      case 'line-pulls':
      case 'join-pulls':
      case 'straight-pull':
      case 'lever-pull':
      case 'water-mark':
      case 'lure-pull':
      case 'ten-metres':
        throw new Error(`worth: ${kind} is not made here`);
    }
  }

  /** What the display shows with so much off the spool. */
  get truth(): number {
    return shown(this.wound.outfit, this.wound.laid.counts(WALK_M));
  }
}

const minutesOf = ({ kind }: Measurement): number => USUAL_MINUTES[kind];
const sdOf = (figure: FigureToNarrow): number => sdOfBelief(figure.belief);

/** Gains before they are made against gains as they came, and errors after them against their stated SD. */
export function benchRealisedGain(rigs: number): void {
  const predicted: number[] = [];
  const realised: number[] = [];
  const errors: number[] = [];
  const byKind = new Map<MeasurementKind, { p: number; r: number; n: number }>();
  for (let seed = 1; predicted.length < rigs && seed < 20 * rigs; seed += 1) {
    const wound = woundOutfit(AS_MODELLED, seed * 211 + 5, seed % 3 === 0);
    if (!wound) continue;
    const bench = new Bench(wound);
    const { random } = wound.outfit;
    // A few things have been measured before, others on each rig.
    let measured = NOTHING;
    for (let steps = Math.floor(4 * random()); steps > 0; steps -= 1) {
      const { measurements } = bench.figure(measured);
      const one = measurements[Math.floor(random() * measurements.length)];
      if (one) measured = bench.make(measured, one);
    }
    const before = bench.figure(measured);
    const options = measureNext([before], minutesOf);
    const one = options[Math.floor(random() * options.length)];
    const [narrows] = one?.narrows ?? [];
    if (!one || !narrows) continue;
    const gain = (narrows.plusMinus - narrows.plusMinusAfter) / narrows.plusMinus;
    if (gain < 0.1) continue;
    const after = bench.figure(bench.make(measured, one));
    predicted.push(gain);
    realised.push(1 - sdOf(after) / sdOf(before));
    const kind = byKind.get(one.kind) ?? { p: 0, r: 0, n: 0 };
    byKind.set(one.kind, { p: kind.p + gain, r: kind.r + (realised.at(-1) ?? 0), n: kind.n + 1 });
    errors.push((countsAt(after.estimate.best, WALK_M, FOOT_M) - bench.truth) / sdOf(after));
  }
  const mean = (values: readonly number[]): number => values.reduce((sum, each) => sum + each, 0) / values.length;
  row('rigs', `${predicted.length}`);
  row('realised fall of the SD ÷ predicted, on the whole', (mean(realised) / mean(predicted)).toFixed(3));
  for (const [kind, { p, r, n }] of byKind)
    row(`  ${kind}, ${n} times`, `${(r / p).toFixed(3)} (fall ${(p / n).toFixed(2)})`);
  row('root mean square error ÷ stated SD after it', Math.sqrt(mean(errors.map((each) => each ** 2))).toFixed(3));
}

/** Wraps or a caliper of each line, the spool, its level, then walks: the order of a person who has no other. */
const FIXED_ORDER: readonly MeasurementKind[] = ['line-caliper', 'rim', 'level', 'walk', 'walk'];

/** Minutes until the counter at 100 ft is known to 1 %, by what is measured next and by a fixed order, on the same reels. */
export function benchMinutes(rigs: number): void {
  const ratios: number[] = [];
  let [ours, theirs, reached] = [0, 0, 0];
  for (let seed = 1; ratios.length < rigs && seed < 20 * rigs; seed += 1) {
    const wound = woundOutfit(AS_MODELLED, seed * 307 + 3, seed % 3 === 0);
    if (!wound) continue;
    const bench = new Bench(wound);
    const fixed = inFixedOrder(bench);
    const next = asAdvised(bench, fixed.plusMinus);
    if (fixed.isEnough) reached += 1;
    ratios.push(next / fixed.minutes);
    ours += next;
    theirs += fixed.minutes;
  }
  row('rigs that the fixed order brings to 1 %', `${reached} of ${ratios.length}; else to where it ends`);
  row(
    'minutes, as advised and in the fixed order, on average',
    `${(ours / rigs).toFixed(1)}, ${(theirs / rigs).toFixed(1)}`,
  );
  row(
    'advised ÷ fixed: median, 95th and largest',
    [0.5, 0.95, 1].map((share) => percentile(ratios, share).toFixed(2)).join(', '),
  );
}

const enoughNow = (figure: FigureToNarrow): boolean => PLUS_MINUS_SDS * sdOf(figure) <= NEARLY * figure.enough;

function inFixedOrder(bench: Bench): { minutes: number; plusMinus: number; isEnough: boolean } {
  let measured = NOTHING;
  let minutes = 0;
  let figure = bench.figure(measured);
  for (const kind of FIXED_ORDER) {
    for (const one of figure.measurements.filter((each) => each.kind === kind)) {
      if (enoughNow(figure)) break;
      measured = bench.make(measured, one);
      minutes += minutesOf(one);
      figure = bench.figure(measured);
    }
  }
  return { minutes, plusMinus: PLUS_MINUS_SDS * sdOf(figure), isEnough: enoughNow(figure) };
}

/** The quickest set as it is known now, its first measurement made, and again. */
function asAdvised(bench: Bench, leastPlusMinus: number): number {
  let measured = NOTHING;
  let minutes = 0;
  for (let rounds = 0; rounds < 12; rounds += 1) {
    const now = bench.figure(measured);
    // Where the fixed order ends short of 1 %, as far as it comes is far enough.
    if (enoughNow(now) || PLUS_MINUS_SDS * sdOf(now) <= leastPlusMinus) break;
    const figure = { ...now, enough: Math.max(now.enough, leastPlusMinus) };
    const [one] = quickestTo(figure, minutesOf) ?? measureNext([figure], minutesOf);
    if (!one) break;
    measured = bench.make(measured, one);
    minutes += one.minutes;
  }
  return minutes;
}

/** What a person does who has no other order: every line, then every dimension of the spool, then a whole spool on and its level. */
const LENGTH_ORDER: readonly MeasurementKind[] = ['line-caliper', 'arbor', 'width', 'rim', 'spool'];

/**
 * Minutes until a length that is worked out is known as well as the fixed order leaves it, by what each measurement would leave: sizes
 * by eye, lines by their labels.
 */
export function benchLengthMinutes(rigs: number): void {
  const ratios: number[] = [];
  for (let seed = 1; ratios.length < rigs && seed < 20 * rigs; seed += 1) {
    const wound = woundOutfit(AS_MODELLED, seed * 409 + 7, seed % 3 === 0);
    const figure = wound && new Bench(wound).length();
    if (!figure) continue;
    let [belief, minutes] = [figure.belief, 0];
    for (const kind of LENGTH_ORDER) {
      for (const one of figure.measurements.filter((each) => each.kind === kind)) {
        belief = { ...belief, covariance: one.readings.reduce(covarianceAfter, belief.covariance) };
        minutes += minutesOf(one);
      }
    }
    const enough = Math.max(1.05 * PLUS_MINUS_SDS * sdOfBelief(belief), figure.enough);
    const quickest = quickestTo({ ...figure, enough }, minutesOf);
    if (!quickest) continue;
    ratios.push(quickest.reduce((sum, each) => sum + each.minutes, 0) / minutes);
  }
  row(
    'a length to within 5 % of what all of it leaves, ÷ all: median, 95th',
    [0.5, 0.95].map((share) => percentile(ratios, share).toFixed(2)).join(', '),
  );
}

/** The list of a boat of twelve rods, its posterior being there, beside the estimates themselves. */
export function benchList(): void {
  const benches = Array.from({ length: 60 }, (_, index) => woundOutfit(AS_MODELLED, index * 17 + 2, false))
    .flatMap((wound) => (wound ? [new Bench(wound)] : []))
    .slice(0, 12);
  const startedMs = performance.now();
  const figures = benches.map((bench, index) => ({ ...bench.figure(NOTHING), id: String(index) }));
  const figuredMs = performance.now();
  measureNext(figures, minutesOf);
  measureSet(figures, minutesOf, 30);
  const listedMs = performance.now();
  row('list and half an hour for twelve rods', `${(listedMs - figuredMs).toFixed(0)} ms`);
  row(
    'beside it: twelve estimates with the slopes of all that could be measured',
    `${(figuredMs - startedMs).toFixed(0)} ms`,
  );
}
