import { readTraceFile } from './traceFile';

const valueOf = (text: string, unit = 'N') => {
  const read = readTraceFile(text, unit);
  if (!read.ok) throw new Error(read.reason);
  return read.value;
};

describe('a recorded trace', () => {
  it.each([
    ['commas', 'time,force\n0,0\n0.1,4.5\n0.2,9'],
    ['semicolons and decimal commas', 'time;force\n0;0\n0,1;4,5\n0,2;9'],
    ['tabs', 'time\tforce\n0\t0\n0.1\t4.5\n0.2\t9'],
    ['blanks, no head', '0 0\n0.1 4.5\n0.2 9'],
    ['remarks and empty lines', '# a bench\ntime,force\n\n0,0\n# slip\n0.1,4.5\n0.2,9\n'],
    ['other columns first', 'note,force (N),time [s]\na,0,0\nb,4.5,0.1\nc,9,0.2'],
  ])('is read with %s', (_, text) => {
    const trace = valueOf(text);
    expect([...trace.timeS]).toEqual([0, 0.1, 0.2]);
    expect([...trace.forceN]).toEqual([0, 4.5, 9]);
    expect(trace.stretchM).toBeNull();
  });

  it('is turned into SI by the unit that was asked, milliseconds and millimetres by the head', () => {
    const trace = valueOf('time (ms),load (kg),stretch (mm)\n0,0,0\n500,1,12', 'kg');
    expect(trace.timeS[1]).toBeCloseTo(0.5, 12);
    expect(trace.forceN[1]).toBeCloseTo(9.80665, 12);
    expect(trace.stretchM?.[1]).toBeCloseTo(0.012, 12);
    expect(valueOf('0,1 lb\n1,2 lb', 'lb').forceN[1]).toBeCloseTo(2 * 4.4482216152605, 9);
  });

  it.each([
    ['trace-no-columns', 'length,width\n1,2'],
    ['trace-not-a-number', 'time,force\n0,0\n0.1,NaN\n0.2,3'],
    ['trace-not-a-number', 'time,force\n0,0\n0.1,\n0.2,3'],
    ['trace-units-mixed', '0,1 N\n1,2 kg\n2,3 N'],
    ['trace-other-unit', 'time,force (lb)\n0,1\n1,2'],
    ['trace-time-runs-back', '0,1\n1,2\n0.5,3'],
    ['trace-empty', 'time,force\n'],
  ])('is refused as %s', (reason, text) => {
    expect(readTraceFile(text, 'N')).toMatchObject({ ok: false, reason });
  });

  it('says the row that is wrong, and throws at a unit that is none', () => {
    expect(readTraceFile('time,force\n0,0\n0.1,oops', 'N')).toMatchObject({
      reason: 'trace-not-a-number',
      figures: { row: 3 },
    });
    expect(() => readTraceFile('0,1\n1,2', 'stone')).toThrow(RangeError);
  });
});
