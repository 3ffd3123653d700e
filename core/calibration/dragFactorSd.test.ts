import { known as measured } from '../../tests/believedLoad';
import { normalDeviate, seededRandom } from '../../instruments/random';
import { spoolStateAt } from '../spool/loadedLine';
import { dragFactorSd } from './dragFactorSd';
import { estimateCounter, type CounterEstimate } from './estimateCounter';
import type { BelievedLoad } from './loadModel';

const segment = (id: string, lengthM: number, wound = true) => ({
  ...{ id, name: id, lineId: id, lengthM, lineDiameterM: 0.0004, packing: 0.68, wound },
  ...{ areaRelativeSd: 0.13, lengthRelativeSd: 0.003, windingStrain: { value: 0.02, sd: 0.012 } },
});
const BELIEVED: BelievedLoad = {
  arborDiameterM: measured(0.0314, 0.02),
  widthM: measured(0.0286, 0.03),
  fullDiameterM: measured(0.0618, 0.003),
  constantM: measured(0.174, 0.04),
  counter: { unitM: 0.3048, display: 'rounds' },
  joint: null,
  segments: [segment('backing', 160), segment('top', 60), segment('leader', 12, false)],
};

/** Relative SD of the growth by plain draws of the unknowns, which are independent before any evidence. */
function drawn(estimate: CounterEstimate, setOutM: number, lengthOutM: number): number {
  const random = seededRandom(5);
  const logs = Array.from({ length: 3000 }, () => {
    const { line } = estimate.realise(estimate.unknowns.map(({ value, sd }) => value + sd * normalDeviate(random)));
    const at = (outM: number): number =>
      spoolStateAt(line, Math.min(Math.max(outM - line.handLinedLengthM, 0), line.woundLengthM)).diameterM;
    return Math.log(at(setOutM) / at(lengthOutM));
  });
  const mean = logs.reduce((sum, each) => sum + each, 0) / logs.length;
  return Math.sqrt(logs.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (logs.length - 1));
}

describe('how well the growth of a drag is known', () => {
  it('is what plain draws of everything unknown give, at lengths far apart, with hand-lined leader and a setting of its own', () => {
    const estimate = estimateCounter(BELIEVED, []);
    for (const setOutM of [0, 40]) {
      const sdAt = dragFactorSd(estimate, setOutM);
      for (const lengthOutM of [30, 100, 180, 225]) {
        const plain = drawn(estimate, setOutM, lengthOutM);
        // 3,000 draws tell an SD to 1.3 %; curvature and the straight lines between stations add a few.
        expect(Math.abs(sdAt(lengthOutM) - plain)).toBeLessThan(0.08 * plain + 2e-4);
      }
    }
  });

  it('is nothing where it was set, and holds at the very end and beyond', () => {
    const sdAt = dragFactorSd(estimateCounter(BELIEVED, []), 0);
    expect(sdAt(0)).toBeCloseTo(0, 9);
    expect(sdAt(232)).toBeGreaterThan(sdAt(200));
    expect(sdAt(400)).toBe(sdAt(232));
  });
});
