import { formatNumber, formatPlusMinus, formatQuantity, formatterFor } from './format';
import { readUnitCookie, unitCookieText } from '@/components/units/unitCookie';

describe('formatting', () => {
  it('keeps three figures or so, and a true minus sign', () => {
    expect(formatQuantity(109.3, 'length', 'm')).toBe('109 m');
    expect(formatQuantity(45.72, 'length', 'm')).toBe('45.7 m');
    expect(formatQuantity(5, 'length', 'm')).toBe('5.00 m');
    expect(formatNumber(-0.9, 1)).toBe('−0.9');
    expect(formatNumber(-0.001, 1)).toBe('0.0');
  });

  it('gives value and ± the same decimals, set by the ±', () => {
    expect(formatPlusMinus(109.3, 24.2, 'length', 'm')).toBe('109 ± 24 m');
    expect(formatPlusMinus(27.432, 0.16, 'length', 'm')).toBe('27.43 ± 0.16 m');
    expect(formatPlusMinus(30.48, 3.048, 'length', 'ft')).toBe('100 ± 10 ft');
    expect(formatPlusMinus(76.5, 15.7, 'force', 'kg')).toBe('7.8 ± 1.6 kg');
  });

  it('follows the chosen units everywhere', () => {
    const metric = formatterFor({ length: 'm', smallLength: 'mm', force: 'kg' });
    const imperial = formatterFor({ length: 'ft', smallLength: 'in', force: 'lb' });
    expect(metric.small(0.0618)).toBe('61.8 mm');
    expect(imperial.small(0.0618)).toBe('2.433 in');
    expect(metric.thickness(0.0004)).toBe('0.40 mm');
    expect(imperial.thickness(0.0004)).toBe('0.0157 in');
    expect(imperial.force(26.689)).toBe('6.00 lb');
    expect(metric.counts(844.3, 5.2)).toBe('844 ± 5.2');
    expect(metric.counts(844.3, 34)).toBe('844 ± 34');
    expect(metric.percent(0.2049)).toBe('20 %');
  });
});

describe('the unit cookie', () => {
  it('goes there and back, and anything odd falls back to the defaults', () => {
    const choice = { length: 'yd', smallLength: 'in', force: 'N' } as const;
    expect(readUnitCookie(unitCookieText(choice))).toEqual(choice);
    expect(readUnitCookie(undefined)).toEqual({ length: 'm', smallLength: 'mm', force: 'kg' });
    expect(readUnitCookie('miles.mm.<script>')).toEqual({ length: 'm', smallLength: 'mm', force: 'kg' });
  });
});
