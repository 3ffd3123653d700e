import { propagate } from '../numerics/propagate';
import type { Known } from '../provenance/source';
import { requirePositive } from '../result';
import { buildLoadedLine, spoolStateAt, type LoadedLine } from '../spool/loadedLine';

/** One walk along a tape: true length against the reading, from zero. */
export interface TapeTrial {
  readonly trueLengthM: number;
  /** Unwrapped counts. */
  readonly reading: number;
  /** Plain line taken off the top since the trial before (m), negative for line added. */
  readonly strippedBeforeM: number;
}

/** SD of one walk's tape and mark errors together (m): 2 in, common practice, no source. */
export const TAPE_SD_M = 0.0508;

/** SD of a reading to the whole count, in counts. */
export const WHOLE_COUNT_SD = Math.sqrt(1 / 12);

/** Relative SD of the mean diameter over the walk: what calipers and the lay leave open. */
const DIAMETER_RELATIVE_SD = 0.01;

/**
 * The counter's constant from one tape test, given the loaded geometry: the walk pulled N(T) turns
 * off, which the counter called r counts, so k = r·u/N(T).
 *
 * @param line the line as loaded at the time of the trial
 * @param unitM length of one count (m)
 * @param trial the walk
 * @returns k (m per turn) with its SD, from the tape, the whole count and the spool's diameter
 */
export function constantFromTape(line: LoadedLine, unitM: number, trial: TapeTrial): Known {
  requirePositive('constantFromTape', { unitM, trueLengthM: trial.trueLengthM, reading: trial.reading });
  const spread = propagate(
    [
      { name: 'tape', value: trial.trueLengthM, sd: Math.min(TAPE_SD_M, trial.trueLengthM / 4) },
      { name: 'reading', value: trial.reading, sd: Math.min(WHOLE_COUNT_SD, trial.reading / 4) },
      { name: 'diameter', value: 1, sd: DIAMETER_RELATIVE_SD },
    ],
    ([lengthM = 0, reading = 0, diameterFactor = 1]) => {
      const turns = spoolStateAt(line, Math.min(lengthM, line.woundLengthM)).turns / diameterFactor;
      return [(reading * unitM) / turns];
    },
  );
  return { value: spread.values[0] ?? NaN, sd: spread.sds[0] ?? NaN, source: 'measured' };
}

/**
 * The line with plain line stripped from (or added to) its outermost wound segment.
 *
 * @param line loaded line
 * @param strippedM length to take off (m), negative to add
 * @throws RangeError when that would use up the whole segment
 */
export function withTopStripped(line: LoadedLine, strippedM: number): LoadedLine {
  const top = line.segments.findLast((segment) => segment.wound);
  if (!top || top.lengthM - strippedM <= 0) {
    throw new RangeError(`withTopStripped: ${strippedM} m is more than the outermost wound segment`);
  }
  return buildLoadedLine(
    line.spool,
    line.segments.map((segment) => (segment === top ? { ...segment, lengthM: segment.lengthM - strippedM } : segment)),
  );
}
