import { woundRig } from '../../../tests/rigFixture';
import type { RigRecord } from '../../record/record';
import { currentLine } from '../line/currentLine';
import { woundLengths } from './woundLengths';

function lengthsOf(record: RigRecord) {
  const line = currentLine(record);
  if (!line.ok || !record.load) throw new Error('the fixture is not loaded');
  return woundLengths(record, record.load, line.value);
}

const lost = (changeM: number) => ({
  id: `c${changeM}`,
  segmentId: 's2',
  changeM,
  reason: 'lost' as const,
  note: '',
  at: '2026-03-02T10:00:00.000Z',
});

describe('woundLengths', () => {
  it('leaves a length that lost most of itself the whole error with which it went on', () => {
    const whole = lengthsOf(woundRig()).s2;
    const rest = lengthsOf(woundRig({ changes: [lost(-50)] })).s2;
    expect(rest?.value).toBeCloseTo((whole?.value ?? NaN) - 50, 6);
    // Ten metres are left of sixty: what was open of sixty is open of ten.
    expect(rest?.plusMinus).toBeGreaterThan(0.9 * (whole?.plusMinus ?? NaN));
  });

  it('knows a whole piece as well as its tape, and a stop as well as the counter', () => {
    const lengths = lengthsOf(woundRig());
    expect(lengths.s1?.mainlyFrom).toEqual({ reason: 'error-tape', figures: {} });
    expect(lengths.s1?.plusMinus).toBeLessThan(0.02 * (lengths.s1?.value ?? NaN));
    expect(lengths.s2?.mainlyFrom?.reason).not.toBe('error-tape');
    expect(lengths.s2?.plusMinus).toBeGreaterThan(lengths.s1?.plusMinus ?? NaN);
  });
});
