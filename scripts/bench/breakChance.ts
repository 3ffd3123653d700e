import { riskAlong } from '../../core/drag/riskAlong';
import type { PlaceAtRisk, PullAtRisk } from '../../core/drag/risk';
import { ERRORS } from '../../core/measurement/errors';
import type { StrengthKnown } from '../../core/strength/strengthDraws';
import { normalDeviate, seededRandom, type Random } from '../../instruments/random';
import { row } from './report';

/**
 * Rigs of an independent simulation: every line has its own mean, scatter and spools, every kind of join its own share; a person pulls
 * some pieces of another spool; then the rig is pulled once to its break. Nothing of it is the product's code.
 */
interface World {
  readonly law: 'normal' | 'weibull';
  /** Joins are so much weaker than told, and everything scatters so much more. */
  readonly joinsWeaker: number;
  readonly scatterMore: number;
  /** Nothing is pulled: labels, and a scatter that other lines lend. */
  readonly byLabel: boolean;
  /** Each line has three times the strength of the one before; else the lines of a rig are alike, within a factor of about two. */
  readonly isApart: boolean;
}

const AS_TOLD: World = { law: 'weibull', joinsWeaker: 0, scatterMore: 1, byLabel: false, isApart: false };
const GAUGE_M = 0.5;

/** ln Γ by Stirling's series, to nine digits from 1 up (Abramowitz and Stegun 6.1.41). */
function lnGamma(x: number): number {
  if (x < 9) return lnGamma(x + 1) - Math.log(x);
  return (
    (x - 0.5) * Math.log(x) - x + 0.5 * Math.log(2 * Math.PI) + 1 / (12 * x) - 1 / (360 * x ** 3) + 1 / (1260 * x ** 5)
  );
}

/** Weibull's shape of a scatter, by halving. */
function shapeOf(cv: number): number {
  let [low, high] = [1, 400];
  for (let step = 0; step < 60; step += 1) {
    const shape = (low + high) / 2;
    const squared = Math.exp(lnGamma(1 + 2 / shape) - 2 * lnGamma(1 + 1 / shape)) - 1;
    if (squared > cv ** 2) low = shape;
    else high = shape;
  }
  return (low + high) / 2;
}

/** The strength of one piece. */
function piece(random: Random, law: World['law'], mean: number, cv: number): number {
  if (law === 'normal') return mean * (1 + cv * normalDeviate(random));
  const shape = shapeOf(cv);
  return (mean / Math.exp(lnGamma(1 + 1 / shape))) * (-Math.log(1 - random())) ** (1 / shape);
}

interface TrueLine {
  readonly mean: number;
  readonly cv: number;
  readonly lengthShare: number;
}

function rigOf(world: World, random: Random) {
  const lines = Array.from(
    { length: 1 + Math.floor(3 * random()) },
    (_, index): { is: TrueLine; known: StrengthKnown } => {
      const cv = 0.05 * world.scatterMore * Math.exp(0.3 * normalDeviate(random));
      const lot = (): number => 1 + ERRORS.lotShare.sd * normalDeviate(random);
      const label = (60 + 60 * random()) * (world.isApart ? 3 ** index : 1);
      const of = world.byLabel ? label * (1 + 0.2 * normalDeviate(random)) : label * (1 + 0.3 * random());
      const key = `line ${index}`;
      const belief = { beliefRelativeSd: 0.2, lotRelativeSd: ERRORS.lotShare.sd, gaugeLengthM: GAUGE_M };
      const is = { mean: of * lot(), cv, lengthShare: random() };
      if (world.byLabel) return { is, known: { ...{ key, mean: label, pulls: 0, cv: null, degrees: 0 }, ...belief } };
      const tested = of * lot();
      const told = cv / world.scatterMore;
      const pulls = Array.from({ length: 3 + Math.floor(6 * random()) }, () => piece(random, world.law, tested, told));
      const mean = pulls.reduce((sum, each) => sum + each, 0) / pulls.length;
      const sd = Math.sqrt(pulls.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (pulls.length - 1));
      return {
        is,
        known: { ...{ key, mean, pulls: pulls.length, cv: sd / mean, degrees: pulls.length - 1 }, ...belief },
      };
    },
  );
  const share = 0.8 + 0.08 * normalDeviate(random);
  const joinCv = 0.05 * world.scatterMore * Math.exp(0.3 * normalDeviate(random));
  const keeps: StrengthKnown = {
    ...{ key: 'join', mean: 0.8, beliefRelativeSd: 0.1, pulls: 0, cv: null, degrees: 0 },
    ...{ lotRelativeSd: 0, gaugeLengthM: null },
  };
  const places: PlaceAtRisk[] = [];
  const breaks: number[] = [];
  let fromHookM = 0;
  lines.forEach(({ is, known }, index) => {
    const lengthM = 5 + 60 * random();
    const toHookM = fromHookM + lengthM;
    places.push({ id: known.key, name: known.key, fromHookM, toHookM, waterN: 0, lines: [known], keeps: null });
    const weaker = (GAUGE_M / lengthM) ** (is.lengthShare / shapeOf(is.cv));
    breaks.push(piece(random, world.law, is.mean * weaker, is.cv));
    const next = lines[index + 1];
    if (next) {
      places.push({
        id: `j${index}`,
        name: 'join',
        fromHookM: toHookM,
        toHookM,
        waterN: 0,
        lines: [known, next.known],
        keeps,
      });
      const least = Math.min(is.mean, next.is.mean) * share * (1 - world.joinsWeaker);
      breaks.push(piece(random, world.law, least, joinCv));
    }
    fromHookM = toHookM;
  });
  return { places, breaksAtN: Math.min(...breaks), endM: fromHookM };
}

const pullOf = (tensionN: number, lengthOutM: number): PullAtRisk => ({
  stations: [{ lengthOutM, tipN: tensionN, growthRelativeSd: 0, waterN: 0, surgeN: 0 }],
  ...{ setRelativeSd: 0, waterRelativeSd: 0, surgeRelativeSd: 0 },
});

/** Chances stated for the tension at which rigs broke: uniform where they are right. */
function statedAtBreak(world: World, rigs: number, draws: number) {
  const random = seededRandom(71);
  const chance = seededRandom(72);
  return Array.from({ length: rigs }, () => {
    const { places, breaksAtN, endM } = rigOf(world, random);
    const [risk] = riskAlong(places, pullOf(breaksAtN, endM), chance, draws);
    return { worse: risk?.chance ?? NaN, own: risk?.byLaw[world.law] ?? NaN };
  });
}

/** Nine bands at once hold 99 of 100 such benches (Bonferroni). */
const BAND_SDS = 3.26;

const shareUnder = (values: readonly number[], limit: number): number =>
  values.filter((each) => each <= limit).length / values.length;
const percent = (share: number): string => `${(100 * share).toFixed(2)} %`;

/** Stated chances against breaks, as told and otherwise. */
export function benchBreakChance(rigs: number, draws = 200): void {
  for (const [name, world] of Object.entries({
    'Weibull, as told': AS_TOLD,
    'normal, as told': { ...AS_TOLD, law: 'normal' as const },
    // Of alike lines the one that was pulled weakest is oftener one that was pulled unluckily: nothing tells the product that they are alike.
    'Weibull, lines well apart': { ...AS_TOLD, isApart: true },
    'normal, lines well apart': { ...AS_TOLD, law: 'normal' as const, isApart: true },
    'by label alone': { ...AS_TOLD, byLabel: true },
    'joins 10 % weaker, scatter half as large again': { ...AS_TOLD, joinsWeaker: 0.1, scatterMore: 1.5 },
  })) {
    const stated = statedAtBreak(world, rigs, draws);
    const worse = stated.map((each) => each.worse);
    const own = stated.map((each) => each.own);
    const deciles = Array.from({ length: 9 }, (_, index) => {
      const at = (index + 1) / 10;
      return { at, off: shareUnder(own, at) - at, band: BAND_SDS * Math.sqrt((at * (1 - at)) / rigs) };
    });
    const beyond = ({ off, band }: (typeof deciles)[number]): number => Math.abs(off) / band;
    const worst = deciles.reduce((most, each) => (beyond(each) > beyond(most) ? each : most));
    row(`${name}: stated at most 1 %, 5 %`, `${percent(shareUnder(worse, 0.01))}, ${percent(shareUnder(worse, 0.05))}`);
    row(
      '  by its own law; deciles',
      `${percent(shareUnder(own, 0.01))}, ${percent(shareUnder(own, 0.05))}; the one farthest from its band is ` +
        `${worst.at}: off by ${percent(worst.off)}, band ± ${percent(worst.band)}`,
    );
  }
}
