import { thinTrace, type ForceTrace } from '../force/forceTrace';
import { analyseTrace } from './analyseTrace';

const RATE = 200;

/** A pull that rises steadily to a peak in two seconds and breaks, sampled 200 times a second. */
function pull(change: (forceN: number, timeS: number) => number = (forceN) => forceN, tareN = 0): ForceTrace {
  const n = 3 * RATE;
  const timeS = Float64Array.from({ length: n }, (_, i) => i / RATE);
  const rise = (at: number): number => (at < 0.5 ? 0 : at <= 2.5 ? 60 * (at - 0.5) : 0);
  return {
    timeS,
    forceN: timeS.map((at) => change(rise(at), at) + tareN),
    // 22 % of half a metre at 120 N: 545 N per whole strain.
    stretchM: timeS.map((at) => (0.5 * 0.22 * rise(Math.min(at, 2.5))) / 120),
  };
}

describe('a force–stretch trace', () => {
  it('gives peak, break, loading rate, stretch at a load and stiffness', () => {
    const read = analyseTrace(pull(), 0.5);
    if (!read.ok) throw new Error(read.reason);
    expect(read.value.peakN).toBeCloseTo(120, 9);
    expect(read.value.peakAtS).toBeCloseTo(2.5, 9);
    expect(read.value.brokeAtS).toBeCloseTo(2.505, 9);
    expect(read.value.loadingRateNPerS).toBeCloseTo(60, 9);
    // Common practice, no source: nylon stretches about 22 % at 80 % of its load; here it is built in at the whole load.
    expect(read.value.stretch?.find((each) => each.load === 0.8)?.share).toBeCloseTo(0.176, 3);
    expect(read.value.stiffnessN).toBeCloseTo(120 / 0.22, 6);
    expect(read.value.slips).toBe(0);
  });

  it('takes off what the gauge showed before anything pulled, drift and all', () => {
    const read = analyseTrace(pull(undefined, 3.4), 0.5);
    expect(read).toMatchObject({ ok: true, value: { tareN: 3.4 } });
    expect(read.ok && read.value.peakN).toBeCloseTo(120, 9);
  });

  it('sees a line slip in its grip and be caught again', () => {
    const slipping = pull((forceN, at) => (at > 1.4 && at < 1.5 ? 0.7 * forceN : forceN));
    expect(analyseTrace(slipping, 0.5)).toMatchObject({ ok: true, value: { slips: 1 } });
  });

  it('does not take for a strength what did not break, did not pull, or pulled the wrong way', () => {
    const holding = pull((forceN, at) => (at > 2.5 ? 119 : forceN));
    expect(analyseTrace(holding, 0.5)).toMatchObject({ ok: false, reason: 'no-break', figures: { peakN: 120 } });
    expect(
      analyseTrace(
        pull(() => 0),
        0.5,
      ),
    ).toMatchObject({ ok: false, reason: 'no-pull' });
    expect(
      analyseTrace(
        pull((forceN) => -forceN),
        0.5,
      ),
    ).toMatchObject({ ok: false, reason: 'negative-sign' });
    expect(
      analyseTrace(
        pull((forceN, at) => (at > 2.7 ? -40 : forceN)),
        0.5,
      ),
    ).toMatchObject({ reason: 'negative-tare' });
    const short = { timeS: new Float64Array(3), forceN: new Float64Array(3), stretchM: null };
    expect(analyseTrace(short, 0.5)).toMatchObject({ ok: false, reason: 'trace-too-short' });
    expect(() => analyseTrace(pull(), 0)).toThrow(/gaugeLengthM/);
  });

  it('needs no stretch', () => {
    expect(analyseTrace({ ...pull(), stretchM: null }, 0.5)).toMatchObject({
      ok: true,
      value: { stretch: null, stiffnessN: null },
    });
  });
});

/** A pull as a few samples a second apart, or at times of their own. */
function samples(
  forceN: readonly number[],
  stretchM: readonly number[] | null = null,
  startS = 0,
  stepS = 1,
): ForceTrace {
  return {
    timeS: Float64Array.from(forceN, (_, index) => startS + stepS * index),
    forceN: Float64Array.from(forceN),
    stretchM: stretchM && Float64Array.from(stretchM),
  };
}

describe('a trace of a few samples, worked out by hand', () => {
  // The gauge shows 1, 2 and 3 N in no order before it pulls: 2 N in the middle. Above it: 10, 20 … 50, then the break.
  const RAW = [3, 1, 2, 12, 22, 32, 42, 52, 47, 26, 12, 2];
  const STRETCH = RAW.map((_, index) => 0.01 + 0.004 * Math.max(0, Math.min(index, 7) - 2));

  it('gives what a pencil gives', () => {
    const read = analyseTrace(samples(RAW, STRETCH), 0.5);
    expect(read).toMatchObject({
      ok: true,
      value: { samples: 12, tareN: 2, peakN: 50, peakAtS: 7, brokeAtS: 9, slips: 0 },
    });
    if (!read.ok) return;
    expect(read.value.loadingRateNPerS).toBeCloseTo(10, 9);
    // 4 mm of half a metre for each 10 N.
    expect(read.value.stretch?.map(({ share }) => share)).toEqual(
      [0.008, 0.024, 0.032].map((share) => expect.closeTo(share, 9) as number),
    );
    expect(read.value.stiffnessN).toBeCloseTo((10 / 0.004) * 0.5, 6);
  });

  it('knows what was shown before the pull by the trace’s own time, whenever its clock began', () => {
    // One second at 200 samples: a fiftieth of it is 20 ms, however late the clock stands.
    const ramp = Array.from({ length: 200 }, (_, index) => (index < 5 ? 3 : index < 190 ? 3 + index : 3));
    expect(analyseTrace(samples(ramp, null, 100, 0.005), 0.5)).toMatchObject({
      ok: true,
      value: { tareN: 3, peakN: 189 },
    });
    // In a long trace it is a fifth of a second at the most.
    const long = Array.from({ length: 400 }, (_, index) => (index < 4 ? 5 : index < 390 ? 5 + index : 5));
    expect(analyseTrace(samples(long, null, 0, 0.1), 0.5)).toMatchObject({ ok: true, value: { tareN: 5 } });
  });

  it('counts a fall of more than a twentieth of the peak as a slip, once until it is caught again', () => {
    const slips = (rise: readonly number[]): number => {
      const read = analyseTrace(samples([0, 0, 0, ...rise, 100, 100, 0]), 0.5);
      if (!read.ok) throw new Error(read.reason);
      return read.value.slips;
    };
    expect(slips([20, 40, 35.5, 50, 70])).toBe(0);
    expect(slips([20, 40, 34.5, 50, 70])).toBe(1);
    expect(slips([20, 40, 34, 30, 38, 50, 70])).toBe(1);
    expect(slips([20, 40, 34, 50, 44, 70])).toBe(2);
  });

  it('says what is wrong with figures, at the very edges', () => {
    expect(analyseTrace(samples([0, 0, 0, 20, 40, 60, 80, 0]), 0.5)).toMatchObject({ ok: true });
    const seven = analyseTrace(samples([0, 0, 0, 20, 40, 60, 0]), 0.5);
    expect(seven).toMatchObject({ reason: 'trace-too-short', figures: { samples: 7, least: 8 } });
    const below = analyseTrace(samples([0, 0, 0, 20, 40, 60, 80, 100, -11, 0]), 0.5);
    expect(below).toMatchObject({ reason: 'negative-tare', figures: { lowestN: -11 } });
    expect(analyseTrace(samples([0, 0, 0, 20, 40, 60, 80, 100, -9, 0]), 0.5)).toMatchObject({ ok: true });
    // Half of the peak is broken, more is not.
    expect(analyseTrace(samples([0, 0, 0, 20, 40, 60, 80, 100, 50]), 0.5)).toMatchObject({ ok: true });
    expect(analyseTrace(samples([0, 0, 0, 20, 40, 60, 80, 100, 51]), 0.5)).toMatchObject({ reason: 'no-break' });
  });

  it('gives no stiffness where the stretch stood still or went back', () => {
    const stands = RAW.map(() => 0.02);
    expect(analyseTrace(samples(RAW, stands), 0.5)).toMatchObject({ ok: true, value: { stiffnessN: null } });
    const back = STRETCH.map((each) => -each);
    expect(analyseTrace(samples(RAW, back), 0.5)).toMatchObject({ ok: true, value: { stiffnessN: null } });
  });
});

describe('a trace thinned for a drawing', () => {
  it('keeps a spike of a single sample, and the order of the two extremes', () => {
    const trace = pull((forceN, at) => (Math.abs(at - 1) < 1e-9 ? 500 : forceN));
    const columns = thinTrace(trace, 40);
    expect(columns).toHaveLength(40);
    expect(Math.max(...columns.flatMap((column) => [column.firstN, column.secondN]))).toBe(500);
    for (const column of columns) expect(column.firstS).toBeLessThanOrEqual(column.secondS);
    expect(thinTrace(trace, 5000)).toHaveLength(trace.forceN.length);
  });
});
