import { ERRORS } from '../measurement/errors';
import { countsForLine, type Counter, type CounterDrive, type PassingLine } from '../counter/counter';
import { bracketedRoot } from '../numerics/bracketedRoot';
import { buildLoadedLine, stretchOf, type LoadedLine } from '../spool/loadedLine';

/**
 * What was seen of a load and its counter, readings unwrapped:
 * - tape: a walk along a tape, from zero
 * - colour: a change of colour of known place at the tip while paying out, from zero
 * - turns: spool turns by hand, or between two flips of a digit
 * - wound: counts that a segment, or the colours of it, took while going on. They come off again, whatever packing
 *   or constant
 * - level: a level under the rim with the end of a segment just on
 */
export type CounterObservation = LengthObservation | TurnsObservation | WoundObservation | LevelObservation;

export interface LengthObservation {
  readonly kind: 'tape' | 'colour';
  readonly name: string;
  /** Wound line off the spool (m), and the SD of its error. */
  readonly trueLengthM: number;
  readonly lengthSdM: number;
  readonly reading: number;
  /** Line gone from each segment since (m), negative where line was put on; in the order of the segments. */
  readonly goneSinceM: readonly number[];
}

export interface TurnsObservation {
  readonly kind: 'turns';
  readonly name: string;
  readonly turns: number;
  readonly reading: number;
  /** Counted from a flip of the last digit to another, which leaves out the whole count at both ends. */
  readonly betweenFlips: boolean;
}

export interface WoundObservation {
  readonly kind: 'wound';
  readonly name: string;
  readonly segment: number;
  /** Which part of the segment, as shares of its length from its inner end. */
  readonly fromShare: number;
  readonly toShare: number;
  /** Counts, or turns of the spool that were counted by hand. */
  readonly reading: number;
  readonly byHand?: boolean;
  readonly goneSinceM: readonly number[];
}

export interface LevelObservation {
  readonly kind: 'level';
  readonly name: string;
  readonly afterSegment: number;
  readonly levelBelowRimM: number;
  readonly levelSdM: number;
  readonly goneSinceM: readonly number[];
}

/**
 * Relative SD by which a reel laid turn by turn departs from a smooth one over a length off it, from the layer by
 * layer simulation: 0.06 % beyond 30 m, 0.6 % at 3 m.
 */
export function layerStepSd(lengthM: number): number {
  return ERRORS.layerStepShare.sd * Math.max(1, 30 / Math.max(lengthM, 0.3));
}

/** What an observation says, in counts or, for a level, in metres; a truncating display shows half a count less. */
export function valueOf(observation: CounterObservation, display: Counter['display']): number {
  if (observation.kind === 'level') return observation.levelBelowRimM;
  // Between two zeros, as turns and winding are counted, the half counts cancel.
  if (observation.kind === 'turns' || observation.kind === 'wound' || display === 'rounds') return observation.reading;
  return observation.reading + (display === 'truncates' ? 0.5 : 0.25);
}

/** SD of an observation from its own errors alone, in its own unit. */
export function sdOf(observation: CounterObservation, counter: Pick<Counter, 'display' | 'drive'>): number {
  const { display } = counter;
  const byRoller = counter.drive === 'roller';
  switch (observation.kind) {
    case 'level':
      return observation.levelSdM;
    case 'turns': {
      const ends = observation.betweenFlips ? ERRORS.flipCounts.sd * Math.SQRT2 : ERRORS.wholeCount.sd;
      return Math.hypot(ends, (observation.reading * ERRORS.handTurn.sd) / observation.turns);
    }
    case 'wound':
      return Math.hypot(
        ERRORS.stopCounts.sd,
        ERRORS.wholeCount.sd,
        byRoller ? 0 : observation.reading * ERRORS.woundTurnsShare.sd,
      );
    case 'tape':
    case 'colour': {
      const { trueLengthM, lengthSdM, reading } = observation;
      const unsure = display === 'unknown' ? ERRORS.unsureDisplay.sd : 0;
      return Math.hypot(
        ERRORS.wholeCount.sd,
        unsure,
        (lengthSdM * reading) / trueLengthM,
        reading * (byRoller ? 0 : layerStepSd(trueLengthM)),
      );
    }
  }
}

/** A load and its counter as a set of unknowns makes them. */
export interface RealisedLoad {
  readonly line: LoadedLine;
  readonly rimDiameterM: number;
  /** Length that the counter takes one turn to be (m), and whose turn: see Counter. */
  readonly constantM: number;
  readonly drive: CounterDrive;
  /** By how much packing grows from the arbor to the rim, as a share of itself. */
  readonly depthShare: number;
  /** By how much more the counter shows for line going on than for line coming off. */
  readonly slipShare: number;
  /** By how much a length is longer than the outfit's tape says. */
  readonly tapeShare: number;
}

/** A load as far as its counter is concerned. */
export type CountedLoad = Pick<RealisedLoad, 'line' | 'rimDiameterM' | 'constantM' | 'drive' | 'depthShare'>;

/** What an observation would have been if the load were as realised, in the unit of `valueOf`. */
export function predicted(observation: CounterObservation, load: RealisedLoad, unitM: number): number {
  if (observation.kind === 'turns') return (observation.turns * load.constantM) / unitM;
  const then = { ...load, line: withGone(load.line, observation.goneSinceM) };
  if (observation.kind === 'level') {
    const outerM = then.line.segments[observation.afterSegment]?.outerDiameterM ?? NaN;
    return (load.rimDiameterM - outerM) / 2;
  }
  if (observation.kind === 'wound') {
    const { segment, fromShare, toShare } = observation;
    const lengthM = (then.line.segments[segment]?.lengthM ?? NaN) * (toShare - fromShare);
    const turns = turnsOfPart(then, segment, toShare) - turnsOfPart(then, segment, fromShare);
    return observation.byHand ? turns : (1 + load.slipShare) * countsOf(load, { turns, lengthM }, unitM);
  }
  const byTape = observation.kind === 'tape' ? 1 + load.tapeShare : 1;
  return countsAt(then, observation.trueLengthM * byTape, unitM);
}

/**
 * Counts that a length off the spool makes, unwrapped and not rounded.
 *
 * @param load the line with its winding strains, and the counter's constant
 * @param paidOutM relaxed length off the spool (m)
 * @param unitM length of one count (m)
 */
export function countsAt(load: CountedLoad, paidOutM: number, unitM: number): number {
  let leftM = paidOutM;
  let turns = 0;
  for (let index = load.line.segments.length - 1; index >= 0 && leftM > 0; index -= 1) {
    const segment = load.line.segments[index];
    if (!segment?.wound) continue;
    turns += turnsOfPart(load, index, 1) - turnsOfPart(load, index, 1 - Math.min(1, leftM / segment.lengthM));
    leftM -= segment.lengthM;
  }
  // A line that is a little longer than the estimate has it goes on at the last turn's rate.
  if (leftM > 0) turns += leftM / (Math.PI * load.line.spool.arborDiameterM);
  return countsOf(load, { turns, lengthM: paidOutM }, unitM);
}

function countsOf(load: Pick<RealisedLoad, 'constantM' | 'drive'>, line: PassingLine, unitM: number): number {
  return countsForLine(line, { drive: load.drive, lengthPerTurnM: load.constantM, unitM });
}

/**
 * The relaxed length off the spool at which the counter shows so many counts (m); null beyond the wound line.
 *
 * @param counts unwrapped, from zero
 */
export function lengthAtCounts(load: RealisedLoad, counts: number, unitM: number): number | null {
  const { woundLengthM } = load.line;
  const root = bracketedRoot((lengthM) => countsAt(load, lengthM, unitM) - counts, 0, woundLengthM, 1e-4);
  return root.ok ? root.value.root : null;
}

/**
 * Turns of a segment's inner part, a share of its length. Where packing grows outwards, its inner part takes more room than a share of
 * the whole: with the bare line's area growing as x + ½g·x(1 − x) over the share x, g the growth over the segment, the turns change to
 * first order by −L·g·ΔD²/(4π·D³)·(x²/2 − x³/3).
 */
function turnsOfPart(load: CountedLoad, index: number, share: number): number {
  const { line, rimDiameterM, depthShare } = load;
  const segment = line.segments[index];
  if (!segment) return NaN;
  const { innerDiameterM: innerM, outerDiameterM: outerM } = segment;
  const { widthM, arborDiameterM } = line.spool;
  const thereM = Math.sqrt(innerM ** 2 + (4 * segment.areaM2 * segment.lengthM * share) / (Math.PI * widthM));
  const stretch = stretchOf(segment);
  const even = (stretch * (thereM - innerM) * widthM) / (2 * segment.areaM2);
  if (depthShare === 0 || share === 0) return even;
  const ringM2 = outerM ** 2 - innerM ** 2;
  const growth = (depthShare * ringM2) / (Math.max(rimDiameterM, outerM) ** 2 - arborDiameterM ** 2);
  const middleM = (innerM + outerM) / 2;
  const bent = (stretch * segment.lengthM * growth * ringM2) / (4 * Math.PI * middleM ** 3);
  return even - bent * (share ** 2 / 2 - share ** 3 / 3);
}

/** The line as it was before so much was gone from each segment. */
export function withGone(line: LoadedLine, goneM: readonly number[]): LoadedLine {
  if (goneM.every((each) => each === 0)) return line;
  return buildLoadedLine(
    line.spool,
    line.segments.map((segment, index) => ({
      ...segment,
      lengthM: Math.max(segment.lengthM + (goneM[index] ?? 0), 0.01),
    })),
  );
}

/**
 * The line with plain line stripped from (or added to) its outermost wound segment.
 *
 * @param line loaded line
 * @param strippedM length to take off (m), negative to add
 * @throws RangeError when that would use up the whole segment
 */
export function withTopStripped(line: LoadedLine, strippedM: number): LoadedLine {
  const top = line.segments.findLastIndex((segment) => segment.wound);
  if ((line.segments[top]?.lengthM ?? 0) - strippedM <= 0) {
    throw new RangeError(`withTopStripped: ${strippedM} m is more than the outermost wound segment`);
  }
  return withGone(
    line,
    line.segments.map((_, index) => (index === top ? -strippedM : 0)),
  );
}
