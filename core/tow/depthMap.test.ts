import { depthMap } from './depthMap';
import { firstOf } from './firstOf';
import { AIR, waterOf } from './medium';
import { towProfile } from './towProfile';
import type { Tow } from './towStack';
import type { TowedPiece } from './towedLine';

const SEA = waterOf('salt', 12);

const piece = (lengthM: number, diameterM: number, weight: number): TowedPiece => ({
  ...{ lengthM, diameterM, submergedWeightNPerM: weight },
  dryWeightNPerM: weight + (SEA.densityKgM3 * 9.80665 * Math.PI * diameterM ** 2) / 4,
});
const towAt =
  (tipHeightM: number) =>
  (speedMS: number): Tow => ({
    ...{ speedMS, water: SEA, air: AIR, by: { law: 'reynolds', cn: 1.2, ct: 0.01, humFactor: 1.1 } },
    lure: { dragN: 1.2 * speedMS ** 2, downN: 0.1 },
    pieces: [piece(8, 0.00035, 0.0007), piece(45, 0.00082, 0.0125), piece(67, 0.00028, -0.00003)],
    ...{ loads: [], tipHeightM, bottomM: null },
  });

describe('a map of depths', () => {
  test.each([0, 1.4])(
    'says what a line of each length at each speed says alone, to a millimetre, with the tip %d m up',
    (tipM) => {
      const speeds = [0.5, 0.9, 1.6, 2.5];
      const lengths = Array.from({ length: 30 }, (_, index) => 4 * (index + 1));
      const map = depthMap(towAt(tipM), speeds, lengths);
      speeds.forEach((speed, row) =>
        lengths.forEach((lengthM, column) => {
          const { depthM } = towProfile(firstOf(towAt(tipM)(speed), lengthM));
          const mapped = map.depthM[row]?.[column];
          if (depthM === null) expect(mapped).toBeNaN();
          else expect(Math.abs((mapped ?? NaN) - depthM)).toBeLessThan(1e-3);
        }),
      );
    },
  );

  test('has no depth where the tip lifts the lure out, and is not asked for more line than there is', () => {
    expect(depthMap(towAt(3), [1], [2, 60]).depthM[0]?.[0]).toBeNaN();
    expect(() => depthMap(towAt(1), [1], [500])).toThrow('more line');
  });
});
