import { layReel } from '../../instruments/virtual/layReel';
import type { Known } from '../provenance/source';
import { convertRecipe, guessedConstant, type RecipeRow } from './convertRecipe';

const known = (value: number, relativeSd = 0): Known => ({ value, sd: value * relativeSd, source: 'measured' });
const counts = (name: string, lineDiameterM: number, value: number): RecipeRow => ({
  name,
  lineDiameterM: known(lineDiameterM, 0.02),
  packing: known(0.66, 0.05),
  amount: { kind: 'counts', counts: value },
});

const FEET = 0.3048;
const REEL = {
  arborDiameterM: known(0.034, 0.01),
  widthM: known(0.03, 0.01),
  fullDiameterM: known(0.062, 0.01),
  lengthPerTurnM: known(Math.PI * 0.06, 0.02),
  unitM: FEET,
};

describe('convertRecipe', () => {
  it('finds 310 to 455 true feet behind "530" on an almost empty spool of usual proportions (common practice, no source)', () => {
    const [backing] = convertRecipe(REEL, [counts('backing', 0.0004, 530)]);
    const feet = (backing?.trueLengthM.value ?? NaN) / FEET;
    expect(feet).toBeGreaterThan(310);
    expect(feet).toBeLessThan(455);
    expect(backing?.trueLengthM.plusMinus).toBeGreaterThan(0);
  });

  it('agrees with a reel that is laid turn by turn', () => {
    const truth = {
      arborDiameterM: 0.034,
      widthM: 0.03,
      rimDiameterM: 0.062,
      lengthPerTurnM: Math.PI * 0.06,
      unitM: FEET,
      digits: 3,
      rounds: true,
      pitchM: 0.0012,
      pitchRelativeSd: 0.02,
      crown: 0,
      packingRelativeSd: 0,
      seed: 3,
    };
    const lines = [
      { lengthM: 120, lineDiameterM: 0.0004, packing: 0.66, strain: 0 },
      { lengthM: 55, lineDiameterM: 0.0008, packing: 0.66, strain: 0 },
    ];
    const laid = layReel(truth, lines);
    const shown = (index: number): number => ((laid.turnsPerLine[index] ?? NaN) * truth.lengthPerTurnM) / FEET;
    const rows = convertRecipe(REEL, [counts('backing', 0.0004, shown(0)), counts('lead', 0.0008, shown(1))]);
    expect(rows[0]?.trueLengthM.value).toBeCloseTo(120, 0);
    expect(Math.abs((rows[1]?.trueLengthM.value ?? NaN) / 55 - 1)).toBeLessThan(0.01);
  });

  it('leaves a true length alone, and lets it fill the spool for what follows', () => {
    const lead: RecipeRow = { ...counts('lead', 0.0008, 0), amount: { kind: 'length', lengthM: 90 } };
    const [first, second] = convertRecipe(REEL, [lead, counts('top', 0.0004, 100)]);
    expect(first?.trueLengthM).toMatchObject({ value: 90, plusMinus: 0 });
    const [alone] = convertRecipe(REEL, [counts('top', 0.0004, 100)]);
    expect(second?.trueLengthM.value).toBeGreaterThan((alone?.trueLengthM.value ?? NaN) * 1.3);
  });

  it('guesses a constant that is true on a nearly full spool', () => {
    const guess = guessedConstant(REEL);
    expect(guess.value).toBeCloseTo(Math.PI * (0.034 + 0.9 * 0.028), 9);
    expect(guess.source).toBe('default');
  });
});
