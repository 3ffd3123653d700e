import { readBreakPlace, readGaugeLine, writeBreak, writeGaugeHead, writeGaugeLine } from './gaugeLine';
import { readTraceFile } from './traceFile';
import { VirtualForceGauge } from './virtual/virtualForceGauge';
import { analyseTrace } from '../core/strength/analyseTrace';

const LINE = { meanStrengthN: 100, cv: 0.03, stretchAtBreak: 0.22 };

describe('the line protocol of a force gauge', () => {
  it('reads what it writes, and passes over head and remarks', () => {
    expect(readGaugeLine(writeGaugeLine({ timeS: 1.25, forceN: 33.5, stretchM: 0.012 }))).toEqual({
      timeS: 1.25,
      forceN: 33.5,
      stretchM: 0.012,
    });
    expect(readGaugeLine('0.5;12')).toMatchObject({ stretchM: null });
    for (const line of ['', '# a remark', 'time s;force N', ...writeGaugeHead('gauge').split('\n')]) {
      expect(readGaugeLine(line)).toBeNull();
    }
    expect(() => readGaugeLine('0.5;much')).toThrow(/no sample/);
    expect(readBreakPlace(writeBreak('grip'))).toBe('grip');
    expect(readBreakPlace('# broke: everywhere')).toBeNull();
  });

  it('makes a stream that, kept as a file, is a recorded trace', () => {
    const gauge = new VirtualForceGauge(LINE, 7);
    const trace = readTraceFile([...gauge.lines('middle')].join(''), 'N');
    if (!trace.ok) throw new Error(trace.reason);
    const read = analyseTrace(trace.value, 0.5);
    if (!read.ok) throw new Error(read.reason);
    expect(read.value.peakN / 100).toBeGreaterThan(0.85);
    expect(read.value.peakN / 100).toBeLessThan(1.15);
    expect(read.value.stretch?.at(-1)?.share).toBeGreaterThan(0.15);
  });

  it('drifts before it is tared, slips now and then, and its tare takes the drift off', () => {
    const gauges = Array.from({ length: 120 }, (_, seed) => new VirtualForceGauge(LINE, seed + 1));
    const readings = gauges.map((gauge) => {
      const read = analyseTrace(gauge.trace, 0.5);
      if (!read.ok) throw new Error(read.reason);
      return read.value;
    });
    expect(readings.some((reading) => Math.abs(reading.tareN) > 0.5)).toBe(true);
    const slipped = readings.filter((reading) => reading.slips > 0).length;
    expect(slipped).toBeGreaterThan(5);
    expect(slipped).toBeLessThan(35);
    const mean = readings.reduce((sum, reading) => sum + reading.peakN, 0) / readings.length;
    expect(mean).toBeGreaterThan(99);
    expect(mean).toBeLessThan(101);
  });
});
