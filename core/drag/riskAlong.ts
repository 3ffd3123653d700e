import { requirePositive } from '../result';
import {
  breakChance,
  deviateAt,
  drawStrength,
  meanOverLength,
  type Scatter,
  type Chance,
  type StrengthDraw,
  type StrengthLaw,
} from '../strength/strengthDraws';
import type { PlaceAtRisk, PullAtRisk, PullStation, RiskAtLength } from './risk';
import { readBetween, stationsToWorkOut } from './riskStations';

const DRAWS = 400;
/** Share of draws left out at either end of a range. */
const TAIL = 0.05;

/** A place in one draw: what it holds, worked out once for all pulls. */
interface PlaceDrawn {
  /** Mean strength of all of it (N). */
  readonly meanN: number;
  readonly scatter: Scatter;
  /** Under this tension it breaks in fewer than one of ten million, by either law (N): most places of most draws need no other look. */
  readonly neverN: number;
  /** Of plain line, what its length does; null for a join. */
  readonly line: { readonly draw: StrengthDraw; readonly gaugeLengthM: number | null } | null;
}

/** Chances at each station: draw by draw that anything breaks there, and of each place over all draws. */
interface Told {
  readonly draws: number;
  readonly byLaw: Readonly<Record<StrengthLaw, Float64Array>>;
  readonly breaks: readonly Float64Array[];
}

/**
 * Chance that anything breaks with a pull to each of some lengths, the drag left alone: the share of posterior draws in which any piece
 * or join between hook and spool has more tension on it than it holds. In each draw one spool has one mean for the whole of its line, a kind of join one
 * factor, the drag one setting; what single pieces scatter is integrated in closed form inside it (Rao–Blackwell), so that a
 * few hundred draws tell a chance in a thousand.
 *
 * @param places from the hook inwards
 * @param chance seeded numbers from 0 to 1
 */
export function riskAlong(
  places: readonly PlaceAtRisk[],
  pull: PullAtRisk,
  chance: Chance,
  draws = DRAWS,
): readonly RiskAtLength[] {
  requirePositive('riskAlong', { draws, places: places.length });
  const chosen = stationsToWorkOut(places, pull.stations);
  const stations = chosen.flatMap((index) => pull.stations[index] ?? []);
  return readBetween(pull.stations, chosen, riskAtStations(places, { ...pull, stations }, chance, draws));
}

function riskAtStations(
  places: readonly PlaceAtRisk[],
  pull: PullAtRisk,
  chance: Chance,
  draws: number,
): readonly RiskAtLength[] {
  const known = new Map(
    places.flatMap(({ lines, keeps }) => [...lines, ...(keeps ? [keeps] : [])]).map((each) => [each.key, each]),
  );
  const normal = (): number => deviateAt(chance());
  const spread = new Map([...known.keys()].map((key) => [key, evenly(draws, chance)]));
  const count = pull.stations.length;
  const told: Told = {
    draws,
    byLaw: { normal: new Float64Array(count * draws), weibull: new Float64Array(count * draws) },
    breaks: places.map(() => new Float64Array(count)),
  };
  for (let index = 0; index < draws; index += 1) {
    const of = new Map(
      [...known].map(([key, each]) => [key, drawStrength(each, chance, spread.get(key)?.[index] ?? 0.5)]),
    );
    const drawn = places.map((place) => placeDrawn(place, of));
    const set = 1 + pull.setRelativeSd * normal();
    const growth = normal();
    const wet = Math.max(1 + pull.waterRelativeSd * normal(), 0);
    const surge = Math.max(1 + pull.surgeRelativeSd * normal(), 0);
    const tipsN = Float64Array.from(
      pull.stations,
      ({ tipN, growthRelativeSd, surgeN }) => tipN * set * Math.max(1 + growthRelativeSd * growth, 0) + surgeN * surge,
    );
    tellDraw(places, pull.stations, { drawn, tipsN, wet }, told, index);
  }
  return pull.stations.map((station, at) => riskAt(places, station.lengthOutM, told, at));
}

/** Shares from 0 to 1, one in each of so many equal parts, in no order (Latin hypercube; McKay and others 1979). */
function evenly(parts: number, chance: Chance): readonly number[] {
  const shares = Array.from({ length: parts }, (_, index) => (index + chance()) / parts);
  for (let index = parts - 1; index > 0; index -= 1) {
    const other = Math.floor(chance() * (index + 1));
    [shares[index], shares[other]] = [shares[other] ?? 0, shares[index] ?? 0];
  }
  return shares;
}

/**
 * What breaks in one draw, at each station: place by place, since what a place holds is the same for all of them but those that it is
 * not wholly out at.
 */
function tellDraw(
  places: readonly PlaceAtRisk[],
  stations: readonly PullStation[],
  draw: { readonly drawn: readonly PlaceDrawn[]; readonly tipsN: Float64Array; readonly wet: number },
  { byLaw: { normal: normals, weibull: weibulls }, breaks, draws }: Told,
  index: number,
): void {
  const lengthsM = Float64Array.from(stations, ({ lengthOutM }) => lengthOutM);
  const watersN = Float64Array.from(stations, ({ waterN }) => waterN);
  places.forEach((place, which) => {
    const drawnPlace = draw.drawn[which] as PlaceDrawn;
    const { neverN, scatter } = drawnPlace;
    const { fromHookM, waterN } = place;
    const { tipsN, wet } = draw;
    const ofPlace = breaks[which] as Float64Array;
    for (let at = 0; at < lengthsM.length; at += 1) {
      const lengthM = lengthsM[at] as number;
      if (which > 0 && fromHookM > lengthM) continue;
      const tensionN = (tipsN[at] as number) + Math.max((watersN[at] as number) - waterN, 0) * wet;
      if (tensionN < neverN) continue;
      const meanN = meanOf(drawnPlace, place, lengthM);
      const normal = breakChance('normal', tensionN, meanN, scatter);
      const weibull = breakChance('weibull', tensionN, meanN, scatter);
      // Of what held so far.
      const row = at * draws + index;
      normals[row] = (normals[row] as number) + (1 - (normals[row] as number)) * normal;
      weibulls[row] = (weibulls[row] as number) + (1 - (weibulls[row] as number)) * weibull;
      ofPlace[at] = (ofPlace[at] as number) + normal + weibull;
    }
  });
}

function riskAt(
  places: readonly PlaceAtRisk[],
  lengthOutM: number,
  { byLaw: of, breaks, draws }: Told,
  at: number,
): RiskAtLength {
  const chancesOf = (law: StrengthLaw): Float64Array => of[law].subarray(at * draws, (at + 1) * draws);
  const chances = { normal: chancesOf('normal'), weibull: chancesOf('weibull') };
  const mean = (each: Float64Array): number => each.reduce((sum, one) => sum + one, 0) / each.length;
  const byLaw = { normal: mean(chances.normal), weibull: mean(chances.weibull) };
  const worse: StrengthLaw = byLaw.weibull > byLaw.normal ? 'weibull' : 'normal';
  const sorted = chances[worse].sort();
  const quantile = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
  const shares = breaks.map((row) => row[at] ?? 0);
  const all = shares.reduce((sum, each) => sum + each, 0);
  const first = shares.reduce((best, each, index) => (each > (shares[best] ?? 0) ? index : best), 0);
  return {
    lengthOutM,
    chance: byLaw[worse],
    byLaw,
    between: [quantile(TAIL), quantile(1 - TAIL)],
    likeliest: { name: places[first]?.name ?? '', share: all > 0 ? (shares[first] ?? 0) / all : 0 },
  };
}

/** Chances under this are nothing, by either law: z of the normal one, and the logarithm of Weibull's. */
const NEVER = { sds: 5.2, ln: -16.1 } as const;

function placeDrawn(place: PlaceAtRisk, of: ReadonlyMap<string, StrengthDraw>): PlaceDrawn {
  const lines = place.lines.flatMap((each, index) => {
    const draw = of.get(each.key);
    return draw ? [{ each, draw, meanN: draw.mean * (place.strands?.[index] ?? 1) }] : [];
  });
  const [first] = lines;
  if (!first) throw new RangeError(`riskAlong: ${place.name} has no line`);
  const weaker = lines.reduce((a, b) => (b.meanN < a.meanN ? b : a), first);
  const keeps = place.keeps && of.get(place.keeps.key);
  if (keeps) return withNever({ meanN: keeps.mean * weaker.meanN, scatter: keeps.scatter, line: null });
  const line = { draw: weaker.draw, gaugeLengthM: weaker.each.gaugeLengthM };
  const meanN = meanOfLine(line, place.toHookM - place.fromHookM);
  return withNever({ meanN, scatter: weaker.draw.scatter, line });
}

function withNever(drawn: Omit<PlaceDrawn, 'neverN'>): PlaceDrawn {
  const { cv, shape, lnMean } = drawn.scatter;
  const least = Math.min(1 - NEVER.sds * cv, Math.exp(NEVER.ln / shape - lnMean));
  return { ...drawn, neverN: Math.max(drawn.meanN * least, 0) };
}

/** What a place holds with a length out: of plain line only what is out of it counts, the less the stronger. */
function meanOf(drawn: PlaceDrawn, { fromHookM, toHookM }: PlaceAtRisk, lengthOutM: number): number {
  return drawn.line && lengthOutM < toHookM ? meanOfLine(drawn.line, lengthOutM - fromHookM) : drawn.meanN;
}

function meanOfLine({ draw, gaugeLengthM }: NonNullable<PlaceDrawn['line']>, lengthM: number): number {
  const gaugeM = gaugeLengthM ?? lengthM;
  return lengthM > 0 && gaugeM > 0 ? meanOverLength(draw, lengthM, gaugeM) : draw.mean;
}
