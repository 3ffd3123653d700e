import { bracketedRoot } from '../numerics/bracketedRoot';
import { PLUS_MINUS_SDS, propagate } from '../numerics/propagate';
import type { Figure } from '../provenance/figure';
import { because } from '../reasons';
import { ERRORS } from '../measurement/errors';
import { failure, requirePositive, success, type Outcome } from '../result';
import { buildLoadedLine } from '../spool/loadedLine';
import { spoolVolumeM3, woundAreaM2 } from '../spool/spoolGeometry';
import type { CounterEstimate } from './estimateCounter';
import { countsAt, type RealisedLoad } from './observations';

/** Another length of one segment, at which the counter is true on average over a working range. */
export interface ReloadAtFit {
  readonly lengthM: Figure;
  /** Where the level then lies under the rim (m), negative above it. */
  readonly levelBelowRimM: Figure;
  /** The load as it would then most likely lie. */
  readonly after: RealisedLoad;
}

export type ReloadFitProblem =
  'roller-driven' | 'reads-high-above-the-rim' | 'reads-low-with-the-least-line' | 'true-past-the-rim';

/** Places of the working range at which the error is looked at. */
const STATIONS = 9;
/** Shortest length that is looked at (m), and the widest spool as a share of its rim. */
const LEAST_M = 0.01;
const WIDEST = 1.3;

/**
 * How long one segment has to be on the next load, so that the counter is true on average over a working range: on the load as it
 * is fitted, geometry, lines and constant alike, with the ± of all of them and of another winding.
 *
 * @param estimate everything known of the counter on the line as it is now
 * @param freeId id of the segment that gives way
 * @param range working range of line off the spool (m)
 * @returns why there is none: a roller does not care, or it would be true only past the rim or without line
 * @throws RangeError when the line has no such segment
 */
export function reloadAtFit(
  estimate: CounterEstimate,
  freeId: string,
  range: { readonly fromM: number; readonly toM: number },
): Outcome<ReloadAtFit, ReloadFitProblem> {
  requirePositive('reloadAtFit', { fromM: range.fromM, toM: range.toM });
  if (!estimate.best.line.segments.some((segment) => segment.id === freeId)) {
    throw new RangeError(`reloadAtFit: the line has no segment ${freeId}`);
  }
  if (estimate.counter.drive === 'roller') return failure('roller-driven');
  const { unitM } = estimate.counter;
  const { unknowns, anew } = estimate;
  const bestValues = unknowns.map(({ value }) => value);
  const next = estimate.realiseNext(
    bestValues,
    anew.map(() => 0),
  );
  const centre = solve(next, freeId, range, unitM, 1);
  if (!centre.ok) return centre;
  const levelOf = (load: RealisedLoad): number => (load.rimDiameterM - load.line.fullDiameterM) / 2;
  if (levelOf(centre.value) < 0) return failure('true-past-the-rim', { aboveRimM: -levelOf(centre.value) });
  const repeat = { from: because('error-load-repeat'), value: 1, sd: ERRORS.packingRepeatShare.sd };
  const spread = propagate(
    [...unknowns, ...anew.map(({ from, sd }) => ({ from, value: 0, sd })), repeat],
    (values) => {
      const load = estimate.realiseNext(values.slice(0, unknowns.length), values.slice(unknowns.length, -1));
      const then = solve(load, freeId, range, unitM, values.at(-1) ?? 1);
      const lies = then.ok ? then.value : centre.value;
      return [lengthIn(lies, freeId), levelOf(lies)];
    },
    withMore(estimate.correlation, anew.length + 1),
  );
  const figure = (index: number): Figure => ({
    value: spread.values[index] ?? NaN,
    plusMinus: PLUS_MINUS_SDS * (spread.sds[index] ?? NaN),
    mainlyFrom: spread.largestContributors[index] ?? null,
  });
  return success({ lengthM: figure(0), levelBelowRimM: figure(1), after: centre.value });
}

function solve(
  load: RealisedLoad,
  freeId: string,
  range: { readonly fromM: number; readonly toM: number },
  unitM: number,
  repeat: number,
): Outcome<RealisedLoad, ReloadFitProblem> {
  const free = load.line.segments.find((segment) => segment.id === freeId);
  const areaM2 = free ? woundAreaM2(free.lineDiameterM, free.packing) : NaN;
  const mostM = spoolVolumeM3(load.line.spool, WIDEST * load.rimDiameterM) / areaM2;
  const at = (lengthM: number): RealisedLoad => withLength(load, freeId, lengthM, repeat);
  const off = (lengthM: number): number => meanError(at(lengthM), range, unitM);
  // A rim that the estimate puts under the arbor leaves no room for another length.
  if (!(mostM > LEAST_M)) return failure('reads-high-above-the-rim');
  const root = bracketedRoot(off, LEAST_M, mostM, 1e-4);
  if (root.ok) return success(at(root.value.root));
  return failure(root.figures.atHigh > 0 ? 'reads-high-above-the-rim' : 'reads-low-with-the-least-line');
}

function withLength(load: RealisedLoad, freeId: string, lengthM: number, repeat: number): RealisedLoad {
  const segments = load.line.segments.map((segment) => ({
    ...segment,
    packing: segment.packing / repeat,
    lengthM: segment.id === freeId ? lengthM : segment.lengthM,
  }));
  return { ...load, line: buildLoadedLine(load.line.spool, segments) };
}

function meanError(
  load: RealisedLoad,
  { fromM, toM }: { readonly fromM: number; readonly toM: number },
  unitM: number,
): number {
  const errors = Array.from({ length: STATIONS }, (_, index) => {
    const lengthM = fromM + ((toM - fromM) * index) / (STATIONS - 1);
    return (countsAt(load, lengthM, unitM) * unitM) / lengthM - 1;
  });
  return errors.reduce((sum, error) => sum + error, 0) / STATIONS;
}

const lengthIn = (load: RealisedLoad, id: string): number =>
  load.line.segments.find((segment) => segment.id === id)?.lengthM ?? NaN;

/** A correlation with so many unknowns more, which have nothing to do with the others. */
function withMore(correlation: readonly (readonly number[])[], more: number): readonly (readonly number[])[] {
  const size = correlation.length + more;
  return Array.from({ length: size }, (_, i) =>
    Array.from({ length: size }, (_, j) => (i === j ? 1 : (correlation[i]?.[j] ?? 0))),
  );
}
