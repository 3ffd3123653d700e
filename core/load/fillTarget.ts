import { countsForLine, type Counter } from '../counter/counter';
import { bracketedRoot } from '../numerics/bracketedRoot';
import { failure, requirePositive, success, type Outcome } from '../result';
import { buildLoadedLine, spoolStateAt, type LoadedLine } from '../spool/loadedLine';
import { solveSegment, type SegmentToSolve } from '../spool/solveSegment';

/**
 * Where a fill is to end:
 * - below-rim: so far under the rim (m), negative above it
 * - depth-share: at a share of the depth between arbor and rim
 * - mark: at a diameter, such as the maker's full line or a fly reel's groove (m)
 * - own-mark: the segment that is worked out ends at its own mark (m), and the rest of the stack lies above it
 * - counter-true: where the counter is true over a working range of length out (m)
 */
export type FillTarget =
  | { readonly kind: 'below-rim'; readonly levelBelowRimM: number }
  | { readonly kind: 'depth-share'; readonly share: number }
  | { readonly kind: 'mark'; readonly diameterM: number }
  | { readonly kind: 'own-mark'; readonly diameterM: number }
  | { readonly kind: 'counter-true'; readonly fromM: number; readonly toM: number };

/** Where the fill of a plan is to end, as it is stored with the plan. */
export interface PlannedFill {
  readonly target: FillTarget;
  /** Metres of the outermost line that leader knots and snags will take: the target stands once they are gone. */
  readonly soonGoneM: number;
  /** Metres that each leader knot takes; null or missing: nobody has said. */
  readonly perKnotM?: number | null;
}

export interface ReelToFill {
  readonly arborDiameterM: number;
  readonly widthM: number;
  readonly fullDiameterM: number;
}

export type FillProblem =
  | 'no-counter'
  | 'roller-driven'
  | 'reads-high-above-the-rim'
  | 'reads-low-with-the-least-line'
  | 'below-the-arbor'
  | 'range-longer-than-line'
  | 'does-not-fit';

/** Places of the working range at which the counter's error is looked at. */
const RANGE_STATIONS = 9;

/**
 * How deep under the rim a fill target lies.
 *
 * @param reel spool dimensions (m)
 * @param segments the stack from the arbor, one length unknown; used by 'own-mark' and 'counter-true' only
 * @param counter the counter with its best constant, or null
 * @param target what is wanted
 * @returns level below the rim (m), negative above it; or why the target cannot be named
 */
export function levelOfTarget(
  reel: ReelToFill,
  segments: readonly SegmentToSolve[],
  counter: Counter | null,
  target: FillTarget,
): Outcome<number, FillProblem> {
  const { arborDiameterM, fullDiameterM } = reel;
  requirePositive('levelOfTarget', { arborDiameterM, fullDiameterM });
  if (fullDiameterM <= arborDiameterM) return aboveTheArbor(reel, 0);
  switch (target.kind) {
    case 'below-rim':
      return aboveTheArbor(reel, target.levelBelowRimM);
    case 'depth-share':
      return aboveTheArbor(reel, ((1 - target.share) * (fullDiameterM - arborDiameterM)) / 2);
    case 'mark':
      return aboveTheArbor(reel, (fullDiameterM - target.diameterM) / 2);
    case 'own-mark':
      return levelAboveMark(reel, segments, target.diameterM);
    case 'counter-true':
      return counterTrueLevel(reel, segments, counter, target.fromM, target.toM);
  }
}

/**
 * The level that leaves a target standing once metres of the outermost line are gone: over it, on purpose.
 *
 * @param reel spool dimensions (m)
 * @param levelBelowRimM where the level is to be later (m under the rim)
 * @param soonGoneM length of the outermost line that leader knots and snags will take (m)
 * @param topAreaM2 space that a metre of that line takes (m²)
 */
export function levelBeforeLoss(
  reel: ReelToFill,
  levelBelowRimM: number,
  soonGoneM: number,
  topAreaM2: number,
): number {
  requirePositive('levelBeforeLoss', { widthM: reel.widthM, topAreaM2 });
  const laterM = reel.fullDiameterM - 2 * levelBelowRimM;
  const nowM = Math.sqrt(laterM ** 2 + (4 * topAreaM2 * soonGoneM) / (Math.PI * reel.widthM));
  return (reel.fullDiameterM - nowM) / 2;
}

/** The level that follows when the segment that is worked out ends at its own mark. */
function levelAboveMark(
  reel: ReelToFill,
  segments: readonly SegmentToSolve[],
  diameterM: number,
): Outcome<number, FillProblem> {
  const inner = segments.slice(0, segments.findIndex((segment) => segment.lengthM === null) + 1);
  const solved = solveSegment(reel, inner, diameterM);
  if (!solved.ok) return solved;
  const line = buildLoadedLine(
    reel,
    segments.map((segment) => ({ ...segment, lengthM: segment.lengthM ?? solved.value.solvedLengthM })),
  );
  return success((reel.fullDiameterM - line.fullDiameterM) / 2);
}

function aboveTheArbor(reel: ReelToFill, levelBelowRimM: number): Outcome<number, FillProblem> {
  const depthM = (reel.fullDiameterM - reel.arborDiameterM) / 2;
  if (levelBelowRimM < depthM) return success(levelBelowRimM);
  return failure('below-the-arbor', { depthM });
}

/**
 * Mean relative error of the counter over a working range of wound line out.
 *
 * @param line the loaded line
 * @param counter its counter
 * @param fromM start of the range (m off the spool), above 0
 * @param toM end of the range (m), at most what is wound
 * @returns 0 when true on average; positive when it reads high
 */
export function meanCounterError(line: LoadedLine, counter: Counter, fromM: number, toM: number): number {
  requirePositive('meanCounterError', { fromM, toM });
  const errors = Array.from({ length: RANGE_STATIONS }, (_, index) => {
    const lengthM = fromM + ((toM - fromM) * index) / (RANGE_STATIONS - 1);
    const counts = countsForLine({ turns: spoolStateAt(line, lengthM).turns, lengthM }, counter);
    return (counts * counter.unitM) / lengthM - 1;
  });
  return errors.reduce((sum, error) => sum + error, 0) / RANGE_STATIONS;
}

/** Largest diameter looked at, as a share of the rim's: further out no adjustment of a fill is meant. */
const WIDEST = 1.3;

function counterTrueLevel(
  reel: ReelToFill,
  segments: readonly SegmentToSolve[],
  counter: Counter | null,
  fromM: number,
  toM: number,
): Outcome<number, FillProblem> {
  if (!counter) return failure('no-counter');
  if (counter.drive === 'roller') {
    return failure('roller-driven');
  }
  const lineAt = (diameterM: number): LoadedLine | null => {
    const solved = solveSegment(reel, segments, diameterM);
    return solved.ok ? solved.value.line : null;
  };
  // The least fill is the one that the known segments need and that holds the working range.
  const enough = (diameterM: number): boolean => (lineAt(diameterM)?.woundLengthM ?? 0) > toM;
  const widestM = reel.fullDiameterM * WIDEST;
  if (!enough(widestM)) {
    return failure('range-longer-than-line', { toM });
  }
  const start = reel.arborDiameterM * 1.001;
  const leastM = enough(start)
    ? start
    : (() => {
        const edge = bracketedRoot((diameterM) => (enough(diameterM) ? 1 : -1), start, widestM, 1e-6);
        return edge.ok ? edge.value.root + 2e-6 : widestM;
      })();
  const error = (diameterM: number): number => {
    const line = lineAt(diameterM);
    return line ? meanCounterError(line, counter, fromM, Math.min(toM, line.woundLengthM)) : NaN;
  };
  const root = bracketedRoot(error, leastM, widestM, 1e-6);
  if (!root.ok) {
    return failure(root.figures.atHigh > 0 ? 'reads-high-above-the-rim' : 'reads-low-with-the-least-line');
  }
  return success((reel.fullDiameterM - root.value.root) / 2);
}
