import { countsForLine, naiveStopReading, stopReading, type Counter } from '../counter/counter';
import { because, type Reason } from '../reasons';
import { PLUS_MINUS_SDS, propagate, type UncertainInput } from '../numerics/propagate';
import type { Figure } from '../provenance/figure';
import type { Known } from '../provenance/source';
import { success, type Outcome } from '../result';
import { buildLoadedLine, type LoadedLine } from '../spool/loadedLine';
import { segmentDepths } from '../spool/segmentDepths';
import { solveSegment, type SegmentToSolve } from '../spool/solveSegment';
import { ERRORS } from '../measurement/errors';
import { labelCovariance, type LabelledLine } from '../measurement/lineErrors';

export interface ReelToPlan {
  readonly arborDiameterM: Known;
  readonly widthM: Known;
  /** Diameter of the rim that counts as full (m). */
  readonly fullDiameterM: Known;
}

export interface SegmentToPlan {
  readonly id: string;
  readonly name: string;
  /** Segments of the same line share the error of its bulk; left out, each has its own. */
  readonly lineId?: string;
  readonly lineDiameterM: Known;
  readonly packing: Known;
  /** Its material, where the diameter is its label's: labels of one material are off alike. */
  readonly labelOf?: string | undefined;
  /** How much it is stretched as it goes on, as a share of its relaxed length; left out, it is not. */
  readonly windingStrain?: { readonly value: number; readonly sd: number };
  /** Null for the one segment that is solved. */
  readonly lengthM: Known | null;
  readonly wound: boolean;
}

export interface CounterToPlan extends Omit<Counter, 'lengthPerTurnM'> {
  readonly lengthPerTurnM: Known;
}

/**
 * Errors that are known together, as learned from loads: relative SDs of the reel's dimensions and of lines' bulk,
 * with their correlation. They take the place of the SDs that reel and lines carry themselves.
 */
export interface JointErrors {
  /** 'arborDiameterM', 'widthM', 'fullDiameterM' or a line's id. */
  readonly keys: readonly string[];
  readonly relativeSds: readonly number[];
  readonly correlation: readonly (readonly number[])[];
}

export interface PlannedSegment {
  readonly id: string;
  readonly name: string;
  readonly lengthM: Figure;
  readonly diameterAfterM: Figure;
  /** Spool turns for the length that is named, with its ± for that very length. */
  readonly turns: Figure;
  /** Counts from zero to the end of that length, not wrapped; null without a counter. */
  readonly counts: Figure | null;
  readonly stopReading: number | null;
  readonly naiveStopReading: number | null;
}

export interface LoadPlan {
  readonly line: LoadedLine;
  readonly solvedSegmentId: string | null;
  readonly segments: readonly PlannedSegment[];
  /** Wound diameter when all is on (m). */
  readonly finalDiameterM: Figure;
  /** Where the level will lie under the rim (m) when the named lengths are on, with what is not known of it. */
  readonly levelBelowRimM: Figure;
}

/** The inputs of a plan as a flat list, and the way back from a list of values to a plan. */
function flatten(
  reel: ReelToPlan,
  segments: readonly SegmentToPlan[],
  counter: CounterToPlan | null,
  joint: JointErrors | null,
  ownMarkM: Known | null,
) {
  const inputs: UncertainInput[] = [];
  const keys: string[] = [];
  const labels: (LabelledLine | undefined)[] = [];
  const add = (key: string, from: Reason, known: { value: number; sd: number }): number => {
    const at = joint?.keys.indexOf(key) ?? -1;
    // The bulk of a line is a logarithm, and its SD relative as it stands.
    const sd = at < 0 ? known.sd : (known.value || 1) * (joint?.relativeSds[at] ?? NaN);
    keys.push(key);
    return inputs.push({ from, value: known.value, sd }) - 1;
  };
  const arbor = add('arborDiameterM', because('error-arbor'), reel.arborDiameterM);
  const width = add('widthM', because('error-width'), reel.widthM);
  const full = add('fullDiameterM', because('error-full-diameter'), reel.fullDiameterM);
  const mark = ownMarkM ? add('ownMarkM', because('error-mark'), ownMarkM) : null;
  const constant = counter ? add('counter', because('error-counter-constant'), counter.lengthPerTurnM) : null;
  const depth = add('depth', because('error-packing-depth'), { value: 0, sd: ERRORS.packingDepthShare.sd });
  const bulks = new Map<string, number>();
  const rows = segments.map((segment) => {
    const key = segment.lineId ?? `segment ${segment.id}`;
    const bulk = bulks.get(key) ?? add(key, bulkError(segment), { value: 0, sd: bulkRelativeSd(segment) });
    bulks.set(key, bulk);
    labels[bulk] = labelOf(segment);
    const strained = segment.windingStrain ?? { value: 0, sd: 0 };
    const stretchKey = `stretch of ${key}`;
    const stretch = bulks.get(stretchKey) ?? add(stretchKey, because('error-stretch', { of: segment.name }), strained);
    bulks.set(stretchKey, stretch);
    const length = segment.lengthM
      ? add(`length ${segment.id}`, because('error-length', { of: segment.name }), segment.lengthM)
      : null;
    return { segment, bulk, stretch, length };
  });
  const read = (values: readonly number[], depths: readonly number[]) => {
    const at = (index: number): number => values[index] ?? NaN;
    return {
      spool: { arborDiameterM: at(arbor), widthM: at(width) },
      fullDiameterM: at(full),
      ownMarkM: mark === null ? null : at(mark),
      lengthPerTurnM: constant === null ? null : at(constant),
      segments: rows.map(({ segment, bulk, stretch, length }, row): SegmentToSolve => ({
        id: segment.id,
        name: segment.name,
        wound: segment.wound,
        lineDiameterM: segment.lineDiameterM.value,
        packing: segment.packing.value * Math.exp(at(depth) * (depths[row] ?? 0) - at(bulk)),
        strain: at(stretch),
        lengthM: length === null ? null : at(length),
      })),
    };
  };
  return { inputs, correlation: correlationOf(inputs, keys, labels, joint), read };
}

/** Relative SD of the space that a metre of line takes: twice the thickness's, and the packing's. */
export function bulkRelativeSd(line: { readonly lineDiameterM: Known; readonly packing: Known }): number {
  const { lineDiameterM, packing } = line;
  return Math.hypot((2 * lineDiameterM.sd) / lineDiameterM.value, packing.sd / packing.value);
}

/** A line's bulk, named by what leaves it most open. */
function bulkError(segment: SegmentToPlan): Reason {
  const { lineDiameterM, packing } = segment;
  const thickness = (2 * lineDiameterM.sd) / lineDiameterM.value;
  return because(thickness > packing.sd / packing.value ? 'error-thickness' : 'error-packing', { of: segment.name });
}

/** What a label leaves open of a line's bulk, where the line is known by its label: twice what it leaves open of the thickness. */
export function labelOf(line: Pick<SegmentToPlan, 'labelOf' | 'lineDiameterM'>): LabelledLine | undefined {
  const { labelOf: material, lineDiameterM } = line;
  return material === undefined ? undefined : { material, relativeSd: (2 * lineDiameterM.sd) / lineDiameterM.value };
}

/** Correlation of a plan's inputs: as learned where both are known together, else what labels have in common. */
function correlationOf(
  inputs: readonly UncertainInput[],
  keys: readonly string[],
  labels: readonly (LabelledLine | undefined)[],
  joint: JointErrors | null,
): readonly (readonly number[])[] {
  const places = keys.map((key) => joint?.keys.indexOf(key) ?? -1);
  return places.map((a, row) =>
    places.map((b, column) => {
      if (row === column) return 1;
      if (a >= 0 && b >= 0) return joint?.correlation[a]?.[b] ?? 0;
      const shared = labelCovariance(labels[row], labels[column]);
      return shared > 0 ? shared / ((inputs[row]?.sd ?? NaN) * (inputs[column]?.sd ?? NaN)) : 0;
    }),
  );
}

/**
 * Plans a load: solves the one unknown length (if any) for a level below the rim, and gives for each
 * segment its length, the level after it, the spool turns, and the reading at which to stop.
 *
 * @param reel spool dimensions with their SDs (m)
 * @param segments in order from the arbor, at most one without a length
 * @param counter the reel's counter, or null when it has none
 * @param levelBelowRimM depth of the finished level under the rim (m); negative is above it
 * @param joint errors that are known together, or null
 * @param ownMarkM diameter at which the segment that is worked out is to end itself (m), whatever lies above it; null: the
 *   whole stack ends at the level
 * @returns the plan with a ± on every figure, or 'does-not-fit' (figures as in solveSegment)
 * @throws RangeError when more than one length is unknown
 */
export function planLoad(
  reel: ReelToPlan,
  segments: readonly SegmentToPlan[],
  counter: CounterToPlan | null,
  levelBelowRimM: number,
  joint: JointErrors | null = null,
  ownMarkM: Known | null = null,
): Outcome<LoadPlan, 'does-not-fit'> {
  const { inputs, correlation, read } = flatten(reel, segments, counter, joint, ownMarkM);
  const solve = (values: readonly number[], depths: readonly number[]): Outcome<LoadedLine, 'does-not-fit'> => {
    const parts = read(values, depths);
    if (!parts.segments.some((segment) => segment.lengthM === null)) {
      const known = parts.segments.map((segment) => ({ ...segment, lengthM: segment.lengthM ?? NaN }));
      return success(buildLoadedLine(parts.spool, known));
    }
    if (parts.ownMarkM !== null) {
      const upTo = parts.segments.findIndex((segment) => segment.lengthM === null) + 1;
      const marked = solveSegment(parts.spool, parts.segments.slice(0, upTo), parts.ownMarkM);
      if (!marked.ok) return marked;
      const { solvedLengthM } = marked.value;
      return success(
        buildLoadedLine(
          parts.spool,
          parts.segments.map((segment) => ({ ...segment, lengthM: segment.lengthM ?? solvedLengthM })),
        ),
      );
    }
    const solved = solveSegment(parts.spool, parts.segments, parts.fullDiameterM - 2 * levelBelowRimM);
    return solved.ok ? success(solved.value.line) : solved;
  };
  const centre = solve(
    inputs.map((input) => input.value),
    [],
  );
  if (!centre.ok) return centre;
  const depths = segmentDepths(centre.value, reel.fullDiameterM.value);

  const compute = (values: readonly number[]): readonly number[] => {
    const outcome = solve(values, depths);
    // One SD off, a solved length can vanish; the step is then taken from the best plan itself,
    // which keeps the ± finite and, by the other side's step, at least half of its true size.
    const line = outcome.ok ? outcome.value : centre.value;
    // Turns and counts answer another question: how far is it to the length that the run sheet names?
    const named = buildLoadedLine(
      line.spool,
      line.segments.map((segment, index) => ({ ...segment, lengthM: centre.value.segments[index]?.lengthM ?? NaN })),
    );
    const { lengthPerTurnM, fullDiameterM } = read(values, depths);
    const perSegment = line.segments.flatMap((segment, index) => {
      const turns = named.segments[index]?.turns ?? NaN;
      const lengthM = named.segments[index]?.lengthM ?? NaN;
      const counts =
        counter && lengthPerTurnM !== null ? countsForLine({ turns, lengthM }, { ...counter, lengthPerTurnM }) : 0;
      return [segment.lengthM, segment.outerDiameterM, turns, counts];
    });
    return [...perSegment, (fullDiameterM - named.fullDiameterM) / 2];
  };
  const spread = propagate(inputs, compute, correlation);
  const figure = (index: number, extraSd = 0): Figure => ({
    value: spread.values[index] ?? NaN,
    plusMinus: PLUS_MINUS_SDS * Math.hypot(spread.sds[index] ?? NaN, extraSd),
    mainlyFrom: spread.largestContributors[index] ?? null,
  });
  const nominal = counter ? { ...counter, lengthPerTurnM: counter.lengthPerTurnM.value } : null;
  const planned = centre.value.segments.map((segment, row): PlannedSegment => {
    const layerSd = segment.turns * ERRORS.plannedTurnsShare.sd;
    const counts = nominal ? countsForLine(segment, nominal) : 0;
    return {
      id: segment.id,
      name: segment.name,
      lengthM: figure(4 * row),
      diameterAfterM: figure(4 * row + 1),
      turns: figure(4 * row + 2, layerSd),
      // A whole-count display adds 1/√12 of a count.
      counts: nominal ? figure(4 * row + 3, Math.hypot(counts * ERRORS.plannedTurnsShare.sd, Math.sqrt(1 / 12))) : null,
      stopReading: nominal && segment.wound ? stopReading(segment, nominal) : null,
      naiveStopReading: nominal && segment.wound ? naiveStopReading(segment.lengthM, nominal) : null,
    };
  });
  const lastWound = centre.value.segments.findLastIndex((segment) => segment.wound);
  return success({
    line: centre.value,
    solvedSegmentId: segments.find((segment) => segment.lengthM === null)?.id ?? null,
    segments: planned,
    finalDiameterM:
      lastWound < 0 ? { value: centre.value.fullDiameterM, plusMinus: 0, mainlyFrom: null } : figure(4 * lastWound + 1),
    levelBelowRimM: figure(4 * centre.value.segments.length),
  });
}
