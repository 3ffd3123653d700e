import type { ForceTrace } from '../force/forceTrace';
import { linearFit } from '../numerics/linearFit';
import { failure, requirePositive, success, type Outcome } from '../result';

/** What a force–stretch trace of one pull says. */
export interface TraceReading {
  readonly samples: number;
  /** What the gauge showed before anything pulled (N); taken off everywhere. */
  readonly tareN: number;
  readonly peakN: number;
  readonly peakAtS: number;
  /** When the force fell away for good (s). */
  readonly brokeAtS: number;
  /** Slope of the force on the way up, between a fifth and four fifths of the peak (N/s). */
  readonly loadingRateNPerS: number;
  /** Stretch as a share of the length between the grips, at a share of the peak; null where it was not recorded. */
  readonly stretch: readonly { readonly load: number; readonly share: number }[] | null;
  /** Force per strain between a fifth and three fifths of the peak (N): what holds against stretch; null without it. */
  readonly stiffnessN: number | null;
  /** Falls of the force on the way up that were caught again: the line slipped in a grip. */
  readonly slips: number;
}

export type TraceProblem = 'trace-too-short' | 'no-pull' | 'no-break' | 'negative-sign' | 'negative-tare';

/** The force must fall to this share of its peak for the line to count as broken. */
const BROKEN_SHARE = 0.5;
/** Part of the trace that shows the gauge before anything pulls, at most so long. */
const TARE_SHARE = 0.02;
const TARE_S = 0.2;
const TARE_SAMPLES = 3;
/** A fall of so much of the peak on the way up is a slip; noise is less. */
const SLIP_SHARE = 0.05;
/** Loads at which the stretch is said, as shares of the peak. */
const LOADS = [0.2, 0.5, 0.8] as const;
/** A pull that goes so far below zero was recorded the wrong way round. */
const NEGATIVE_SHARE = 0.1;
const LEAST_SAMPLES = 8;

/**
 * Peak, break, loading rate, stretch and stiffness of one recorded pull.
 *
 * @param trace as recorded
 * @param gaugeLengthM length between the grips (m)
 * @returns the reading; or why there is none: 'trace-too-short', 'no-pull', 'no-break' (still holding when the trace ended),
 *   'negative' (recorded with the sign turned)
 */
export function analyseTrace(trace: ForceTrace, gaugeLengthM: number): Outcome<TraceReading, TraceProblem> {
  requirePositive('analyseTrace', { gaugeLengthM });
  const { timeS, forceN, stretchM } = trace;
  const n = forceN.length;
  if (n < LEAST_SAMPLES) return failure('trace-too-short', { samples: n, least: LEAST_SAMPLES });
  const tareN = tareOf(trace);
  const at = (index: number): number => (forceN[index] ?? NaN) - tareN;
  let [peak, lowest] = [0, 0];
  for (let i = 1; i < n; i += 1) {
    if (at(i) > at(peak)) peak = i;
    if (at(i) < at(lowest)) lowest = i;
  }
  const peakN = at(peak);
  if (-at(lowest) > Math.max(peakN, 0) && -at(lowest) > 0) {
    return failure('negative-sign');
  }
  if (-at(lowest) > NEGATIVE_SHARE * peakN) {
    return failure('negative-tare', { lowestN: at(lowest) });
  }
  if (!(peakN > 0)) return failure('no-pull');
  const broke = breakIndex(at, peak, n);
  if (broke === null) {
    return failure('no-break', { peakN });
  }
  const rise = riseOf(at, peak);
  const rate = linearFitOf(timeS, forceN, rise(0.2), rise(0.8) + 1);
  return success({
    samples: n,
    tareN,
    peakN,
    peakAtS: timeS[peak] ?? NaN,
    brokeAtS: timeS[broke] ?? NaN,
    loadingRateNPerS: rate?.slope ?? NaN,
    stretch:
      stretchM &&
      LOADS.map((load) => {
        const index = rise(load);
        return { load, share: ((stretchM[index] ?? NaN) - (stretchM[0] ?? 0)) / gaugeLengthM };
      }),
    stiffnessN: stretchM ? stiffness(stretchM, forceN, rise(0.2), rise(0.6) + 1, gaugeLengthM) : null,
    slips: slipsOn(at, peak, peakN),
  });
}

/** The middle of what was shown before anything pulled. */
function tareOf({ timeS, forceN }: ForceTrace): number {
  const firstS = timeS[0] ?? 0;
  const lastS = Math.min(TARE_S, TARE_SHARE * ((timeS.at(-1) ?? 0) - firstS));
  let count = timeS.findIndex((at) => at - firstS > lastS);
  if (count < TARE_SAMPLES) count = TARE_SAMPLES;
  const start = forceN.slice(0, count).sort();
  return start[Math.floor(start.length / 2)] ?? 0;
}

function breakIndex(at: (index: number) => number, peak: number, n: number): number | null {
  if (at(n - 1) > BROKEN_SHARE * at(peak)) return null;
  let index = n - 1;
  while (index > peak && at(index) <= BROKEN_SHARE * at(peak)) index -= 1;
  return index + 1;
}

/** The index at which the force first reaches a share of the peak and stays above it until the peak. */
function riseOf(at: (index: number) => number, peak: number): (share: number) => number {
  return (share) => {
    let index = peak;
    while (index > 0 && at(index - 1) >= share * at(peak)) index -= 1;
    return index;
  };
}

function linearFitOf(x: Float64Array, y: Float64Array, from: number, to: number) {
  if (to - from < 3 || (x[from] ?? 0) === (x[to - 1] ?? 0)) return null;
  return linearFit(x, y, from, to);
}

function stiffness(
  stretchM: Float64Array,
  forceN: Float64Array,
  from: number,
  to: number,
  gaugeLengthM: number,
): number | null {
  const fit = linearFitOf(stretchM, forceN, from, to);
  return fit && fit.slope > 0 ? fit.slope * gaugeLengthM : null;
}

function slipsOn(at: (index: number) => number, peak: number, peakN: number): number {
  let [slips, highest, falling] = [0, 0, false];
  for (let i = 0; i <= peak; i += 1) {
    const now = at(i);
    if (now >= highest) {
      highest = now;
      falling = false;
    } else if (!falling && highest - now > SLIP_SHARE * peakN) {
      slips += 1;
      falling = true;
    }
  }
  return slips;
}
