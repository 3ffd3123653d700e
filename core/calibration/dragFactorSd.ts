import { spoolStateAt } from '../spool/loadedLine';
import type { CounterEstimate } from './estimateCounter';

/** Places along the line at which the SD is worked out; between them it is drawn straight. */
const STATIONS = 24;
/** Step of a derivative, in SDs of each unknown beforehand. */
const STEP = 1e-3;

/**
 * How well the growth of the drag along the line is known: relative SD of D(at the setting) ÷ D(out), from everything that may be
 * otherwise about spool and line. Errors that both diameters share cancel.
 *
 * @param estimate of the counter, or of the spool's turns
 * @param setLengthOutM length out at which the drag was set (m, from the hook)
 * @returns a function of the length out (m, from the hook)
 */
export function dragFactorSd(estimate: CounterEstimate, setLengthOutM: number): (lengthOutM: number) => number {
  const { unknowns, correlation, best } = estimate;
  const { totalLengthM } = best.line;
  const lengthsM = [setLengthOutM, ...Array.from({ length: STATIONS + 1 }, (_, at) => (totalLengthM * at) / STATIONS)];
  const centre = unknowns.map(({ value }) => value);
  const logDiameters = (values: readonly number[]): readonly number[] => {
    const { line } = estimate.realise(values);
    return lengthsM.map((lengthOutM) => {
      const paidOutM = Math.min(Math.max(lengthOutM - line.handLinedLengthM, 0), line.woundLengthM);
      return Math.log(spoolStateAt(line, paidOutM).diameterM);
    });
  };
  const slopes = unknowns.map(({ value, sd }, index) => {
    const [up, down] = [STEP, -STEP].map((by) => logDiameters(centre.with(index, value + by)));
    const slope = (at: number): number => (((up?.[at] ?? NaN) - (down?.[at] ?? NaN)) / (2 * STEP)) * sd;
    return lengthsM.map((_, at) => slope(0) - slope(at));
  });
  const sds = lengthsM.slice(1).map((_, at) => {
    const of = (index: number): number => slopes[index]?.[at + 1] ?? NaN;
    const variance = slopes.reduce(
      (sum, __, i) => sum + slopes.reduce((inner, ___, j) => inner + of(i) * of(j) * (correlation[i]?.[j] ?? 0), 0),
      0,
    );
    return Math.sqrt(Math.max(variance, 0));
  });
  return (lengthOutM) => {
    const at = Math.min(Math.max((lengthOutM / totalLengthM) * STATIONS, 0), STATIONS);
    const [low, share] = [Math.floor(at), at % 1];
    return (sds[low] ?? 0) * (1 - share) + (sds[low + 1] ?? sds[low] ?? 0) * share;
  };
}
