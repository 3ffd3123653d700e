import { ERRORS } from '../core/measurement/errors';
import type { BelievedLoad } from '../core/calibration/loadModel';
import { countsAt, type LengthObservation, type CountedLoad } from '../core/calibration/observations';
import type { LoadedLine } from '../core/spool/loadedLine';

/** A measured figure, known to a share of itself. */
export const known = (value: number, relativeSd: number) =>
  ({ value, sd: relativeSd * value, source: 'measured' }) as const;

/** A load for tests of the counter: a line as believed, with how well each thing is known. */
export function believedLoad(
  line: LoadedLine,
  change: Partial<BelievedLoad> & { areaRelativeSd?: number; lengthRelativeSd?: number } = {},
): BelievedLoad {
  const { areaRelativeSd = 0.05, lengthRelativeSd = 0.003, ...rest } = change;
  return {
    arborDiameterM: known(line.spool.arborDiameterM, 0.006),
    widthM: known(line.spool.widthM, 0.006),
    fullDiameterM: known(line.fullDiameterM + 0.004, 0.003),
    constantM: { value: 0.18, sd: 0.0072, source: 'maker' },
    counter: { unitM: 0.3048, display: 'rounds' },
    joint: null,
    segments: line.segments.map((segment) => ({
      ...segment,
      lineId: segment.id,
      areaRelativeSd,
      lengthRelativeSd,
      windingStrain: { value: 0, sd: 0 },
    })),
    ...rest,
  };
}

/** What a counter of a true constant shows, unrounded. */
export function shownAt(line: LoadedLine, constantM: number, lengthM: number, unitM = 0.3048): number {
  const truth: CountedLoad = { line, rimDiameterM: 1, constantM, drive: 'spool', depthShare: 0 };
  return countsAt(truth, lengthM, unitM);
}

export function walkOf(reading: number, trueLengthM = 30.48, goneSinceM: readonly number[] = []): LengthObservation {
  return { kind: 'tape', name: 'walk', trueLengthM, lengthSdM: ERRORS.walkM.sd, reading, goneSinceM };
}
