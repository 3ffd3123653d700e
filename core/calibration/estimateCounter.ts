import { because, type Reason } from '../reasons';
import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import type { Counter } from '../counter/counter';
import type { JointErrors } from '../load/planLoad';
import { conflictsOf, widening, type Conflict } from './conflicts';
import { fitToEvidence, type Fit } from '../numerics/fitToEvidence';
import type { Known } from '../provenance/source';
import { EVIDENCE_TAILS } from '../measurement/errors';
import { requirePositive } from '../result';
import { loadModel, type BelievedLoad, type LoadUnknown } from './loadModel';
import { predicted, sdOf, valueOf, type CounterObservation, type RealisedLoad } from './observations';

/** How one observation agrees with all the others. */
export interface CounterResidual {
  readonly observation: CounterObservation;
  /** What the estimate makes of it, in counts or metres of level. */
  readonly expected: number;
  /** Observed less expected, and the same in SDs of that observation alone. */
  readonly off: number;
  readonly offSds: number;
}

/** The part of an estimate that takes long to find, as plain data: whoever has the same evidence has it at once with this. */
export interface EstimateFound {
  readonly fit: Fit;
  readonly conflicts: readonly Conflict[];
}

/** Everything known of a counter on one load, as one estimate. */
export interface CounterEstimate {
  readonly counter: Pick<Counter, 'unitM' | 'display' | 'drive'>;
  readonly observations: readonly CounterObservation[];
  /** What was seen and cannot be reckoned with the line as it is believed: a walk longer than the line, say. */
  readonly leftOut: readonly CounterObservation[];
  readonly constantM: Known;
  readonly residuals: readonly CounterResidual[];
  /** Pieces that disagree with the rest and with what was believed, the worst first. */
  readonly conflicts: readonly {
    readonly observation: CounterObservation;
    readonly offBySds: number;
    readonly worst: boolean;
    /** Those that may just as well be the odd one. */
    readonly orElse: readonly CounterObservation[];
  }[];
  /** Factor by which every ± is widened because the pieces disagree; 1 while they do not. */
  readonly widened: number;
  /** Unknowns that ended beyond three SDs of what was believed of them, in those SDs. */
  readonly beyondBelief: readonly { readonly from: Reason; readonly bySds: number }[];
  /**
   * Best values of the unknowns, SDs and correlation of their errors, and what each mostly stands for. Before any
   * evidence they are independent and 0 ± 1: principal axes of what may be off together.
   */
  readonly unknowns: readonly { readonly from: Reason; readonly value: number; readonly sd: number }[];
  readonly correlation: readonly (readonly number[])[];
  /** What a set of unknowns makes of one cause of error, by its key in the model of a load: a logarithm, or a share. */
  valueIn(unknowns: readonly number[], key: string): number;
  /** The load that a set of unknowns means. */
  realise(unknowns: readonly number[]): RealisedLoad;
  /** What each load has for itself and the next one has anew: 0 ± SD. */
  readonly anew: readonly { readonly key: string; readonly from: Reason; readonly sd: number }[];
  /** The same lines on the same reel wound on anew: as `realise`, with the load's own unknowns (in the order of `anew`) taken otherwise. */
  realiseNext(unknowns: readonly number[], anew: readonly number[]): RealisedLoad;
  /** The load as it most likely is. */
  readonly best: RealisedLoad;
  readonly found: EstimateFound;
}

/**
 * Brings walks, colours, spool turns, the winding log and levels into one estimate of constant, spool and line, by
 * least squares weighted with the SD of each, from priors.
 *
 * @param believed the load beforehand
 * @param seen of this very load
 * @param known what an estimate of the very same found; passed over where it is of something else
 * @throws RangeError when a unit or a constant is not positive
 */
export function estimateCounter(
  believed: BelievedLoad,
  seen: readonly CounterObservation[],
  known?: EstimateFound,
): CounterEstimate {
  const { counter } = believed;
  requirePositive('estimateCounter', { unitM: counter.unitM, constantM: believed.constantM.value });
  const model = loadModel(believed);
  const { keys, sources, axes } = axesOf(believed.joint, model.unknowns);
  const rows = new Map(keys.map((key, at) => [key, axes.map((axis) => axis[at] ?? 0)]));
  const valueIn = (unknowns: readonly number[], key: string): number => {
    const row = rows.get(key);
    let sum = 0;
    if (row) for (let index = 0; index < row.length; index += 1) sum += (row[index] ?? 0) * (unknowns[index] ?? 0);
    return sum;
  };
  const realise = (unknowns: readonly number[]): RealisedLoad => model.realise((key) => valueIn(unknowns, key));
  const anew = model.unknowns.filter(({ scope }) => scope === 'winding');
  const anewAt = new Map(anew.map(({ key }, at) => [key, at]));
  const beforehand = realise(axes.map(() => 0));
  const isReckoned = (each: CounterObservation): boolean => Number.isFinite(predicted(each, beforehand, counter.unitM));
  const observations = seen.filter(isReckoned);
  const priorSds = axes.map(() => 1);
  const measured = observations.map((each) => ({
    ...{ name: each.name, value: valueOf(each, counter.display), sd: sdOf(each, counter), tails: EVIDENCE_TAILS },
    slack: each.kind === 'level' ? 0 : COUNTS_APART,
  }));
  const predict = (unknowns: readonly number[]): readonly number[] => {
    const load = realise(unknowns);
    return observations.map((each) => predicted(each, load, counter.unitM));
  };
  const isOfThis = ({ fit: { values, residuals } }: EstimateFound): boolean => {
    if (values.length !== axes.length || residuals.length !== measured.length || !values.every(Number.isFinite))
      return false;
    const now = predict(values);
    return measured.every(
      ({ value, sd }, at) => Math.abs((value - (now[at] ?? NaN)) / sd - (residuals[at] ?? NaN)) < SAME,
    );
  };
  const found = known && isOfThis(known) ? known : find(priorSds, measured, predict);
  const { fit } = found;
  // Pieces that disagree cannot all be as sure as they say: every ± that rests on them is wider.
  const widened = widening(fit, priorSds);
  const { values, residuals } = fit;
  const covariance = fit.covariance.map((row) => row.map((each) => each * widened ** 2));
  const sds = covariance.map((row, index) => Math.sqrt(row[index] ?? NaN));
  const best = realise(values);
  const toConstant = axes.map((axis) => axis[keys.indexOf('counter')] ?? 0);
  const constantVariance = toConstant.reduce(
    (sum, a, i) => sum + toConstant.reduce((inner, b, j) => inner + a * b * (covariance[i]?.[j] ?? 0), 0),
    0,
  );
  return {
    counter,
    observations,
    leftOut: seen.filter((each) => !isReckoned(each)),
    constantM: {
      value: best.constantM,
      sd: best.constantM * Math.sqrt(Math.max(constantVariance, 0)),
      source: observations.some((each) => each.kind !== 'level') ? 'measured' : believed.constantM.source,
    },
    residuals: observations.map((observation, index) => {
      const expected = predicted(observation, best, counter.unitM);
      const off = valueOf(observation, counter.display) - expected;
      return { observation, expected, off, offSds: residuals[index] ?? NaN };
    }),
    unknowns: sources.map((from, index) => ({ from, value: values[index] ?? 0, sd: sds[index] ?? NaN })),
    conflicts: found.conflicts.flatMap(({ index, orElse, ...conflict }) => {
      const observation = observations[index];
      return observation ? [{ observation, ...conflict, orElse: orElse.flatMap((at) => observations[at] ?? []) }] : [];
    }),
    widened,
    beyondBelief: sources.flatMap((from, index) => {
      const bySds = values[index] ?? 0;
      return Math.abs(bySds) > BEYOND_BELIEF_SDS ? [{ from, bySds }] : [];
    }),
    correlation: covariance.map((row, i) => row.map((each, j) => each / ((sds[i] ?? NaN) * (sds[j] ?? NaN)))),
    valueIn,
    realise,
    anew,
    realiseNext: (unknowns, values) =>
      model.realise((key) => {
        const at = anewAt.get(key);
        return at === undefined ? valueIn(unknowns, key) : (values[at] ?? 0);
      }),
    best,
    found,
  };
}

/** What the evidence makes of the unknowns, and which pieces of it disagree. */
function find(
  priorSds: readonly number[],
  measured: Parameters<typeof conflictsOf>[1],
  predict: Parameters<typeof conflictsOf>[2],
): EstimateFound {
  const fit = fitToEvidence(priorSds, measured, predict);
  return { fit, conflicts: conflictsOf(priorSds, measured, predict, fit) };
}

/** Two residuals are the same to so many SDs: engines differ in the last digits of an exponential. */
const SAME = 1e-6;

/** Honest readings of one length may lie so far apart: a whole count, and the ends of a tape. */
const COUNTS_APART = 1.25;

/** Beyond this an unknown is not what was believed of it. */
const BEYOND_BELIEF_SDS = 3;

/** Below this share of the largest axis, an axis is only the rounding of a correlation. */
const NOTHING = 1e-10;

/** The independent ways in which a load can be other than believed: principal axes of the covariance of its unknowns. */
function axesOf(joint: JointErrors | null, unknowns: readonly LoadUnknown[]) {
  const keys = unknowns.map(({ key }) => key);
  const sds = unknowns.map(({ key, sd }) => {
    const at = joint?.keys.indexOf(key) ?? -1;
    return at < 0 ? sd : (joint?.relativeSds[at] ?? NaN);
  });
  const correlation = (a: string, b: string): number => {
    if (a === b) return 1;
    const [i, j] = [joint?.keys.indexOf(a) ?? -1, joint?.keys.indexOf(b) ?? -1];
    return i < 0 || j < 0 ? 0 : (joint?.correlation[i]?.[j] ?? 0);
  };
  const covariance = keys.map((a, i) => keys.map((b, j) => (sds[i] ?? 0) * (sds[j] ?? 0) * correlation(a, b)));
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(new Matrix(covariance), {
    assumeSymmetric: true,
  });
  const largest = Math.max(...realEigenvalues);
  const axes = realEigenvalues.flatMap((value, at) =>
    value > NOTHING * largest ? [eigenvectorMatrix.getColumn(at).map((each) => each * Math.sqrt(value))] : [],
  );
  return {
    keys,
    axes,
    sources: axes.map((axis) => unknowns[mainOf(axis, sds)]?.from ?? because('error-counter-constant')),
  };
}

/** The unknown that moves most along an axis, in its own SDs. */
function mainOf(axis: readonly number[], sds: readonly number[]): number {
  const share = (index: number): number => Math.abs(axis[index] ?? 0) / Math.max(sds[index] ?? 0, 1e-12);
  return axis.reduce((best, _, index) => (share(index) > share(best) ? index : best), 0);
}
