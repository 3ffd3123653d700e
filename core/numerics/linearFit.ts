import { requirePositive } from '../result';

/** A straight line through points: y = intercept + slope·x, with the SDs of both and of the residuals. */
export interface LinearFit {
  readonly slope: number;
  readonly intercept: number;
  readonly slopeSd: number;
  readonly interceptSd: number;
  readonly residualSd: number;
  readonly n: number;
}

/**
 * Least squares of a straight line. Sums are taken about the means, which keeps their digits.
 *
 * @param x at least three places, not all alike
 * @param y as many values
 * @param from first index that counts
 * @param to index behind the last one
 * @throws RangeError with fewer than three points or without spread in x
 */
export function linearFit(x: ArrayLike<number>, y: ArrayLike<number>, from = 0, to = x.length): LinearFit {
  const n = to - from;
  requirePositive('linearFit', { degrees: n - 2 });
  let [meanX, meanY] = [0, 0];
  for (let i = from; i < to; i += 1) {
    meanX += (x[i] ?? NaN) / n;
    meanY += (y[i] ?? NaN) / n;
  }
  let [sxx, sxy] = [0, 0];
  for (let i = from; i < to; i += 1) {
    const dx = (x[i] ?? NaN) - meanX;
    sxx += dx * dx;
    sxy += dx * ((y[i] ?? NaN) - meanY);
  }
  requirePositive('linearFit', { spreadOfX: sxx });
  const slope = sxy / sxx;
  let squares = 0;
  for (let i = from; i < to; i += 1) {
    squares += ((y[i] ?? NaN) - meanY - slope * ((x[i] ?? NaN) - meanX)) ** 2;
  }
  const residualSd = Math.sqrt(squares / (n - 2));
  return {
    slope,
    intercept: meanY - slope * meanX,
    slopeSd: residualSd / Math.sqrt(sxx),
    interceptSd: residualSd * Math.sqrt(1 / n + meanX ** 2 / sxx),
    residualSd,
    n,
  };
}
