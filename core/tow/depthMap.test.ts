import { depthMap } from './depthMap';
import { firstOf } from './firstOf';
import { AIR, waterOf } from './medium';
import { seededRandom } from '../../instruments/random';
import { towProfile } from './towProfile';
import { lengthOfPieces, type Tow } from './towStack';
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

  test('says the same of any stack with loads on it, by either law, and of line that floats', () => {
    const random = seededRandom(1711);
    const between = (low: number, high: number): number => low + (high - low) * random();
    let [asked, lifted] = [0, 0];
    for (let rig = 0; rig < 60; rig += 1) {
      const speedMS = between(0.3, 3);
      const pieces = Array.from({ length: 1 + Math.floor(4 * random()) }, () => {
        const diameterM = between(0.0002, 0.001);
        const kgM3 = between(-80, random() < 0.4 ? 3500 : 900);
        return piece(between(3, 60), diameterM, (kgM3 * 9.80665 * Math.PI * diameterM ** 2) / 4);
      });
      const wholeM = lengthOfPieces(pieces);
      const loads = random() < 0.5 ? [{ sM: between(0, wholeM), downN: between(0, 1), dragN: between(0, 0.3) }] : [];
      const tow: Tow = {
        ...towAt(between(0.3, 2.5))(speedMS),
        ...{ pieces, loads, by: { law: random() < 0.5 ? 'constant' : 'reynolds', cn: 1.2, ct: 0.01, humFactor: 1 } },
        lure: { dragN: between(0.05, 5), downN: between(-0.05, 1) },
      };
      const lengths = Array.from({ length: 25 }, (_, index) => ((index + 1) / 25) * wholeM);
      const [row = new Float64Array()] = depthMap(() => tow, [speedMS], lengths).depthM;
      lengths.forEach((lengthM, index) => {
        const { depthM } = towProfile(firstOf(tow, lengthM));
        asked += 1;
        if (depthM === null) lifted += 1;
        if (depthM === null) expect(row[index]).toBeNaN();
        else expect(Math.abs((row[index] ?? NaN) - depthM)).toBeLessThan(2e-3);
      });
    }
    expect(asked - lifted).toBeGreaterThan(1000);
  });

  test('has no depth where the tip lifts the lure out, and is not asked for more line than there is', () => {
    expect(depthMap(towAt(3), [1], [2, 60]).depthM[0]?.[0]).toBeNaN();
    expect(() => depthMap(towAt(1), [1], [500])).toThrow('more line');
  });
});
