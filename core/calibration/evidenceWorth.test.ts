import { known as measured } from '../../tests/believedLoad';
import { correctionTable } from './correctionTable';
import { estimateCounter } from './estimateCounter';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { evidenceWorth, plusMinusWithout, restsOn, type PieceWorth } from './evidenceWorth';
import type { BelievedLoad } from './loadModel';
import { countsAt, predicted, type CounterObservation } from './observations';

const segment = (id: string, lengthM: number, lineDiameterM: number, packing: number) => ({
  ...{ id, name: id, lineId: id, lengthM, lineDiameterM, packing, wound: true },
  areaRelativeSd: 0.13,
  lengthRelativeSd: 0.003,
  windingStrain: { value: 0.02, sd: 0.012 },
});
const BELIEVED: BelievedLoad = {
  arborDiameterM: measured(0.0314, 0.006),
  widthM: measured(0.0286, 0.03),
  fullDiameterM: measured(0.0618, 0.003),
  constantM: measured(0.174, 0.04),
  counter: { unitM: 0.3048, display: 'rounds' },
  joint: null,
  segments: [segment('backing', 140, 0.0004, 0.68), segment('top', 100, 0.00035, 0.68)],
};
const goneSinceM = [0, 0];
/** What the load as it truly lies would show, everything a little other than believed: made in each test, and looked at there. */
function shown() {
  const nothing = estimateCounter(BELIEVED, []);
  const truth = nothing.realise(nothing.unknowns.map((_, index) => 0.4 * Math.cos(index)));
  const seen = (observation: CounterObservation): number => predicted(observation, truth, 0.3048);
  const walk = (trueLengthM: number): CounterObservation => {
    const tape = { kind: 'tape' as const, name: `walk ${trueLengthM}`, trueLengthM, lengthSdM: 0.05, goneSinceM };
    return { ...tape, reading: Math.round(seen({ ...tape, reading: 0 })) };
  };
  const levelOf = { kind: 'level', name: 'level', afterSegment: 1, levelBelowRimM: 0, levelSdM: 0.0003 } as const;
  const level: CounterObservation = {
    ...{ ...levelOf, goneSinceM },
    levelBelowRimM: seen({ ...levelOf, goneSinceM }),
  };
  const logOf = { kind: 'wound', name: 'log', segment: 1, fromShare: 0, toShare: 1, reading: 0, goneSinceM } as const;
  const log: CounterObservation = { ...logOf, reading: Math.round(seen(logOf)) };
  return { walk, level, log };
}
type Shown = ReturnType<typeof shown>;

describe('the ± of a figure, split by the pieces behind it', () => {
  // Against the estimate itself, made again without the piece.
  it.each([
    ['constant', ({ walk, level }: Shown) => [walk(30.48), walk(60.96), level]],
    ['constant', ({ walk, level, log }: Shown) => [walk(30.48), level, log]],
    ['reading', ({ walk, level, log }: Shown) => [walk(30.48), walk(60.96), level, log]],
    ['reading', ({ walk }: Shown) => [walk(18.288), walk(45.72)]],
  ] as const)('of the %s says what it would be without each, within a tenth', (what, of) => {
    const pieces = of(shown());
    const estimate = estimateCounter(BELIEVED, pieces);
    const ownSd = (of: typeof estimate): number => {
      if (what === 'constant') return of.constantM.sd;
      const [reading] = correctionTable(of, [150]);
      // The steps of layers and the whole count are no piece's.
      const { value = NaN, plusMinus = NaN } = reading ?? {};
      return Math.sqrt((plusMinus / PLUS_MINUS_SDS) ** 2 - 1 / 12 - (value * 0.0006) ** 2);
    };
    const worth = evidenceWorth(estimate, (load) =>
      what === 'constant' ? load.constantM : countsAt(load, 150, 0.3048),
    );
    pieces.forEach((piece, index) => {
      const without = estimateCounter(BELIEVED, pieces.toSpliced(index, 1));
      const truly = ownSd(without) / ownSd(estimate);
      expect(Math.abs((worth[index]?.widensTo ?? NaN) / truly - 1)).toBeLessThan(0.1);
      expect(worth[index]?.observation).toBe(piece);
    });
  });

  it('names the one piece that a figure rests on, and none where two say the same', () => {
    const of = (pieces: readonly CounterObservation[]) => {
      const estimate = estimateCounter(BELIEVED, pieces);
      return restsOn(evidenceWorth(estimate, (load) => countsAt(load, 30.48, 0.3048)));
    };
    const { walk } = shown();
    expect(of([walk(30.48)])).toMatchObject({ observation: { name: 'walk 30.48' } });
    expect(of([walk(30.48), walk(30.48)])).toBeNull();
    expect(of([])).toBeNull();
  });

  it('says by how much the ± itself would be wider, where the pieces disagree too', () => {
    const { walk, level } = shown();
    const off = walk(60.96);
    if (off.kind !== 'tape') throw new Error('a walk');
    // One walk is four counts off: with tails it pulls with less than its weight.
    const pieces = [walk(30.48), { ...off, reading: off.reading + 4 }, level];
    const estimate = estimateCounter(BELIEVED, pieces);
    const worth = evidenceWorth(estimate, (load) => load.constantM);
    const ownVariance = estimate.constantM.sd ** 2;
    worth.forEach((piece) => {
      const without = plusMinusWithout(PLUS_MINUS_SDS * estimate.constantM.sd, piece);
      expect(without / PLUS_MINUS_SDS).toBeCloseTo(Math.sqrt(ownVariance + piece.addedVariance), 9);
      expect((without / (PLUS_MINUS_SDS * estimate.constantM.sd)) ** 2).toBeCloseTo(piece.widensTo ** 2, 6);
    });
  });

  it('rests on the piece that tells most, wherever it stands', () => {
    const piece = (name: string, widensTo: number): PieceWorth => ({
      observation: { kind: 'turns', name, turns: 1, reading: 1, betweenFlips: true },
      ...{ widensTo, addedVariance: 1 },
    });
    expect(restsOn([piece('a', 1.2), piece('b', 3), piece('c', 2.4)])).toMatchObject({ observation: { name: 'b' } });
    expect(restsOn([piece('a', 1.2), piece('b', 2)])).toMatchObject({ observation: { name: 'b' } });
    expect(restsOn([piece('a', 1.2), piece('b', 1.99)])).toBeNull();
  });
});
