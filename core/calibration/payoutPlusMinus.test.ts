import { normalDeviate, seededRandom } from '../../instruments/random';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { buildLoadedLine, spoolStateAt } from '../spool/loadedLine';
import { dragFactorSd } from './dragFactorSd';
import { estimateCounter } from './estimateCounter';
import type { BelievedLoad } from './loadModel';
import { payoutPlusMinus } from './payoutPlusMinus';

const known = (value: number, sd: number) => ({ value, sd, source: 'measured' as const });
const SEGMENTS = [
  { id: 'a', name: 'backing', lineId: 'a', lengthM: 150, lineDiameterM: 0.0004, packing: 0.68, wound: true },
  { id: 'b', name: 'top', lineId: 'b', lengthM: 60, lineDiameterM: 0.00035, packing: 0.66, wound: true },
];
const BELIEVED: BelievedLoad = {
  arborDiameterM: known(0.032, 0.0002),
  widthM: known(0.029, 0.0009),
  fullDiameterM: known(0.062, 0.0002),
  constantM: known(0.176, 0.004),
  counter: { unitM: 0.3048, display: 'rounds' },
  joint: null,
  segments: SEGMENTS.map((segment) => ({
    ...segment,
    areaRelativeSd: 0.1,
    lengthRelativeSd: 1e-9,
    windingStrain: { value: 0, sd: 1e-9 },
  })),
};
/** Made in each test, so that what it works out is looked at there. */
const estimateOf = () => estimateCounter(BELIEVED, []);
const LENGTHS_M = [20, 60, 150];

/** The same errors drawn one by one, on a spool that is built anew each time: no derivative, no covariance. */
function drawn() {
  const random = seededRandom(11);
  const off = (value: number, sd: number): number => value + sd * normalDeviate(random);
  return Array.from({ length: 4000 }, () => {
    const line = buildLoadedLine(
      { arborDiameterM: off(0.032, 0.0002), widthM: off(0.029, 0.0009) },
      SEGMENTS.map((segment) => ({ ...segment, packing: segment.packing / Math.exp(0.1 * normalDeviate(random)) })),
    );
    const constantM = off(0.176, 0.004);
    return LENGTHS_M.map((lengthM) => {
      const { turns, diameterM } = spoolStateAt(line, lengthM);
      return { turns, reading: (turns * constantM) / 0.3048, diameterM, dragFactor: line.fullDiameterM / diameterM };
    });
  });
}

describe('the ± of a payout table', () => {
  const all = drawn();
  const sdOf = (row: number, what: 'turns' | 'reading' | 'diameterM' | 'dragFactor'): number => {
    const values = all.map((each) => each[row]?.[what] ?? NaN);
    const mean = values.reduce((sum, each) => sum + each, 0) / values.length;
    return Math.sqrt(values.reduce((sum, each) => sum + (each - mean) ** 2, 0) / values.length);
  };

  it.each(LENGTHS_M.map((lengthM, row) => [lengthM, row] as const))(
    'at %s m is what drawing the same errors gives, and the steps of layers',
    (lengthM, row) => {
      const estimate = estimateOf();
      const found = payoutPlusMinus(estimate, LENGTHS_M)[row];
      const { diameterM, turns, segment } = spoolStateAt(estimate.best.line, lengthM);
      const steps = 0.0006 * Math.max(1, 30 / lengthM);
      const within = (is: number | undefined, expected: number): void =>
        expect(Math.abs((is ?? NaN) / expected - 1)).toBeLessThan(0.06);
      within(found?.turns, PLUS_MINUS_SDS * Math.hypot(sdOf(row, 'turns'), steps * turns));
      within(found?.reading, PLUS_MINUS_SDS * Math.hypot(sdOf(row, 'reading'), (steps * turns * 0.176) / 0.3048));
      within(found?.diameterM, Math.hypot(PLUS_MINUS_SDS * sdOf(row, 'diameterM'), segment.lineDiameterM));
      const factor = estimate.best.line.fullDiameterM / diameterM;
      // The turn that it was set on, and the one that leaves now: a layer on or off (an even spread of a thickness either way), and the crown.
      const turnSd = (dM: number): number =>
        Math.hypot(
          segment.lineDiameterM / dM / Math.sqrt(3),
          (0.014 * (dM - estimate.best.line.spool.arborDiameterM)) / dM,
        );
      const turnsSd = factor * Math.hypot(turnSd(estimate.best.line.fullDiameterM), turnSd(diameterM));
      within(found?.dragFactor, PLUS_MINUS_SDS * Math.hypot(sdOf(row, 'dragFactor'), turnsSd));
    },
  );

  it('of the growth of the drag is nothing where it was set, and grows with the line that is out', () => {
    const estimate = estimateOf();
    const sd = dragFactorSd(estimate, 0);
    expect(sd(0)).toBeCloseTo(0, 9);
    const { dragFactor } = spoolStateAtFactor(150);
    expect(Math.abs(sd(150) / (sdOf(2, 'dragFactor') / dragFactor) - 1)).toBeLessThan(0.06);
    expect(sd(150)).toBeGreaterThan(sd(60));
    expect(dragFactorSd(estimate, 150)(150)).toBeLessThan(0.1 * sd(150));
  });
});

function spoolStateAtFactor(lengthM: number) {
  const { line } = estimateOf().best;
  return { dragFactor: line.fullDiameterM / spoolStateAt(line, lengthM).diameterM };
}
