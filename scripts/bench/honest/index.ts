import { correctionTable } from '../../../core/calibration/correctionTable';
import type { CounterEstimate } from '../../../core/calibration/estimateCounter';
import { topAdjustment } from '../../../core/calibration/topAdjustment';
import { learnGear } from '../../../core/gear/gearFit';
import { planLoad } from '../../../core/load/planLoad';
import { PLUS_MINUS_SDS } from '../../../core/numerics/propagate';
import { percentile, row } from '../report';
import {
  believedLine,
  estimateOf,
  learnedFrom,
  linesToFit,
  loadToFit,
  note,
  reelToFit,
  strainOf,
  type Noted,
  type WhatIsNoted,
} from './observed';
import { AS_MODELLED, drawOutfit, FOOT_M, layLoad, type Laid, type Outfit, type World } from './world';

const WORLDS: Readonly<Record<string, World>> = {
  'as modelled': AS_MODELLED,
  'nylon strained by 1 to 3.5 %': { ...AS_MODELLED, strain: { between: [0.01, 0.035] } },
  'tape 0.3 % long': { ...AS_MODELLED, tapeShare: 0.003 },
  'flanges take 6 %': { ...AS_MODELLED, flange: 0.06 },
  'packing grows 5 % with depth': { ...AS_MODELLED, depth: 0.05 },
  'packing falls 5 % with depth': { ...AS_MODELLED, depth: -0.05 },
  'counter slips by 1 %': { ...AS_MODELLED, slip: 0.01 },
  'display truncates, told that it rounds': { ...AS_MODELLED, truncates: true },
  'caliper SD doubled': { ...AS_MODELLED, caliperSdM: 0.0004 },
  'label 10 % off': { ...AS_MODELLED, labelOff: 0.1 },
  'label −10 % off': { ...AS_MODELLED, labelOff: -0.1 },
};

const WALKS_M = [60, 100, 150].map((feet) => feet * FOOT_M);
const WALK_M = 100 * FOOT_M;

/** Errors against their ±. */
class Tally {
  private readonly errors: number[] = [];
  private readonly plusMinus: number[] = [];
  private covered = 0;

  add(error: number, plusMinus: number): void {
    this.errors.push(error);
    this.plusMinus.push(plusMinus);
    if (Math.abs(error) <= plusMinus) this.covered += 1;
  }

  /** Share covered, and the ± over what the errors' own spread makes of it. */
  get text(): string {
    const rms = Math.sqrt(this.errors.reduce((sum, each) => sum + each ** 2, 0) / this.errors.length);
    const width = percentile(this.plusMinus, 0.5) / (PLUS_MINUS_SDS * rms);
    return `${percent(this.covered, this.errors.length)} (± ÷ 1.96 SD of the errors ${width.toFixed(2)})`;
  }
}

const percent = (part: number, of: number): string => `${((100 * part) / of).toFixed(1)} %`;

/** Lengths that fill an outfit's spool to about nine tenths, by what its lines really take. */
function fillOf({ truth, lines, flange }: Outfit): readonly number[] {
  const volumeM3 = (Math.PI / 4) * truth.widthM * (1 - flange) * (truth.rimDiameterM ** 2 - truth.arborDiameterM ** 2);
  const shares = lines.length === 1 ? [0.9] : [0.45, 0.25, 0.2];
  return lines.map((line, i) => ((shares[i] ?? 0) * volumeM3 * line.packing) / ((Math.PI / 4) * line.trueM ** 2));
}

interface Wound {
  readonly outfit: Outfit;
  readonly laid: Laid;
  readonly meantM: readonly number[];
}

function woundOutfit(world: World, seed: number, isPlain: boolean): Wound | null {
  const outfit = drawOutfit(world, seed, isPlain);
  const meantM = fillOf(outfit);
  // The innermost line is stopped by hand, about where it was meant to.
  const lengthsM = meantM.map((lengthM, index) =>
    index === 0 ? lengthM * (1 + 0.05 * (outfit.random() - 0.5)) : lengthM,
  );
  const laid = layLoad(outfit, lengthsM, seed);
  return lengthsM.reduce((sum, each) => sum + each, 0) > 1.2 * (WALKS_M.at(-1) ?? 0) ? { outfit, laid, meantM } : null;
}

function stationsOf(laid: Laid): readonly number[] {
  const totalM = laid.lengthsM.reduce((sum, each) => sum + each, 0);
  return [0.1, 0.2, 0.35, 0.5, 0.7, 0.9].map((share) => Math.max(WALKS_M[0] ?? 0, share * totalM));
}

interface Judged {
  readonly constant: Tally;
  readonly reading: Tally;
  flagged: number;
  rigs: number;
}

const judged = (): Judged => ({ constant: new Tally(), reading: new Tally(), flagged: 0, rigs: 0 });

function judge(estimate: CounterEstimate, { outfit, laid }: Wound, into: Judged): void {
  into.rigs += 1;
  if (estimate.conflicts.length > 0) into.flagged += 1;
  into.constant.add(
    estimate.constantM.value / outfit.truth.lengthPerTurnM - 1,
    (PLUS_MINUS_SDS * estimate.constantM.sd) / estimate.constantM.value,
  );
  const stationsM = stationsOf(laid);
  correctionTable(estimate, stationsM).forEach((figure, index) => {
    const exact = laid.counts(stationsM[index] ?? NaN);
    into.reading.add((figure.value - exact) / exact, figure.plusMinus / exact);
  });
}

function benchCounter(world: World, rigs: number): void {
  const [rich, alone] = [judged(), judged()];
  for (let seed = 1; seed <= rigs; seed += 1) {
    const wound = woundOutfit(world, seed * 101 + 7, seed % 3 === 0);
    if (!wound) continue;
    const { outfit, laid, meantM } = wound;
    const noted = note(outfit, laid, { walksM: WALKS_M.slice(0, 2), stopped: true });
    judge(estimateOf(outfit, noted, meantM, { level: true, log: true }), wound, rich);
    const one: Noted = { ...noted, walks: noted.walks.slice(1, 2) };
    judge(estimateOf(outfit, one, meantM, { level: false, log: false }), wound, alone);
  }
  row('constant: two walks, log and level', rich.constant.text);
  row('reading at six lengths: two walks, log and level', rich.reading.text);
  row('  rigs in which a piece is named', percent(rich.flagged, rich.rigs));
  row('constant: one walk alone', alone.constant.text);
  row('reading at six lengths: one walk alone', alone.reading.text);
}

/** The next load's plan of a reel that was loaded once, against that load as it comes to lie. */
function benchPlans(world: World, rigs: number): void {
  const [level, counts, label] = [new Tally(), new Tally(), new Tally()];
  for (let seed = 1; seed <= rigs; seed += 1) {
    const wound = woundOutfit(world, seed * 103 + 11, false);
    if (!wound) continue;
    const { outfit, laid, meantM } = wound;
    const noted = note(outfit, laid, { walksM: [WALK_M], stopped: false });
    const next = layLoad(outfit, meantM, seed + 700_000);
    const planned = (loads: Parameters<typeof learnedFrom>[1]) => {
      const learned = learnedFrom(outfit, loads);
      const { lengthPerTurnM } = learned;
      return planLoad(
        learned,
        outfit.lines.map((line, index) => {
          const { lineDiameterM, packing } = believedLine(line);
          const value = meantM[index] ?? NaN;
          return {
            ...{
              id: line.id,
              name: line.id,
              lineId: line.id,
              wound: true,
              lineDiameterM,
              windingStrain: strainOf(line),
            },
            packing: { ...packing, value: packing.value / (learned.lineFactors[line.id] ?? 1) },
            lengthM: { value, sd: 0.003 * value, source: 'measured' },
          };
        }),
        lengthPerTurnM && { unitM: FOOT_M, digits: 4, display: 'rounds', lengthPerTurnM },
        0.002,
        learned.joint,
      );
    };
    const plan = planned([loadToFit(outfit, noted, 'load')]);
    const first = planned([]);
    if (!plan.ok || !first.ok) continue;
    const isM = (outfit.truth.rimDiameterM - next.reel.meanDiameterM) / 2;
    level.add(plan.value.levelBelowRimM.value - isM, plan.value.levelBelowRimM.plusMinus);
    label.add(first.value.levelBelowRimM.value - isM, first.value.levelBelowRimM.plusMinus);
    plan.value.segments.forEach((segment, index) => {
      const exact = next.countsOn[index] ?? NaN;
      counts.add(((segment.counts?.value ?? NaN) - exact) / exact, (segment.counts?.plusMinus ?? NaN) / exact);
    });
  }
  row('level of the next load, by one load', level.text);
  row('stops of the next load, by one load', counts.text);
  row('level by labels and caliper alone', label.text);
}

/** Strip advice on plain line, followed twice. */
function benchStrip(world: World, rigs: number): void {
  for (const [name, use] of [
    ['length loaded and level known', { level: true, log: true }],
    ['by label alone', { level: false, log: false }],
  ] as const) {
    const after = [0, 0];
    const advised = new Tally();
    let asked = 0;
    for (let seed = 1; seed <= rigs; seed += 1) {
      const wound = woundOutfit(world, seed * 107 + 13, true);
      if (!wound) continue;
      const { outfit, laid, meantM } = wound;
      const walkedM = WALK_M;
      const stripped = [0];
      const walks: { readonly atM: number; readonly walk: Noted['walks'][number] }[] = [];
      const noted = note(outfit, laid, { walksM: [], stopped: !use.level });
      const wantM = neededStrip(laid);
      const totalM = laid.lengthsM[0] ?? 0;
      if (wantM === null || wantM > totalM - 1.5 * WALK_M || wantM < -0.2 * totalM) continue;
      // Line cannot be added to the simulated reel: such reels are stripped by so much first.
      if (wantM < 0) continue;
      asked += 1;
      for (const step of [0, 1]) {
        const goneM = stripped.reduce((sum, each) => sum + each, 0);
        const view: Laid = { ...laid, counts: (lengthM) => laid.counts(goneM + lengthM) - laid.counts(goneM) };
        const [walk] = note(outfit, view, { walksM: [walkedM], stopped: true }).walks;
        if (!walk) break;
        walks.push({ atM: goneM, walk });
        const seen = walks.map((each) => ({ ...each.walk, goneSinceM: [goneM - each.atM] }));
        const estimate = estimateOf(outfit, { ...noted, walks: seen }, meantM, { ...use, strippedM: goneM });
        const advice = topAdjustment(estimate, WALK_M, outfit.truth.rimDiameterM * 1.2);
        const byM = advice.ok ? advice.value.stripM.value : 0;
        if (step === 0 && advice.ok) advised.add(byM - wantM, advice.value.stripM.plusMinus);
        stripped.push(Math.max(-goneM, Math.min(byM, totalM - goneM - 1.1 * WALK_M)));
        const nowM = stripped.reduce((sum, each) => sum + each, 0);
        const error = (laid.counts(nowM + WALK_M) - laid.counts(nowM)) / 100 - 1;
        if (Math.abs(error) <= 0.01) after[step] = (after[step] ?? 0) + 1;
      }
    }
    row(
      `strip advice, ${name}: true within 1 % after one, two`,
      after.map((n) => percent(n, asked)).join(', ') + ` of ${asked}`,
    );
    row(`strip advice, ${name}: its ±`, advised.text);
  }
}

/** How much must come off so that the counter shows 100 at 100 ft; null where nothing does. */
function neededStrip(laid: Laid): number | null {
  const totalM = laid.lengthsM[0] ?? 0;
  const off = (stripM: number): number => laid.counts(stripM + WALK_M) - laid.counts(stripM) - 100;
  let [low, high] = [0, totalM - 1.2 * WALK_M];
  if (off(low) > 0) return -1;
  if (off(high) < 0) return null;
  for (let round = 0; round < 40; round += 1) {
    const middle = (low + high) / 2;
    if (off(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** One walk of three that was zeroed 2 m late: is it named first? */
function benchLateWalk(rigs: number): void {
  for (const [name, walksM] of [
    ['at one length', [WALK_M, WALK_M, WALK_M]],
    ['at lengths 1 : 1.5 : 2.2', [60, 90, 132].map((feet) => feet * FOOT_M)],
  ] as const) {
    let [named, widened, cleared, asked] = [0, 0, 0, 0];
    for (let seed = 1; seed <= rigs; seed += 1) {
      const wound = woundOutfit(AS_MODELLED, seed * 109 + 17, seed % 3 === 0);
      if (!wound) continue;
      const { outfit, laid, meantM } = wound;
      const walk = seed % 3;
      const noted = note(outfit, laid, { walksM, stopped: true, late: { walk, byM: -2 } });
      const estimate = estimateOf(outfit, noted, meantM, { level: false, log: false });
      asked += 1;
      const [first] = estimate.conflicts;
      if (first?.observation.name === `walk ${walk + 1}`) named += 1;
      if (estimate.widened > 1) widened += 1;
      const honest = note(outfit, laid, { walksM, stopped: true });
      if (estimateOf(outfit, honest, meantM, { level: false, log: false }).conflicts.length === 0) cleared += 1;
    }
    row(
      `one of three walks 2 m late, ${name}: named first`,
      `${percent(named, asked)} of ${asked}, ± widened in ${percent(widened, asked)}`,
    );
    row(`three honest walks, ${name}: none named`, percent(cleared, asked));
  }
}

/** Four loads in a row, each walked and accepted: does the constant's ± still cover it? */
function benchFourLoads(rigs: number): void {
  const tallies = [new Tally(), new Tally(), new Tally(), new Tally()];
  const plans: WhatIsNoted = { walksM: [60 * FOOT_M, WALK_M], stopped: true };
  for (let seed = 1; seed <= rigs; seed += 1) {
    const wound = woundOutfit(AS_MODELLED, seed * 113 + 19, seed % 3 === 0);
    if (!wound) continue;
    const { outfit, meantM } = wound;
    const loads = tallies.map((_, index) =>
      loadToFit(outfit, note(outfit, layLoad(outfit, meantM, seed + 100_000 * (index + 1)), plans), `load ${index}`),
    );
    tallies.forEach((tally, index) => {
      const { fit } = learnGear([reelToFit(outfit)], linesToFit(outfit), loads.slice(0, index + 1));
      const found = fit.reels[0]?.dimensions.find((each) => each.dimension === 'lengthPerTurnM');
      if (found) tally.add(found.value / outfit.truth.lengthPerTurnM - 1, PLUS_MINUS_SDS * found.relativeSd);
    });
  }
  tallies.forEach((tally, index) =>
    row(`constant after ${index + 1} accepted load${index > 0 ? 's' : ''}`, tally.text),
  );
}

/**
 * Every ± against a world that estimators have no part in: reels laid turn by turn, with errors drawn as stated in `world.ts`, as
 * modelled and with one thing otherwise.
 *
 * @param rigs how many in each world
 */
export function benchHonest(rigs: number): void {
  for (const [name, world] of Object.entries(WORLDS)) {
    console.log(` ${name}`);
    benchCounter(world, rigs);
    benchPlans(world, Math.ceil(rigs / 2));
    if (name === 'as modelled' || name.startsWith('tape') || name.startsWith('label')) benchStrip(world, rigs);
  }
  const untaped = { ...AS_MODELLED, tapeShare: 0 };
  console.log(' no shared tape error');
  benchStrip(untaped, rigs);
  console.log(' pieces that disagree');
  benchLateWalk(rigs);
  console.log(' loads in a row');
  benchFourLoads(Math.ceil(rigs / 2));
}
