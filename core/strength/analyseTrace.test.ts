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
