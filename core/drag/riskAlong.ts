import { requirePositive } from '../result';
import {
  breakChance,
  deviateAt,
  drawStrength,
  meanOverLength,
  type Scatter,
  type Chance,
  type StrengthDraw,
  type StrengthKnown,
  type StrengthLaw,
} from '../strength/strengthDraws';

/** A piece of line, or a structure at one place: a place may hold several, each of its own. */
export interface PlaceAtRisk {
  readonly id: string;
  readonly name: string;
  /** Where it begins and ends, from the hook (m); a join at one place. */
  readonly fromHookM: number;
  readonly toHookM: number;
  /** What the water holds back of the line between the hook and it (N). */
  readonly waterN: number;
  /** The line, or the lines that a join joins. */
  readonly lines: readonly StrengthKnown[];
  /** What the join keeps of the weaker line; null for plain line. */
  readonly keeps: StrengthKnown | null;
}

/** A pull with a length out. */
export interface PullStation {
  readonly lengthOutM: number;
  /** Pull at the tip (N), the growth as line leaves in it, and that growth's relative SD. */
  readonly tipN: number;
  readonly growthRelativeSd: number;
  /** What the water holds back of all line that is out (N). */
  readonly waterN: number;
  /** Added for a moment by a surge at that length (N); 0 for a steady pull. The two are never mixed. */
  readonly surgeN: number;
}

/** A drag left alone as line leaves, and what is not known of it: relative SDs that hold for the whole line in each draw. */
export interface PullAtRisk {
  readonly stations: readonly PullStation[];
  readonly setRelativeSd: number;
  readonly waterRelativeSd: number;
  readonly surgeRelativeSd: number;
}

/** The chance that anything breaks with one pull to a length. */
export interface RiskAtLength {
  readonly lengthOutM: number;
  /** By the less favourable of both laws. */
  readonly chance: number;
  readonly byLaw: Readonly<Record<StrengthLaw, number>>;
  /** The chance if what is not known lies well, and badly: the middle nine tenths of the draws. */
  readonly between: readonly [least: number, most: number];
  /** The place that breaks most often, and its share of all breaks. */
  readonly likeliest: { readonly name: string; readonly share: number };
}

const LAWS: readonly StrengthLaw[] = ['normal', 'weibull'];
const DRAWS = 400;
/** Share of draws left out at either end of a range. */
const TAIL = 0.05;

/** A place in one draw: what it holds, worked out once for all pulls. */
interface PlaceDrawn {
  /** Mean strength of all of it (N), and of a piece as long as those that were pulled. */
  readonly meanN: number;
  readonly scatter: Scatter;
  /** Under this tension it breaks in fewer than one of ten million, by either law (N). */
  readonly neverN: number;
  /** Of plain line, what its length does; null for a join. */
  readonly line: { readonly draw: StrengthDraw; readonly gaugeLengthM: number | null } | null;
}

/** One draw of everything: places in their order, and what the whole drag is off by. */
interface Drawn {
  readonly places: readonly PlaceDrawn[];
  /** Their `neverN`, in a row: most places of most draws need no other look. */
  readonly nevers: Float64Array;
  readonly set: number;
  readonly growth: number;
  readonly water: number;
  readonly surge: number;
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
  const known = new Map(
    places.flatMap(({ lines, keeps }) => [...lines, ...(keeps ? [keeps] : [])]).map((each) => [each.key, each]),
  );
  const normal = (): number => deviateAt(chance());
  const spread = new Map([...known.keys()].map((key) => [key, evenly(draws, chance)]));
  const drawn = Array.from({ length: draws }, (_, index): Drawn => {
    const of = new Map(
      [...known].map(([key, each]) => [key, drawStrength(each, chance, spread.get(key)?.[index] ?? 0.5)]),
    );
    const drawnPlaces = places.map((place) => placeDrawn(place, of));
    return {
      places: drawnPlaces,
      nevers: Float64Array.from(drawnPlaces, ({ neverN }) => neverN),
      set: 1 + pull.setRelativeSd * normal(),
      growth: normal(),
      water: 1 + pull.waterRelativeSd * normal(),
      surge: 1 + pull.surgeRelativeSd * normal(),
    };
  });
  return pull.stations.map((station) => at(places, station, drawn));
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

function at(places: readonly PlaceAtRisk[], station: PullStation, drawn: readonly Drawn[]): RiskAtLength {
  const { lengthOutM, tipN, growthRelativeSd, waterN, surgeN } = station;
  const count = places.findIndex((place, index) => index > 0 && place.fromHookM > lengthOutM);
  const out = count < 0 ? places : places.slice(0, count);
  const waters = Float64Array.from(out, (place) => Math.max(0, waterN - place.waterN));
  const byLaw = { normal: 0, weibull: 0 };
  const chances = { normal: [] as number[], weibull: [] as number[] };
  const breaks = out.map(() => 0);
  for (const draw of drawn) {
    const here = tipN * draw.set * Math.max(1 + growthRelativeSd * draw.growth, 0) + surgeN * Math.max(draw.surge, 0);
    const wet = Math.max(draw.water, 0);
    const holds = { normal: 1, weibull: 1 };
    const { nevers } = draw;
    for (let index = 0; index < waters.length; index += 1) {
      const tensionN = here + (waters[index] ?? 0) * wet;
      if (tensionN < (nevers[index] ?? 0)) continue;
      const place = out[index];
      const drawnPlace = draw.places[index];
      if (!place || !drawnPlace) continue;
      const meanN = meanOf(drawnPlace, place, lengthOutM);
      for (const law of LAWS) {
        const broken = breakChance(law, tensionN, meanN, drawnPlace.scatter);
        holds[law] *= 1 - broken;
        breaks[index] = (breaks[index] ?? 0) + broken;
      }
    }
    for (const law of LAWS) {
      byLaw[law] += (1 - holds[law]) / drawn.length;
      chances[law].push(1 - holds[law]);
    }
  }
  const worse: StrengthLaw = byLaw.weibull > byLaw.normal ? 'weibull' : 'normal';
  const sorted = chances[worse].toSorted((a, b) => a - b);
  const quantile = (share: number): number =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
  const all = breaks.reduce((sum, each) => sum + each, 0);
  const first = breaks.reduce((best, each, index) => (each > (breaks[best] ?? 0) ? index : best), 0);
  return {
    lengthOutM,
    chance: byLaw[worse],
    byLaw,
    between: [quantile(TAIL), quantile(1 - TAIL)],
    likeliest: { name: out[first]?.name ?? '', share: all > 0 ? (breaks[first] ?? 0) / all : 0 },
  };
}

/** Chances under this are nothing, by either law: z of the normal one, and the logarithm of Weibull's. */
const NEVER = { sds: 5.2, ln: -16.1 } as const;

function placeDrawn(place: PlaceAtRisk, of: ReadonlyMap<string, StrengthDraw>): PlaceDrawn {
  const lines = place.lines.flatMap((each) => {
    const draw = of.get(each.key);
    return draw ? [{ each, draw }] : [];
  });
  const [first] = lines;
  if (!first) throw new RangeError(`riskAlong: ${place.name} has no line`);
  const weaker = lines.reduce((a, b) => (b.draw.mean < a.draw.mean ? b : a), first);
  const keeps = place.keeps && of.get(place.keeps.key);
  if (keeps) return withNever({ meanN: keeps.mean * weaker.draw.mean, scatter: keeps.scatter, line: null });
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

/** What a hundred such pulls make of the chance of one. */
export const inAHundred = (chance: number): number => -Math.expm1(100 * Math.log1p(-Math.min(chance, 1)));

/** The chance that is taken for one pull: of a drag in the rod, and of a planer or line in the hand (common practice, no source). */
export const TAKEN = { pull: 0.01, inHand: 0.001 } as const;

/**
 * The last length that may be pulled to with a chance of breaking under what is taken.
 *
 * @param risks at growing lengths
 * @returns null where it is too much from the start
 */
export function lastSafeLength(risks: readonly RiskAtLength[], taken: number): number | null {
  const first = risks.findIndex((risk) => !(risk.chance <= taken));
  return (first < 0 ? risks.at(-1) : risks[first - 1])?.lengthOutM ?? null;
}
