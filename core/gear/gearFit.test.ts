import { normalDeviate, seededRandom } from '../../instruments/random';
import { layReel } from '../../instruments/virtual/layReel';
import type { Known } from '../provenance/source';
import type { LineToFit, LoadToFit, ReelToFit } from './gearEvidence';
import { gearFit, learnGear } from './gearFit';
import { learnedReel } from './learned';
import { ratedAreaM2, reelShape } from './reelShape';

const known = (value: number, relativeSd: number): Known => ({ value, sd: value * relativeSd, source: 'measured' });
const REEL: ReelToFit = {
  id: 'reel',
  arborDiameterM: known(0.03, 0.1),
  widthM: known(0.03, 0.001),
  fullDiameterM: known(0.06, 0.001),
  ratings: [],
  counter: null,
};
const areaM2 = (diameterM: number, packing: number): number => ((Math.PI / 4) * diameterM ** 2) / packing;
const UNSTRAINED = { value: 0, sd: 0 };
const NYLON: LineToFit = {
  id: 'nylon',
  name: 'nylon',
  areaM2: areaM2(0.0004, 0.68),
  relativeSd: 0.08,
  windingStrain: UNSTRAINED,
};
const BRAID: LineToFit = {
  id: 'braid',
  name: 'braid',
  areaM2: areaM2(0.0002, 0.65),
  relativeSd: 0.25,
  windingStrain: UNSTRAINED,
};

function load(change: Partial<LoadToFit>): LoadToFit {
  return { reelId: 'reel', name: 'first', evenTension: true, levelSdM: 0.0002, segments: [], levels: [], ...change };
}

describe('gearFit', () => {
  it('finds the arbor from one plain load of known length, turns and level: d0 = 2L/(πN) − D', () => {
    // Whatever the packing: the mean circumference is L/N. True arbor 34 mm, outer 56 mm, 250 m.
    const turns = 250 / (Math.PI * (0.034 + 0.056) * 0.5);
    const { reels } = gearFit(
      [REEL],
      [NYLON],
      [
        load({
          segments: [{ name: 'plain', lineId: 'nylon', lengthM: 250, counts: null, turns }],
          levels: [{ afterSegment: 0, levelBelowRimM: 0.002 }],
        }),
      ],
    );
    const arbor = reels[0]?.dimensions[0];
    // The prior of 30 mm still pulls a little.
    expect(Math.abs((arbor?.value ?? NaN) - 0.034)).toBeLessThan(0.00015);
    expect(arbor?.relativeSd).toBeLessThan(0.02);
  });

  it('learns a line on one reel and knows it on its twin', () => {
    const twin = { ...REEL, id: 'twin', arborDiameterM: known(0.03, 0.005) };
    const reel = { ...REEL, arborDiameterM: known(0.03, 0.005) };
    const volumeM3 = (Math.PI / 4) * 0.03 * (0.056 ** 2 - 0.03 ** 2);
    const trueAreaM2 = BRAID.areaM2 * 1.3;
    const fit = gearFit(
      [reel, twin],
      [NYLON, BRAID],
      [
        load({
          segments: [{ name: 'braid', lineId: 'braid', lengthM: volumeM3 / trueAreaM2, counts: null, turns: null }],
          levels: [{ afterSegment: 0, levelBelowRimM: 0.002 }],
        }),
      ],
    );
    const braid = fit.lines[1];
    expect(braid?.value).toBeGreaterThan(1.27);
    expect(braid?.value).toBeLessThan(1.31);
    expect(braid?.relativeSd).toBeLessThan(0.04);
    expect(fit.lines[0]).toMatchObject({ value: 1, relativeSd: expect.closeTo(NYLON.relativeSd, 6) as number });
    const { correlation } = learnedReel(fit, 'twin', 'learned').joint;
    correlation.forEach((row, i) => row.forEach((rho, j) => expect(rho).toBeCloseTo(correlation[j]?.[i] ?? NaN, 9)));
  });

  it('reads a counter from a winding log of known lengths', () => {
    const reel: ReelToFit = {
      ...REEL,
      arborDiameterM: known(0.03, 0.005),
      counter: { unitM: 1, lengthPerTurnM: known(0.17, 0.05) },
    };
    const turns = 250 / (Math.PI * 0.5 * (0.03 + 0.056));
    const { reels } = gearFit(
      [reel],
      [NYLON],
      [
        load({
          segments: [{ name: 'plain', lineId: 'nylon', lengthM: 250, counts: turns * 0.182, turns: null }],
          levels: [{ afterSegment: 0, levelBelowRimM: 0.002 }],
        }),
      ],
    );
    const constant = reels[0]?.dimensions.find(({ dimension }) => dimension === 'lengthPerTurnM');
    expect(Math.abs((constant?.value ?? NaN) - 0.182)).toBeLessThan(0.001);
  });

  // Against the boat's fit, made again without the piece.
  it('says what each piece tells most of, and how wide that would be without it', () => {
    const reel: ReelToFit = {
      ...REEL,
      arborDiameterM: known(0.03, 0.006),
      counter: { unitM: 1, lengthPerTurnM: known(0.17, 0.04) },
    };
    const turns = 250 / (Math.PI * 0.5 * (0.0301 + 0.0561));
    const segment = { name: 'log', lineId: 'nylon', lengthM: 250, counts: Math.round(turns * 0.176), turns: null };
    const logged = load({ name: 'logged', segments: [segment] });
    const levels = load({
      ...{ name: 'level', segments: [{ ...segment, counts: null }] },
      levels: [{ afterSegment: 0, levelBelowRimM: 0.002 }],
    });
    const loads = [logged, levels, { ...levels, name: 'again' }];
    const fit = gearFit([reel], [NYLON], loads);
    expect(fit.evidence).toHaveLength(3);
    fit.evidence.forEach(({ tells }, index) => {
      if (!tells) throw new Error('each of them tells something');
      const { what, widensTo } = tells;
      const sdOf = (of: typeof fit): number =>
        (typeof what === 'string'
          ? of.reels[0]?.dimensions.find(({ dimension }) => dimension === what)
          : of.lines.find(({ lineId }) => lineId === what.lineId)
        )?.relativeSd ?? NaN;
      const without = gearFit([reel], [NYLON], loads.toSpliced(index, 1));
      expect(Math.abs(widensTo / (sdOf(without) / sdOf(fit)) - 1)).toBeLessThan(0.1);
    });
    expect(fit.evidence[0]?.tells?.what).toBe('lengthPerTurnM');
  });

  it('takes labels of one material for off alike: what one line is found to be, the other is likelier to be', () => {
    const label = { material: 'nylon', relativeSd: 0.12 };
    const other: LineToFit = { ...NYLON, id: 'other', relativeSd: 0.13, label };
    const measured: LineToFit = { ...NYLON, id: 'measured', relativeSd: 0.13 };
    const seen: LineToFit = { ...NYLON, relativeSd: 0.13, label };
    const volumeM3 = (Math.PI / 4) * 0.03 * (0.056 ** 2 - 0.03 ** 2);
    const segment = {
      name: 'plain',
      lineId: 'nylon',
      lengthM: volumeM3 / (NYLON.areaM2 * 1.2),
      counts: null,
      turns: null,
    };
    const reel = { ...REEL, arborDiameterM: known(0.03, 0.005) };
    const loads = [load({ segments: [segment], levels: [{ afterSegment: 0, levelBelowRimM: 0.002 }] })];
    const [found, alike, alone] = gearFit([reel], [seen, other, measured], loads).lines;
    // Half of the labels' variance is shared: the regression on the one that was seen is ρ·σ²label ÷ σ².
    const shared = (0.5 * 0.12 ** 2) / 0.13 ** 2;
    const moved = Math.log(found?.value ?? NaN) / Math.log(1.2);
    expect(Math.log(alike?.value ?? NaN)).toBeCloseTo(shared * moved * Math.log(1.2), 3);
    expect(alone?.value).toBeCloseTo(1, 6);
    expect(alike?.relativeSd).toBeLessThan(alone?.relativeSd ?? NaN);
  });

  it('says which evidence does not fit', () => {
    const segments = [{ name: 'plain', lineId: 'nylon', lengthM: 200, counts: null, turns: null }];
    const reel = { ...REEL, arborDiameterM: known(0.03, 0.005) };
    const at = (levelBelowRimM: number): LoadToFit => load({ segments, levels: [{ afterSegment: 0, levelBelowRimM }] });
    const { evidence } = gearFit([reel], [NYLON], [at(0.005), at(0.0051), at(0.009)]);
    const off = evidence.map((each) => each.offBySds);
    expect(Math.abs(off[2] ?? 0)).toBeGreaterThan(3);
    expect(Math.abs(off[2] ?? 0)).toBeGreaterThan(Math.abs(off[0] ?? 0));
  });

  it('counts a fill of two unlike tensions for less', () => {
    const segments = [{ name: 'plain', lineId: 'nylon', lengthM: 200, counts: null, turns: null }];
    const reel = { ...REEL, arborDiameterM: known(0.03, 0.005) };
    const spread = (evenTension: boolean): number =>
      gearFit([reel], [NYLON], [load({ segments, evenTension, levels: [{ afterSegment: 0, levelBelowRimM: 0.005 }] })])
        .lines[0]?.relativeSd ?? NaN;
    expect(spread(false)).toBeGreaterThan(1.3 * spread(true));
  });

  it('leaves out what cannot be known: a level over line of unknown length', () => {
    const open = load({
      segments: [{ name: 'plain', lineId: 'nylon', lengthM: null, counts: null, turns: null }],
      levels: [{ afterSegment: 0, levelBelowRimM: 0.005 }],
    });
    expect(gearFit([REEL], [NYLON], [open]).evidence).toEqual([]);
    expect(() => gearFit([], [NYLON], [open])).toThrow(/not given/);
  });

  it('covers the truth of reels laid turn by turn', () => {
    const random = seededRandom(5);
    let covered = 0;
    const RUNS = 60;
    for (let run = 0; run < RUNS; run += 1) {
      const arborM = 0.03 * Math.exp(0.08 * normalDeviate(random));
      const factor = Math.exp(0.08 * normalDeviate(random));
      const truth = {
        arborDiameterM: arborM,
        widthM: 0.03,
        rimDiameterM: 0.06,
        lengthPerTurnM: 0.17,
        unitM: 1,
        digits: 3,
        rounds: true,
        pitchM: 0.0012,
        pitchRelativeSd: 0.03,
        crown: 0.02,
        packingRelativeSd: 0.03,
        seed: run,
      };
      const laid = layReel(truth, [{ lengthM: 200, lineDiameterM: 0.0004, packing: 0.68 / factor, strain: 0 }]);
      const levelBelowRimM = (0.06 - laid.meanDiameterM) / 2 + 0.0002 * normalDeviate(random);
      const segment = {
        name: 'p',
        lineId: 'nylon',
        lengthM: 200,
        counts: null,
        turns: Math.round(laid.turnsPerLine[0] ?? 0),
      };
      const { reels } = gearFit(
        [{ ...REEL, arborDiameterM: known(0.03, 0.08) }],
        [NYLON],
        [load({ segments: [segment], levels: [{ afterSegment: 0, levelBelowRimM }] })],
      );
      const arbor = reels[0]?.dimensions[0];
      if (arbor && Math.abs(Math.log(arbor.value / arborM)) <= 1.96 * arbor.relativeSd) covered += 1;
    }
    // 95 % of 60 is 57; 51 or fewer has a chance below one in a hundred.
    expect(covered).toBeGreaterThanOrEqual(52);
  });
});

describe('evidence that disagrees', () => {
  const segments = [{ name: 'plain', lineId: 'nylon', lengthM: 200, counts: null, turns: null }];
  const reel = { ...REEL, arborDiameterM: known(0.03, 0.005) };
  const at = (levelBelowRimM: number, name = 'load'): LoadToFit =>
    load({ name, segments, levels: [{ afterSegment: 0, levelBelowRimM, source: { kind: 'level', id: name } }] });

  it('is held out and named when no scatter explains it, and the rest stands as without it', () => {
    const good = [at(0.005, 'a'), at(0.0051, 'b'), at(0.0049, 'c')];
    const fit = gearFit([reel], [NYLON], [...good, at(0.0149, 'slip')]);
    expect(fit.evidence.filter((each) => each.heldOut)).toMatchObject([
      { name: 'slip: level after plain', source: { kind: 'level', id: 'slip' } },
    ]);
    const clean = gearFit([reel], [NYLON], good);
    expect(fit.lines[0]?.value).toBeCloseTo(clean.lines[0]?.value ?? NaN, 9);
    expect(fit.lines[0]?.relativeSd).toBeCloseTo(clean.lines[0]?.relativeSd ?? NaN, 9);
  });

  it('is held out on its own reel, not where the line is shared', () => {
    const twin = { ...reel, id: 'twin' };
    const onTwin = (name: string): LoadToFit => ({ ...at(0.005, name), reelId: 'twin' });
    const fit = gearFit([reel, twin], [NYLON], [at(0.013, 'slip'), onTwin('a'), onTwin('b'), onTwin('c')]);
    expect(fit.evidence.filter((each) => each.heldOut).map((each) => each.source?.id)).toEqual(['slip']);
  });

  it('comes back in when more of its kind turns up', () => {
    // Far from what the label says of the line, but all loads agree on it.
    const bulky = [0.0112, 0.0113, 0.0111].map((level, index) => at(level, `${index}`));
    const sure = { ...NYLON, relativeSd: 0.02 };
    const alone = gearFit([reel], [sure], bulky.slice(0, 1));
    expect(alone.evidence[0]?.heldOut).toBe(true);
    expect(alone.lines[0]?.value).toBeCloseTo(1, 9);
  });

  it('leaves what was known before where nothing agrees', () => {
    const fit = gearFit([reel], [NYLON], [load({ segments, levels: [{ afterSegment: 0, levelBelowRimM: 0.19 }] })]);
    expect(fit.evidence).toMatchObject([{ heldOut: true }]);
    expect(fit.reels[0]?.dimensions[0]).toMatchObject({ value: expect.closeTo(0.03, 9) as number });
    expect(fit.lines[0]).toMatchObject({ relativeSd: expect.closeTo(NYLON.relativeSd, 9) as number });
  });

  it('knows a reel without one of its loads as a fit of the others does', () => {
    const loads = [at(0.005, 'a'), at(0.0053, 'b'), at(0.0048, 'c')].map((each, index) => ({
      ...each,
      loadId: ['a', 'b', 'c'][index] ?? '',
    }));
    const twin = { ...reel, id: 'twin' };
    const other = { ...at(0.0057, 'd'), reelId: 'twin', loadId: 'd' };
    const before = learnGear([reel, twin], [NYLON], [...loads, other]).before('b', reel);
    const plain = gearFit([reel, twin], [NYLON], [...loads.filter((each) => each.loadId !== 'b'), other]);
    // The rest of the boat is taken as it was linearised: to a hundredth of the ± that is stated.
    const [now, then] = [before.lines[0], plain.lines[0]];
    expect(Math.abs((now?.value ?? NaN) - (then?.value ?? NaN))).toBeLessThan(0.01 * (then?.relativeSd ?? NaN));
    expect((now?.relativeSd ?? NaN) / (then?.relativeSd ?? NaN)).toBeCloseTo(1, 2);
    const ofReel = plain.reels.find((each) => each.reelId === 'reel');
    before.reels[0]?.dimensions.forEach((dimension, index) => {
      const plainly = ofReel?.dimensions[index];
      const off = Math.abs(Math.log(dimension.value / (plainly?.value ?? NaN)));
      expect(off).toBeLessThan(0.02 * (plainly?.relativeSd ?? NaN));
      expect(dimension.relativeSd / (plainly?.relativeSd ?? NaN)).toBeCloseTo(1, 2);
    });
    expect(before.reels[0]?.withShared[0]?.[0]).toBeCloseTo(ofReel?.withShared[0]?.[0] ?? NaN, 6);
  });
});

describe('reelShape', () => {
  const NONE = { arborDiameterM: null, widthM: null, fullDiameterM: null, sdM: 0.0002 };
  const ratings = [
    { label: '0.40', lineDiameterM: 0.0004, lengthM: 300 },
    { label: '0.35', lineDiameterM: 0.00035, lengthM: 380 },
  ];

  it('scales usual proportions to what the ratings hold', () => {
    const shape = reelShape('conventional', NONE, ratings);
    const volumeM3 =
      (Math.PI / 4) * shape.widthM.value * (shape.fullDiameterM.value ** 2 - shape.arborDiameterM.value ** 2);
    expect(volumeM3).toBeCloseTo(Math.sqrt(300 * ratedAreaM2(0.0004) * 380 * ratedAreaM2(0.00035)), 9);
    expect(shape.arborDiameterM.source).toBe('default');
  });

  it('keeps what was measured and guesses only the rest', () => {
    const shape = reelShape('fly', { ...NONE, fullDiameterM: 0.09, widthM: 0.025 }, ratings);
    expect(shape.fullDiameterM).toEqual({ value: 0.09, sd: 0.0002, source: 'measured' });
    expect(shape.widthM.value).toBe(0.025);
    expect(shape.arborDiameterM.sd / shape.arborDiameterM.value).toBeGreaterThan(0.1);
    const widthOnly = reelShape('fly', { ...NONE, widthM: 0.025, arborDiameterM: 0.04 }, ratings);
    expect(widthOnly.fullDiameterM.value).toBeGreaterThan(0.04);
  });

  it('throws without anything to scale by', () => {
    expect(() => reelShape('fly', NONE, [])).toThrow(/rating or a full diameter/);
  });

  it('knows the volume of a rated reel far better than its dimensions', () => {
    const shape = reelShape('conventional', NONE, ratings);
    const fit = gearFit([{ id: 'reel', ...shape, ratings, counter: null }], [], []);
    const { joint } = learnedReel(fit, 'reel', 'maker');
    const at = (key: string): number => joint.keys.indexOf(key);
    const [arbor, width, full] = [at('arborDiameterM'), at('widthM'), at('fullDiameterM')];
    // Volume goes with width and with the square of the full diameter, so the two are bound to go against each other.
    expect(joint.correlation[width]?.[full]).toBeLessThan(-0.5);
    expect(joint.relativeSds[arbor]).toBeGreaterThan(0.1);
    expect(fit.evidence.map((each) => each.kind)).toEqual(['rating', 'rating']);
  });
});
