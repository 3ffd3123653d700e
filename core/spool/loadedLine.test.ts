import { simulateLayers, turnsOffSimulated } from '../../tests/layerSimulation';
import { randomStack } from '../../tests/randomStack';
import { layReel, turnsOff } from '../../instruments/virtual/layReel';
import { buildLoadedLine, paidOutAfterTurnsM, spoolStateAt, type SegmentToLoad } from './loadedLine';

const SPOOL = { arborDiameterM: 0.032, widthM: 0.029 };
const segment = (id: string, lengthM: number, lineDiameterM: number, wound = true): SegmentToLoad => ({
  id,
  name: id,
  lengthM,
  lineDiameterM,
  packing: 0.65,
  wound,
});
const STACK = [segment('backing', 120, 0.0004), segment('copper', 40, 0.0007), segment('top', 25, 0.00035)];

describe('a loaded line', () => {
  const line = buildLoadedLine(SPOOL, STACK);

  it('chains its diameters and adds its lengths', () => {
    expect(line.segments[0]?.innerDiameterM).toBe(SPOOL.arborDiameterM);
    expect(line.segments[1]?.innerDiameterM).toBe(line.segments[0]?.outerDiameterM);
    expect(line.segments[2]?.outerDiameterM).toBe(line.fullDiameterM);
    expect(line.totalLengthM).toBeCloseTo(185, 12);
    expect(line.woundLengthM).toBeCloseTo(185, 12);
  });

  it('keeps what is let out by hand out of what is wound', () => {
    const withLeader = buildLoadedLine(SPOOL, [...STACK, segment('leader', 8, 0.0006, false)]);
    expect(withLeader.totalLengthM).toBeCloseTo(193, 12);
    expect(withLeader.handLinedLengthM).toBeCloseTo(8, 12);
    expect(withLeader.woundLengthM).toBeCloseTo(185, 12);
    expect(withLeader.woundTurns).toBeCloseTo(line.woundTurns, 9);
    expect(line.woundTurns).toBeCloseTo(
      line.segments.reduce((sum, each) => sum + each.turns, 0),
      9,
    );
    expect(line.woundTurns).toBeGreaterThan(1000);
  });

  it('names a figure that cannot be', () => {
    expect(() => buildLoadedLine({ ...SPOOL, widthM: 0 }, STACK)).toThrow(/^buildLoadedLine: widthM/);
    expect(() => buildLoadedLine({ ...SPOOL, arborDiameterM: NaN }, STACK)).toThrow(/^buildLoadedLine: arborDiameterM/);
    expect(() => buildLoadedLine(SPOOL, [segment('none', 0, 0.0004)])).toThrow(/^buildLoadedLine: lengthM/);
    expect(() => paidOutAfterTurnsM(line, -1)).toThrow(/must not be negative/);
    expect(() => paidOutAfterTurnsM(line, NaN)).toThrow(/must not be negative/);
    expect(() => paidOutAfterTurnsM(line, line.woundTurns + 1)).toThrow(/turns are wound/);
    expect(() => spoolStateAt(line, 185.1)).toThrow(/is not between 0 and the/);
    expect(() => spoolStateAt(buildLoadedLine(SPOOL, [segment('leader', 8, 0.0006, false)]), 0)).toThrow(
      /nothing is wound/,
    );
  });

  it('stands at the arbor with the last turn off, however the last digits fall', () => {
    const end = spoolStateAt(line, line.woundLengthM + 1e-10);
    expect(end).toMatchObject({ diameterM: SPOOL.arborDiameterM, segment: { id: 'backing' } });
    expect(end.turns).toBeCloseTo(line.woundTurns, 6);
    expect(paidOutAfterTurnsM(line, 0)).toBe(0);
    expect(paidOutAfterTurnsM(line, line.woundTurns + 1e-9)).toBeCloseTo(line.woundLengthM, 6);
  });

  it('pays out from full to the arbor, and every way back', () => {
    expect(spoolStateAt(line, 0)).toMatchObject({ turns: 0, diameterM: line.fullDiameterM });
    const end = spoolStateAt(line, line.woundLengthM);
    expect(end.turns).toBeCloseTo(line.woundTurns, 9);
    expect(end.diameterM).toBeCloseTo(SPOOL.arborDiameterM, 9);
    for (const lengthM of [3, 25, 25.0001, 64.9, 65, 100, 184.9]) {
      expect(paidOutAfterTurnsM(line, spoolStateAt(line, lengthM).turns)).toBeCloseTo(lengthM, 8);
    }
  });

  it('names the segment that is leaving', () => {
    expect(spoolStateAt(line, 10).segment.id).toBe('top');
    expect(spoolStateAt(line, 40).segment.id).toBe('copper');
    expect(spoolStateAt(line, 180).segment.id).toBe('backing');
  });

  it('is the same whether a segment is cut in two or not', () => {
    const cut = buildLoadedLine(SPOOL, [segment('a', 50, 0.0004), segment('b', 70, 0.0004), ...STACK.slice(1)]);
    expect(cut.fullDiameterM).toBeCloseTo(line.fullDiameterM, 12);
    expect(spoolStateAt(cut, 150).turns).toBeCloseTo(spoolStateAt(line, 150).turns, 9);
  });

  it('counts what is let out by hand as line, not as bulk', () => {
    const withLeader = buildLoadedLine(SPOOL, [...STACK, segment('leader', 6, 0.0009, false)]);
    expect(withLeader.fullDiameterM).toBe(line.fullDiameterM);
    expect(withLeader.handLinedLengthM).toBe(6);
    expect(withLeader.totalLengthM).toBeCloseTo(191, 12);
    expect(() => buildLoadedLine(SPOOL, [segment('leader', 6, 0.0009, false), ...STACK])).toThrow(/hand-lined/);
  });

  it('throws when more is asked for than is wound', () => {
    expect(() => spoolStateAt(line, 186)).toThrow(/not between 0 and/);
    expect(() => spoolStateAt(line, NaN)).toThrow(RangeError);
    expect(() => paidOutAfterTurnsM(line, line.woundTurns + 1)).toThrow(/only/);
    expect(() => spoolStateAt(buildLoadedLine(SPOOL, []), 0)).toThrow(/nothing is wound/);
  });
});

describe('against independent simulations', () => {
  /** The tolerance that is asked for: 0.5 % of the turns, or 0.6 turn. */
  const within = (turns: number): number => Math.max(0.005 * turns, 0.6);

  it('agrees with whole layers on 200 random stacks', () => {
    let worst = 0;
    for (let seed = 1; seed <= 200; seed += 1) {
      const { spool, segments, random } = randomStack(seed);
      const line = buildLoadedLine(spool, segments);
      const simulated = simulateLayers(spool.arborDiameterM, spool.widthM, segments);
      for (let k = 0; k < 6; k += 1) {
        const lengthM = random() * line.woundLengthM * 0.999;
        const turns = turnsOffSimulated(simulated, lengthM);
        const off = Math.abs(spoolStateAt(line, lengthM).turns - turns);
        worst = Math.max(worst, off / within(turns));
      }
    }
    expect(worst).toBeLessThan(1);
  });

  it('agrees with the virtual reel, laid turn by turn without scatter, on 40 random stacks', () => {
    let worst = 0;
    for (let seed = 501; seed <= 540; seed += 1) {
      const { spool, segments, random, truth } = randomStack(seed);
      const line = buildLoadedLine(spool, segments);
      const reel = layReel(
        truth,
        segments.map((s) => ({ ...s, strain: 0 })),
      );
      for (let k = 0; k < 4; k += 1) {
        const lengthM = random() * line.woundLengthM * 0.999;
        const turns = turnsOff(reel, lengthM);
        worst = Math.max(worst, Math.abs(spoolStateAt(line, lengthM).turns - turns) / within(turns));
      }
    }
    expect(worst).toBeLessThan(1);
  });
});
