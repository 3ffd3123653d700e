import { readDragPull } from '../../core/drag/readPull';
import { seededRandom } from '../random';
import { towVirtualPlaner, virtualPlaner, type PlanerTruth } from './virtualPlaner';
import { leverShare, STRIKE, VirtualScale } from './virtualScale';

describe('a lever on the virtual bench', () => {
  it('is nothing when it is back, one at strike, and a third more forward', () => {
    expect(leverShare(0)).toBe(0);
    expect(leverShare(STRIKE)).toBe(1);
    expect(leverShare(1)).toBeCloseTo(1.33, 2);
    const drag = { torquePerClickNm: 0.01, breakawayRatio: 1.1, guideFriction: 0 };
    const at = (position: number): number => {
      const read = readDragPull(new VirtualScale(drag, 60 * leverShare(position), 0.06, 0, 5).readPull());
      return read.ok ? read.value.movingN : 0;
    };
    expect(at(0.5)).toBeCloseTo(20, 0);
    expect(at(1) / at(0.5)).toBeCloseTo(1.33, 1);
  });
});

describe('a planer on the virtual bench', () => {
  const truth: PlanerTruth = {
    pullN: 100,
    atSpeedMS: 3,
    waterBias: { ordinary: 0, hard: 0.3 },
    gust: 0.15,
    scatter: 0.02,
  };
  const tow = (holdsN: number, speedMS = 3, water: 'ordinary' | 'hard' = 'ordinary') =>
    towVirtualPlaner(truth, holdsN, speedMS, water, seededRandom(3));

  it('creeps much below its pull, some in its waves, and not above them', () => {
    expect(tow(85)).toBe('much');
    expect(tow(107)).toBe('some');
    expect(tow(130)).toBe('none');
  });

  it('pulls with the square of the speed, and more in hard water', () => {
    expect(tow(130, 4)).toBe('much');
    expect(tow(120, 3, 'hard')).toBe('much');
  });

  it('is always the same by its name on a rig, and another by another name', () => {
    expect(virtualPlaner('Number 1', 7)).toEqual(virtualPlaner('number 1', 7));
    expect(virtualPlaner('number 2', 7).pullN).not.toBe(virtualPlaner('number 1', 7).pullN);
    for (const name of ['a', 'small', 'large one']) {
      const { pullN } = virtualPlaner(name, 11);
      expect(pullN).toBeGreaterThanOrEqual(70);
      expect(pullN).toBeLessThanOrEqual(260);
    }
  });
});
