import { readSeatingPull } from '../../core/joins/readSeating';
import { VirtualHand } from './virtualHand';
import { readDragPull } from '../../core/drag/readPull';
import { readBreak } from '../../core/strength/readBreak';
import { seededRandom } from '../random';
import { layReel, turnsOff, type ReelTruth } from './layReel';
import { EMPTY_REEL, VirtualReel } from './virtualReel';
import { VirtualForceGauge } from './virtualForceGauge';
import { VirtualScale } from './virtualScale';

const TRUTH: ReelTruth = {
  arborDiameterM: 0.0315,
  widthM: 0.0286,
  rimDiameterM: 0.0618,
  lengthPerTurnM: 0.178,
  unitM: 1,
  digits: 3,
  rounds: true,
  pitchM: 0.0012,
  pitchRelativeSd: 0.05,
  crown: 0.04,
  packingRelativeSd: 0.03,
  seed: 99,
};
const NYLON = { lineDiameterM: 0.0004, packing: 0.67, strain: 0.012 };
const COPPER = { lineDiameterM: 0.0007, packing: 0.62, strain: 0 };

function loaded(): VirtualReel {
  return new VirtualReel(TRUTH, EMPTY_REEL).windOnToReading(NYLON, 870, 130).windOnLength(COPPER, 45);
}

describe('the reel laid turn by turn', () => {
  it('conserves length and turns, and is the same for the same seed', () => {
    const lines = [
      { ...NYLON, lengthM: 120 },
      { ...COPPER, lengthM: 45 },
    ];
    const reel = layReel(TRUTH, lines);
    expect(reel.lengthsPerLineM[0]).toBeCloseTo(120, 9);
    expect(reel.lengthsPerLineM[1]).toBeCloseTo(45, 9);
    expect(turnsOff(reel, 165 - 1e-9)).toBeCloseTo((reel.turnsPerLine[0] ?? 0) + (reel.turnsPerLine[1] ?? 0), 4);
    expect(layReel(TRUTH, lines).meanDiameterM).toBe(reel.meanDiameterM);
    expect(layReel({ ...TRUTH, seed: 100 }, lines).meanDiameterM).not.toBe(reel.meanDiameterM);
    expect(reel.crestDiameterM).toBeGreaterThan(reel.meanDiameterM);
  });

  it('fills the volume that its lines take', () => {
    const reel = layReel({ ...TRUTH, packingRelativeSd: 0 }, [{ ...COPPER, lengthM: 45 }]);
    const areaM2 = ((Math.PI / 4) * COPPER.lineDiameterM ** 2) / COPPER.packing;
    const exact = Math.sqrt(TRUTH.arborDiameterM ** 2 + (4 * areaM2 * 45) / (Math.PI * TRUTH.widthM));
    // Laid on uneven ground a turn is a little longer than on the mean level.
    expect(Math.abs(reel.meanDiameterM / exact - 1)).toBeLessThan(0.003);
  });

  it('throws past its end, and on a line without end', () => {
    expect(() => turnsOff(layReel(TRUTH, [{ ...COPPER, lengthM: 10 }]), 11)).toThrow(/more than is on the reel/);
    expect(() => layReel(TRUTH, [{ ...COPPER, lengthM: 1e9 }])).toThrow(/hundred thousand/);
  });
});

describe('the virtual counter reel', () => {
  it('stops where it is told to, and takes off in as many turns what went on', () => {
    const reel = new VirtualReel(TRUTH, EMPTY_REEL).windOnToReading(NYLON, 870, 130);
    expect(Math.abs(reel.read() - 870)).toBeLessThanOrEqual(1);
    const onM = reel.state.wound[0]?.lengthM ?? NaN;
    const out = reel.rewind().walk(onM - 1);
    expect(out.ok && out.value.read()).toBeGreaterThan(127);
  });

  it('reads about what it should along a tape, and nothing at zero', () => {
    const walked = loaded().walk(30);
    if (!walked.ok) throw new Error(walked.reason);
    const turns = turnsOff(layReel(TRUTH, walked.value.state.wound), 30);
    expect(Math.abs(walked.value.read() - turns * TRUTH.lengthPerTurnM)).toBeLessThan(1);
    expect(walked.value.rewind().read()).toBe(0);
    expect(walked.value.zero().read()).toBe(0);
  });

  it('loses what is stripped, and says when there is not enough', () => {
    const stripped = loaded().strip(10);
    if (!stripped.ok) throw new Error(stripped.reason);
    expect(stripped.value.state.wound[1]?.lengthM).toBeCloseTo(35, 9);
    expect(stripped.value.levelBelowRimM()).toBeGreaterThan(loaded().levelBelowRimM());
    // Through the whole copper, and on into the nylon under it.
    const torn = loaded().strip(60);
    if (!torn.ok) throw new Error(torn.reason);
    expect(torn.value.state.wound.map(({ lengthM }) => lengthM > 0)).toEqual([true, false]);
    // What is gone keeps its place: more of it goes on where it was, and not on to what lay under it.
    const mended = torn.value.add(1, 7).state.wound;
    expect(mended.map(({ lengthM }) => lengthM)).toEqual([torn.value.state.wound[0]?.lengthM, 7]);
    expect(loaded().strip(600)).toMatchObject({ ok: false, reason: 'strip-longer-than-line' });
    expect(loaded().walk(500)).toMatchObject({ ok: false, reason: 'walk-longer-than-line' });
  });

  it('says that it is simulated', () => {
    expect(loaded().label).toEqual({ name: 'virtual counter reel', simulated: true });
  });
});

describe('the virtual scale and force gauge', () => {
  const drag = { torquePerClickNm: 0.02, breakawayRatio: 1.5, guideFriction: 0.17 };

  it('pull harder through a bent rod and on a smaller spool', () => {
    const moving = (diameterM: number, angleRad: number): number => {
      const read = readDragPull(new VirtualScale(drag, 30, diameterM, angleRad, 5).readPull());
      if (!read.ok) throw new Error(read.reason);
      return read.value.movingN;
    };
    expect(moving(0.06, 0)).toBeCloseTo(20, -0.5);
    expect(moving(0.06, 1) / moving(0.06, 0)).toBeCloseTo(Math.exp(0.17), 1);
    expect(moving(0.03, 0) / moving(0.06, 0)).toBeCloseTo(2, 1);
  });

  it('start with the jerk that the drag has', () => {
    const read = readDragPull(new VirtualScale(drag, 30, 0.06, 0, 6).readPull());
    expect(read.ok && read.value.breakawayN / read.value.movingN).toBeCloseTo(1.5, 0.6);
  });

  it('break a line at its strength, with its scatter', () => {
    const peaks = Array.from({ length: 300 }, (_, seed) => {
      const read = readBreak(
        new VirtualForceGauge({ meanStrengthN: 100, cv: 0.05, stretchAtBreak: 0.2 }, seed + 1).readPull(),
      );
      return read.ok ? read.value : NaN;
    });
    const mean = peaks.reduce((sum, peak) => sum + peak, 0) / peaks.length;
    const sd = Math.sqrt(peaks.reduce((sum, peak) => sum + (peak - mean) ** 2, 0) / (peaks.length - 1));
    expect(Math.abs(mean - 100)).toBeLessThan(1.2);
    expect(Math.abs(sd - 5)).toBeLessThan(0.8);
  });
});

describe('seededRandom', () => {
  it('repeats for a seed and spreads over the interval', () => {
    const draw = (seed: number): number[] => {
      const random = seededRandom(seed);
      return Array.from({ length: 1000 }, random);
    };
    expect(draw(3)).toEqual(draw(3));
    expect(draw(3)).not.toEqual(draw(4));
    const values = draw(5);
    expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...values)).toBeLessThan(1);
    expect(values.reduce((sum, v) => sum + v, 0) / 1000).toBeCloseTo(0.5, 1);
  });
});

describe('a hand with the virtual scale', () => {
  it('of the virtual hand creeps below what beds the join, and stands above it', () => {
    const creeping = (aimN: number): number =>
      Array.from({ length: 40 }, (_, seed) => readSeatingPull(new VirtualHand(aimN, 50, 0.03, seed).readPull())).filter(
        (read) => read.ok && read.value.isCreeping,
      ).length;
    expect(creeping(35)).toBeGreaterThanOrEqual(36);
    expect(creeping(60)).toBeLessThanOrEqual(2);
  });
});
