import { buildLoadedLine } from '../spool/loadedLine';
import { payoutTable } from './payoutTable';

const LINE = buildLoadedLine({ arborDiameterM: 0.03, widthM: 0.03 }, [
  { id: 'a', name: 'a', lengthM: 150, lineDiameterM: 0.0004, packing: 0.68, wound: true },
  { id: 'b', name: 'b', lengthM: 40, lineDiameterM: 0.0008, packing: 0.62, wound: true },
]);
const COUNTER = { lengthPerTurnM: 0.17, unitM: 1, digits: 3, display: 'rounds' } as const;

describe('payoutTable', () => {
  it('starts at nothing, rises, and ends at the arbor', () => {
    const rows = payoutTable(LINE, COUNTER, [0, 20, 40, 100, 190]);
    expect(rows[0]).toMatchObject({ turns: 0, reading: 0, dragFactor: 1, diameterM: LINE.fullDiameterM });
    for (let index = 1; index < rows.length; index += 1) {
      expect(rows[index]?.turns).toBeGreaterThan(rows[index - 1]?.turns ?? NaN);
      expect(rows[index]?.dragFactor).toBeGreaterThan(rows[index - 1]?.dragFactor ?? NaN);
    }
    // At most the full diameter over the arbor's.
    expect(rows.at(-1)?.dragFactor).toBeCloseTo(LINE.fullDiameterM / 0.03, 9);
  });

  it('has no reading without a counter', () => {
    expect(payoutTable(LINE, null, [10])[0]?.reading).toBeNull();
  });

  it('over-reads once the thick line has left: 4 to 23 % in 100 ft (common practice, no source)', () => {
    // Made true over the last 100 ft of thick line, then read a hundred feet later.
    const [first] = payoutTable(LINE, COUNTER, [30.48]);
    const constantM = 30.48 / (first?.turns ?? NaN);
    const rows = payoutTable(LINE, { ...COUNTER, lengthPerTurnM: constantM }, [40, 70.48]);
    const over = ((rows[1]?.reading ?? NaN) - (rows[0]?.reading ?? NaN)) / 30.48 - 1;
    expect(over).toBeGreaterThan(0.04);
    expect(over).toBeLessThan(0.23);
  });
});
