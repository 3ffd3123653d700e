import { seededRandom } from '../../instruments/random';
import { layReel, type ReelTruth } from '../../instruments/virtual/layReel';
import { gearFit } from './gearFit';
import { learnedReel } from './learned';
import { planLoad } from '../load/planLoad';
import { reelShape } from './reelShape';

const TRUTH: ReelTruth = {
  arborDiameterM: 0.033,
  widthM: 0.0275,
  rimDiameterM: 0.0605,
  lengthPerTurnM: 0.17,
  unitM: 1,
  digits: 3,
  rounds: true,
  pitchM: 0.0011,
  pitchRelativeSd: 0.02,
  crown: 0.02,
  packingRelativeSd: 0.02,
  seed: 9,
};
const BACKING = { lineDiameterM: 0.00041, packing: 0.655, strain: 0 };
const TOP = { lineDiameterM: 0.00034, packing: 0.69, strain: 0 };
const TOP_M = 80;
const FULL_BELOW_RIM_M = 0.002;

const levelOf = (lines: Parameters<typeof layReel>[1]): number =>
  (TRUTH.rimDiameterM - layReel(TRUTH, lines).meanDiameterM) / 2;

/** First pass: the top shot on the bare arbor, then backing until the spool is full. Returns the backing that fits. */
function backingByHand(packingFactor: number): number {
  let [low, high] = [10, 600];
  for (let round = 0; round < 14; round += 1) {
    const middle = (low + high) / 2;
    const level = levelOf([
      { ...TOP, packing: TOP.packing * packingFactor, lengthM: TOP_M },
      { ...BACKING, packing: BACKING.packing * packingFactor, lengthM: middle },
    ]);
    if (level > FULL_BELOW_RIM_M) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

describe('the by-hand reverse fill, on the reel laid turn by turn', () => {
  it('gives back its own backing length when both passes have the same tension', () => {
    const backingM = backingByHand(1);
    const rightWayRound = levelOf([
      { ...BACKING, lengthM: backingM },
      { ...TOP, lengthM: TOP_M },
    ]);
    expect(Math.abs(rightWayRound - FULL_BELOW_RIM_M)).toBeLessThan(0.00015);
  });

  it('does not when the first pass was wound more loosely', () => {
    const backingM = backingByHand(0.93);
    const rightWayRound = levelOf([
      { ...BACKING, lengthM: backingM },
      { ...TOP, lengthM: TOP_M },
    ]);
    // Loosely wound line takes more room, so too little backing was thought to fill the spool.
    expect(rightWayRound - FULL_BELOW_RIM_M).toBeGreaterThan(0.0004);
  });

  it('teaches a reel of which only a rating is known how much backing it takes', () => {
    const random = seededRandom(4);
    const ratings = [{ label: '0.40 mm, 330 m', lineDiameterM: 0.0004, lengthM: 330 }];
    const shape = reelShape(
      'conventional',
      { arborDiameterM: null, widthM: null, fullDiameterM: null, sdM: 0 },
      ratings,
    );
    const area = (line: typeof TOP): number => ((Math.PI / 4) * line.lineDiameterM ** 2) / 0.68;
    const lines = [
      { id: 'backing', name: 'backing', areaM2: area(BACKING), relativeSd: 0.08, windingStrain: { value: 0, sd: 0 } },
      { id: 'top', name: 'top', areaM2: area(TOP), relativeSd: 0.08, windingStrain: { value: 0, sd: 0 } },
    ];
    const planned = (loads: Parameters<typeof gearFit>[2]) => {
      const fit = gearFit([{ id: 'reel', ...shape, ratings, counter: null }], lines, loads);
      const learned = learnedReel(fit, 'reel', 'learned');
      const row = (line: typeof TOP, id: string, lengthM: number | null) => ({
        id,
        name: id,
        lineId: id,
        wound: true,
        lineDiameterM: { value: line.lineDiameterM, sd: 0, source: 'label' as const },
        packing: { value: 0.68 / (learned.lineFactors[id] ?? 1), sd: 0.05, source: 'default' as const },
        lengthM: lengthM === null ? null : { value: lengthM, sd: 0, source: 'measured' as const },
      });
      const plan = planLoad(
        learned,
        [row(BACKING, 'backing', null), row(TOP, 'top', TOP_M)],
        null,
        FULL_BELOW_RIM_M,
        learned.joint,
      );
      if (!plan.ok) throw new Error(plan.reason);
      return plan.value.segments[0]?.lengthM ?? { value: NaN, plusMinus: NaN };
    };
    const trueM = backingByHand(1);
    const before = planned([]);
    const after = planned([
      {
        reelId: 'reel',
        name: 'the reverse fill',
        evenTension: true,
        levelSdM: 0.0003,
        segments: [
          { name: 'top', lineId: 'top', lengthM: TOP_M, counts: null, turns: null },
          { name: 'backing', lineId: 'backing', lengthM: trueM, counts: null, turns: null },
        ],
        levels: [{ afterSegment: 1, levelBelowRimM: FULL_BELOW_RIM_M + 0.0001 * (random() - 0.5) }],
      },
    ]);
    expect(after.plusMinus).toBeLessThan(before.plusMinus / 3);
    expect(Math.abs(after.value - trueM)).toBeLessThan(after.plusMinus);
  });
});
