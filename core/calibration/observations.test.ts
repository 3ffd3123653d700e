import { ERRORS } from '../measurement/errors';
import { buildLoadedLine, spoolStateAt } from '../spool/loadedLine';
import {
  countsAt,
  layerStepSd,
  lengthAtCounts,
  predicted,
  sdOf,
  valueOf,
  withGone,
  withTopStripped,
  type CounterObservation,
  type RealisedLoad,
} from './observations';

const UNIT_M = 0.3048;
const ROUNDS = { display: 'rounds', drive: 'spool' } as const;
const segment = (id: string, lengthM: number, wound = true) => ({
  ...{ id, name: id, lengthM, lineDiameterM: 0.0004, packing: 0.68, wound },
});
const line = () =>
  buildLoadedLine({ arborDiameterM: 0.032, widthM: 0.029 }, [
    segment('backing', 150),
    segment('top', 60),
    segment('leader', 10, false),
  ]);
const load = (change: Partial<RealisedLoad> = {}): RealisedLoad => ({
  ...{ line: line(), rimDiameterM: 0.062, constantM: 0.18, drive: 'spool' },
  ...{ depthShare: 0, slipShare: 0, tapeShare: 0 },
  ...change,
});
const tape: CounterObservation = {
  ...{ kind: 'tape', name: 'walk', trueLengthM: 30.48, lengthSdM: 0.05, reading: 96, goneSinceM: [0, 0, 0] },
};
const colour: CounterObservation = { ...tape, kind: 'colour', name: 'colour' };
const turns: CounterObservation = { kind: 'turns', name: 'turns', turns: 100, reading: 59, betweenFlips: false };
const wound = (change: object = {}): CounterObservation => ({
  ...{ kind: 'wound', name: 'log', segment: 1, fromShare: 0, toShare: 1, reading: 190, goneSinceM: [0, 0, 0] },
  ...change,
});
const level = (afterSegment: number): CounterObservation => ({
  ...{ kind: 'level', name: 'level', afterSegment, levelBelowRimM: 0.002, levelSdM: 0.0003, goneSinceM: [0, 0, 0] },
});

describe('what an observation says', () => {
  it('is its reading, and half a count more on a display that cuts off; a quarter where nobody knows', () => {
    expect([valueOf(tape, 'rounds'), valueOf(tape, 'truncates'), valueOf(tape, 'unknown')]).toEqual([96, 96.5, 96.25]);
    // Counted between two zeros the half counts cancel.
    expect([valueOf(turns, 'truncates'), valueOf(wound(), 'truncates')]).toEqual([59, 190]);
    expect(valueOf(level(1), 'truncates')).toBe(0.002);
  });

  it('has an SD of its own errors', () => {
    const whole = ERRORS.wholeCount.sd;
    const steps = 96 * layerStepSd(30.48);
    const own = (0.05 * 96) / 30.48;
    expect(sdOf(tape, ROUNDS)).toBeCloseTo(Math.hypot(whole, own, steps), 12);
    expect(sdOf(tape, { ...ROUNDS, display: 'unknown' })).toBeCloseTo(
      Math.hypot(whole, own, steps, ERRORS.unsureDisplay.sd),
      12,
    );
    expect(sdOf(tape, { ...ROUNDS, drive: 'roller' })).toBeCloseTo(Math.hypot(whole, own), 12);
    const hand = (59 * ERRORS.handTurn.sd) / 100;
    expect(sdOf(turns, ROUNDS)).toBeCloseTo(Math.hypot(whole, hand), 12);
    expect(sdOf({ ...turns, betweenFlips: true }, ROUNDS)).toBeCloseTo(
      Math.hypot(ERRORS.flipCounts.sd * Math.SQRT2, hand),
      12,
    );
    const log = 190 * ERRORS.woundTurnsShare.sd;
    expect(sdOf(wound(), ROUNDS)).toBeCloseTo(Math.hypot(ERRORS.stopCounts.sd, whole, log), 12);
    expect(sdOf(wound(), { ...ROUNDS, drive: 'roller' })).toBeCloseTo(Math.hypot(ERRORS.stopCounts.sd, whole), 12);
    expect(sdOf(level(1), ROUNDS)).toBe(0.0003);
    // 0.06 % beyond 30 m, 0.6 % at 3 m (the layer by layer simulation).
    expect([layerStepSd(3), layerStepSd(30), layerStepSd(300)]).toEqual([
      ...[expect.closeTo(0.006, 9), expect.closeTo(0.0006, 9), expect.closeTo(0.0006, 9)],
    ]);
  });
});

describe('what an observation would be of a load', () => {
  const perTurn = 0.18 / UNIT_M;
  const turnsOff = (lengthM: number): number => spoolStateAt(line(), lengthM).turns;

  it('is the turns of the spool by its constant: of a walk, longer by what the tape is off; of a colour not', () => {
    expect(countsAt(load(), 30.48, UNIT_M)).toBeCloseTo(turnsOff(30.48) * perTurn, 6);
    // Over a join, and to the very end.
    expect(countsAt(load(), 140, UNIT_M)).toBeCloseTo(turnsOff(140) * perTurn, 6);
    expect(predicted(tape, load({ tapeShare: 0.01 }), UNIT_M)).toBeCloseTo(turnsOff(30.48 * 1.01) * perTurn, 6);
    expect(predicted(colour, load({ tapeShare: 0.01 }), UNIT_M)).toBeCloseTo(turnsOff(30.48) * perTurn, 6);
    expect(predicted(turns, load(), UNIT_M)).toBeCloseTo(100 * perTurn, 9);
    expect(countsAt(load({ drive: 'roller' }), 30.48, UNIT_M)).toBeCloseTo((30.48 * 0.18) / UNIT_M, 9);
  });

  it('goes on at the last turn’s rate a little beyond the line that is reckoned with', () => {
    const end = countsAt(load(), 210, UNIT_M);
    expect(countsAt(load(), 212, UNIT_M) - end).toBeCloseTo((2 / (Math.PI * 0.032)) * perTurn, 6);
    expect(lengthAtCounts(load(), countsAt(load(), 90, UNIT_M), UNIT_M)).toBeCloseTo(90, 3);
    expect(lengthAtCounts(load(), 2 * end, UNIT_M)).toBeNull();
  });

  it('of a winding is the turns of its part, more by what slips going on; by hand the turns themselves', () => {
    const whole = turnsOff(60);
    expect(predicted(wound(), load(), UNIT_M)).toBeCloseTo(whole * perTurn, 6);
    expect(predicted(wound(), load({ slipShare: 0.01 }), UNIT_M)).toBeCloseTo(1.01 * whole * perTurn, 6);
    expect(predicted(wound({ byHand: true }), load({ slipShare: 0.01 }), UNIT_M)).toBeCloseTo(whole, 6);
    // The inner quarter to the inner half: 15 m, of which 30 m lie outside.
    const part = predicted(wound({ fromShare: 0.25, toShare: 0.5 }), load(), UNIT_M);
    expect(part).toBeCloseTo((turnsOff(45) - turnsOff(30)) * perTurn, 6);
    const roller = predicted(wound({ fromShare: 0.25, toShare: 0.5 }), load({ drive: 'roller' }), UNIT_M);
    expect(roller).toBeCloseTo((15 * 0.18) / UNIT_M, 9);
    expect(predicted(wound({ segment: 7 }), load(), UNIT_M)).toBeNaN();
  });

  it('of a level is half of what the spool is smaller than its rim, after that very segment', () => {
    const [inner, outer] = line().segments.map((each) => (each.wound ? each.outerDiameterM : NaN));
    expect(predicted(level(0), load(), UNIT_M)).toBeCloseTo((0.062 - (inner ?? 0)) / 2, 12);
    expect(predicted(level(1), load(), UNIT_M)).toBeCloseTo((0.062 - (outer ?? 0)) / 2, 12);
    expect(predicted(level(9), load(), UNIT_M)).toBeNaN();
  });

  it('is of the line as it was then: what has gone since lay on it', () => {
    const gone: CounterObservation = { ...tape, goneSinceM: [0, 20, 0] };
    const then = withGone(line(), [0, 20, 0]);
    expect(then.segments[1]?.lengthM).toBe(80);
    expect(then.segments[0]?.lengthM).toBe(150);
    expect(predicted(gone, load(), UNIT_M)).toBeCloseTo(spoolStateAt(then, 30.48).turns * perTurn, 6);
    expect(withGone(line(), [0, -100, 0]).segments[1]?.lengthM).toBe(0.01);
    const same = line();
    expect(withGone(same, [0, 0, 0])).toBe(same);
    expect(withTopStripped(line(), 15).segments.map(({ lengthM }) => lengthM)).toEqual([150, 45, 10]);
    expect(() => withTopStripped(line(), 60)).toThrow(/outermost wound segment/);
  });
});

describe('packing that grows with depth', () => {
  /** Turns off the outside by laying the line in a thousand rings, each packed by where it lies between arbor and rim. */
  function ringed(depthShare: number, lengthOutM: number): number {
    const { widthM, arborDiameterM } = line().spool;
    const totalM = 210;
    const rings = 4000;
    const bareM2 = (Math.PI / 4) * 0.0004 ** 2;
    const outerM = line().segments[1]?.outerDiameterM ?? NaN;
    const meanOf = (from: number, to: number): number => (from + to) / 2;
    // Within each segment the packing is the believed one in the mean, and grows along its own area.
    let diameterM = arborDiameterM;
    let turnsIn = 0;
    let layedM = 0;
    for (let ring = 0; ring < rings; ring += 1) {
      const partM = totalM / rings;
      const isBacking = meanOf(layedM, layedM + partM) < 150;
      const [innerM, endM] = isBacking
        ? [arborDiameterM, line().segments[0]?.outerDiameterM ?? NaN]
        : [line().segments[0]?.outerDiameterM ?? NaN, outerM];
      const x = isBacking ? meanOf(layedM, layedM + partM) / 150 : (meanOf(layedM, layedM + partM) - 150) / 60;
      const growth = (depthShare * (endM ** 2 - innerM ** 2)) / (0.062 ** 2 - arborDiameterM ** 2);
      const areaM2 = (bareM2 / 0.68) * (1 + growth * (0.5 - x));
      const next = Math.sqrt(diameterM ** 2 + (4 * areaM2 * partM) / (Math.PI * widthM));
      const turnsHere = partM / (Math.PI * meanOf(diameterM, next));
      if (layedM >= totalM - lengthOutM) turnsIn += turnsHere;
      diameterM = next;
      layedM += partM;
    }
    return turnsIn;
  }

  it('changes the turns of a length as rings packed one by one do, the other way round for packing that falls', () => {
    for (const depthShare of [0.2, -0.2]) {
      for (const lengthOutM of [30, 180]) {
        const even = countsAt(load(), lengthOutM, 0.18);
        const bent = countsAt(load({ depthShare }), lengthOutM, 0.18);
        const change = ringed(depthShare, lengthOutM) - ringed(0, lengthOutM);
        expect(Math.abs(change)).toBeGreaterThan(0.05);
        // To first order in the growth, at the middle diameter of each line.
        expect(Math.abs(bent - even - change)).toBeLessThan(0.08 * Math.abs(change) + 0.01);
      }
    }
  });
});
