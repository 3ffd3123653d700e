import { buildLoadedLine, spoolStateAt } from '../spool/loadedLine';
import { bestConstantM, correctionTable, type CounterEvidence } from './correctionTable';

const LINE = buildLoadedLine({ arborDiameterM: 0.032, widthM: 0.029 }, [
  { id: 'backing', name: 'Backing', lengthM: 120, lineDiameterM: 0.0004, packing: 0.68, wound: true },
  { id: 'copper', name: 'Copper', lengthM: 45, lineDiameterM: 0.0007, packing: 0.62, wound: true },
  { id: 'top', name: 'Top shot', lengthM: 25, lineDiameterM: 0.00035, packing: 0.68, wound: true },
]);
const OPTIONS = { unitM: 1, diameterRelativeSd: 0.01, areaRelativeSds: [0.05, 0.05, 0.05] };
const TRUE_CONSTANT_M = 0.18;
const tape: CounterEvidence = {
  kind: 'tape',
  trial: { trueLengthM: 30, reading: spoolStateAt(LINE, 30).turns * TRUE_CONSTANT_M, strippedBeforeM: 0 },
};
const stated: CounterEvidence = { kind: 'constant', lengthPerTurnM: { value: 0.18, sd: 0.007, source: 'maker' } };

describe('correctionTable', () => {
  it('is the constant times the turns, with either evidence', () => {
    for (const evidence of [tape, stated]) {
      const rows = correctionTable(LINE, evidence, OPTIONS, [0, 30, 100, 190]);
      [0, 30, 100, 190].forEach((lengthM, index) => {
        expect(rows[index]?.value).toBeCloseTo(spoolStateAt(LINE, lengthM).turns * TRUE_CONSTANT_M, 8);
      });
      expect(bestConstantM(LINE, evidence, 1)).toBeCloseTo(TRUE_CONSTANT_M, 12);
    }
  });

  it('is far surer with a tape test, and surest where the tape was', () => {
    const [atTape, far] = correctionTable(LINE, tape, OPTIONS, [30, 180]);
    const [atTapeStated] = correctionTable(LINE, stated, OPTIONS, [30]);
    expect(atTape?.plusMinus).toBeLessThan(1);
    expect(atTapeStated?.plusMinus).toBeGreaterThan(2);
    expect((far?.plusMinus ?? 0) / (far?.value ?? 1)).toBeGreaterThan((atTape?.plusMinus ?? 0) / (atTape?.value ?? 1));
    expect(far?.mainlyFrom).toMatch(/bulk of/);
  });
});
