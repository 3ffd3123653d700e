import normalCdf from '@stdlib/stats-base-dists-normal-cdf';
import { DAY_SD, GUST, HAND_FELT, LOOK_SD, SLIPS, type Creep, type HandPull } from './planerLooks';

/** A look in logarithms: of the place of the lever (or of newtons), and of what the speed adds to the pull. */
export interface LookInLogs {
  readonly lnPlace: number;
  readonly speedLog: number;
  readonly isHard: boolean;
  readonly creep: Creep;
  /** Number of its outing. */
  readonly outing: number;
}

export interface HandInLogs {
  readonly lnPlace: number;
  readonly pull: HandPull;
}

/** A mean and an SD. */
export interface Normal {
  readonly mean: number;
  readonly sd: number;
}

/**
 * What is believed before any look: of the logarithm of the place at which creep stops at the reference speed in ordinary water, of
 * the logarithm of how fast the drag's hold grows with the place of the lever (SD 0: newtons, where it is 1), and of what a hard sea adds.
 */
export interface PlanerPrior {
  readonly lnStop: Normal;
  readonly lnSlope: Normal;
  readonly sea: Normal;
}

/** How a drag holds along its lever: start + (1 − start)·place^slope of what it holds at full. */
export interface HoldCurve {
  readonly slope: number;
  readonly start: number;
}

/** The logarithm of the hold at a place, relative to full. */
export function lnHoldAt(lnPlace: number, { slope, start }: HoldCurve): number {
  return start === 0 ? slope * lnPlace : Math.log(start + (1 - start) * Math.exp(slope * lnPlace));
}

/** The place, as its logarithm, that has a hold; far back where even the lever's first touch holds more. */
export function lnPlaceOf(lnHold: number, { slope, start }: HoldCurve): number {
  const above = (Math.exp(lnHold) - start) / (1 - start);
  return above > FAR_BACK ** slope ? Math.log(above) / slope : Math.log(FAR_BACK);
}

/** Nothing is told of places nearer to free than this. */
const FAR_BACK = 0.01;
/**
 * What a lever drag holds at its first touch, as a share of full (from memory: 0 to 8 %). Neighbouring slopes take turns with them: on a grid
 * that fine the start is averaged out without an axis of its own.
 */
const STARTS = [0.013, 0.067, 0.04] as const;

/** One point of the grid. */
export interface PlanerCell extends HoldCurve {
  readonly lnStop: number;
  readonly sea: number;
  readonly weight: number;
}

/** Steps of a grid over three unknowns, each even between two ends. */
interface Axis {
  readonly from: number;
  readonly to: number;
}
type Box = Readonly<Record<AxisName, Axis>>;

/** Nodes of the passes that look for where the weight is, and of the last one. */
const SEARCH = { lnStop: 41, lnSlope: 13, sea: 13 } as const;
const LAST = { lnStop: 91, lnSlope: 25, sea: 25 } as const;
const PASSES = 6;
/** Priors reach so many SDs to either side. */
const SPAN_SDS = 4;
/** Points less likely than the best by this much, on the logarithm, are left out: of the last pass, and of one that may have missed the peak. */
const CUT = { last: 10, search: 30 } as const;
/** A sea that nobody met is its prior: so few even steps over it lose nothing. */
const UNMET_SEA_NODES = 9;
/** Steps of a day's share. */
const DAYS = Array.from({ length: 13 }, (_, index) => {
  const at = (index - 6) / 2;
  return { day: at * DAY_SD, weight: Math.exp(-0.5 * at ** 2) };
});
const DAY_WEIGHT = DAYS.reduce((sum, { weight }) => sum + weight, 0);

/**
 * What looks at a planer leave open, by Bayes on a dense grid: the hold at which creep stops, how fast the hold grows along the lever, and what
 * a hard sea adds. The day's own share is integrated out outing by outing. The grid is drawn in on where the weight is until the last
 * pass has some fifty steps in it: with few nodes and many looks the weight would fall between them.
 *
 * @returns cells whose weights sum to 1
 */
export function planerPosterior(
  looks: readonly LookInLogs[],
  hands: readonly HandInLogs[],
  prior: PlanerPrior,
): readonly PlanerCell[] {
  let box = around(prior);
  for (let pass = 0; pass < PASSES; pass += 1) {
    const next = drawnIn(box, weigh(looks, hands, prior, box, SEARCH), CUT.search);
    const isStill = AXES.every((axis) => width(next[axis]) > 0.8 * width(box[axis]) || width(box[axis]) === 0);
    box = next;
    if (isStill) break;
  }
  box = drawnIn(box, weigh(looks, hands, prior, box, SEARCH), CUT.last);
  return cellsOf(weigh(looks, hands, prior, box, LAST));
}

/** The points of a grid that have any weight to speak of. */
function cellsOf({ nodes, logs }: Weighed): readonly PlanerCell[] {
  const most = highest(logs);
  const weights = logs.map((log) => Math.exp(log - most));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const cells: PlanerCell[] = [];
  const starts = new Map(curvesOf(nodes.lnSlope).map(({ lnSlope, start }) => [lnSlope, start]));
  eachNode(nodes, (lnStop, lnSlope, sea, index) => {
    const weight = (weights[index] ?? 0) / total;
    if (weight <= LEAST_WEIGHT) return;
    cells.push({ lnStop, slope: Math.exp(lnSlope), start: starts.get(lnSlope) ?? 0, sea, weight });
  });
  return cells;
}

const AXES = ['lnStop', 'lnSlope', 'sea'] as const;
type AxisName = (typeof AXES)[number];
const LEAST_WEIGHT = 1e-8;
const width = ({ from, to }: Axis): number => to - from;
const highest = (logs: Float64Array): number => logs.reduce((most, log) => Math.max(most, log), -Infinity);

function around(prior: PlanerPrior): Box {
  const axis = ({ mean, sd }: Normal): Axis => ({ from: mean - SPAN_SDS * sd, to: mean + SPAN_SDS * sd });
  return { lnStop: axis(prior.lnStop), lnSlope: axis(prior.lnSlope), sea: axis(prior.sea) };
}

/** The smallest box that holds every point within a cut of the best, and a step more on either side, within the old one. */
function drawnIn(box: Box, { nodes, logs }: Weighed, cut: number): Box {
  const least = highest(logs) - cut;
  const ends = { lnStop: [Infinity, -Infinity], lnSlope: [Infinity, -Infinity], sea: [Infinity, -Infinity] };
  eachNode(nodes, (lnStop, lnSlope, sea, index) => {
    if ((logs[index] ?? -Infinity) < least) return;
    const point = { lnStop, lnSlope, sea };
    for (const axis of AXES) {
      const [lowest = 0, most = 0] = ends[axis];
      ends[axis] = [Math.min(lowest, point[axis]), Math.max(most, point[axis])];
    }
  });
  const axis = (name: AxisName): Axis => {
    const { from, to } = box[name];
    const step = (to - from) / Math.max(nodes[name].length - 1, 1);
    const [lowest = from, most = to] = ends[name];
    return { from: Math.max(from, lowest - step), to: Math.min(to, most + step) };
  };
  return { lnStop: axis('lnStop'), lnSlope: axis('lnSlope'), sea: axis('sea') };
}

type Nodes = Readonly<Record<AxisName, readonly number[]>>;
interface Weighed {
  readonly nodes: Nodes;
  /** One for each node, in the order of {@link eachNode}. */
  readonly logs: Float64Array;
}

function eachNode(nodes: Nodes, visit: (lnStop: number, lnSlope: number, sea: number, index: number) => void): void {
  let index = 0;
  for (const lnSlope of nodes.lnSlope) {
    for (const lnStop of nodes.lnStop) {
      for (const sea of nodes.sea) {
        visit(lnStop, lnSlope, sea, index);
        index += 1;
      }
    }
  }
}

function nodesOf({ from, to }: Axis, nodes: number): readonly number[] {
  if (to <= from) return [from];
  return Array.from({ length: nodes }, (_, index) => from + ((to - from) * index) / (nodes - 1));
}

/** The logarithm of prior × likelihood at every node of a box. */
function weigh(
  looks: readonly LookInLogs[],
  hands: readonly HandInLogs[],
  prior: PlanerPrior,
  box: Box,
  counts: Readonly<Record<AxisName, number>>,
): Weighed {
  const nodes = {
    lnStop: nodesOf(box.lnStop, counts.lnStop),
    lnSlope: nodesOf(box.lnSlope, counts.lnSlope),
    sea: nodesOf(box.sea, looks.some((look) => look.isHard) ? counts.sea : UNMET_SEA_NODES),
  };
  const logs = new Float64Array(nodes.lnStop.length * nodes.lnSlope.length * nodes.sea.length);
  let index = 0;
  for (const { lnSlope, ...curve } of curvesOf(nodes.lnSlope)) {
    const needs = nodes.lnStop.map((lnStop) => lnHoldAt(lnStop, curve));
    const outings = outingsAt(looks, curve, needs, nodes.sea);
    const [calm, rough] = [outings.filter((outing) => !outing.hard), outings.filter((outing) => outing.hard)];
    for (const [at, lnStop] of nodes.lnStop.entries()) {
      const needed = needs[at] ?? NaN;
      let own = logNormal(lnStop, prior.lnStop) + logNormal(lnSlope, prior.lnSlope);
      for (const hand of hands) own += Math.log(handChance(hand.pull, lnHoldAt(hand.lnPlace, curve) - needed));
      for (const outing of calm) own += withDays(outing, needed, 0);
      for (const sea of nodes.sea) {
        let log = own + logNormal(sea, prior.sea);
        for (const outing of rough) log += withDays(outing, needed, sea);
        logs[index] = log;
        index += 1;
      }
    }
  }
  return { nodes, logs };
}

/** Each slope with its start; one slope alone is that of newtons, which start at nothing. */
const curvesOf = (lnSlopes: readonly number[]) =>
  lnSlopes.map((lnSlope, index) => ({
    lnSlope,
    slope: Math.exp(lnSlope),
    start: lnSlopes.length === 1 ? 0 : (STARTS[index % STARTS.length] ?? 0),
  }));

const logNormal = (value: number, { mean, sd }: Normal): number => (sd > 0 ? -0.5 * ((value - mean) / sd) ** 2 : 0);

/** A function of the hold needed, tabulated in even steps; its highest value is 1, and `log` is what was taken off. */
interface Table {
  readonly from: number;
  readonly values: Float64Array;
  readonly log: number;
}
interface Outing {
  readonly ordinary: Table | null;
  readonly hard: Table | null;
}

const STEP = 0.012;
/** No table falls further than this below its best: enough for anything, and no product of two comes to nothing. */
const FLOOR = -330;

/** Each outing's likelihood as a function of the hold that is needed, along one curve: looks in ordinary and in hard water apart. */
function outingsAt(
  looks: readonly LookInLogs[],
  curve: HoldCurve,
  needs: readonly number[],
  seas: readonly number[],
): readonly Outing[] {
  const days = DAYS.at(-1)?.day ?? 0;
  const [from, to] = [(needs[0] ?? 0) - days, (needs.at(-1) ?? 0) + days];
  const numbers = [...new Set(looks.map((look) => look.outing))];
  return numbers.map((number) => {
    const of = (isHard: boolean): Table | null => {
      const seen = looks.filter((look) => look.outing === number && look.isHard === isHard);
      if (seen.length === 0) return null;
      const [least, most] = isHard ? [seas[0] ?? 0, seas.at(-1) ?? 0] : [0, 0];
      return tabulated(seen, curve, from + least, to + most);
    };
    return { ordinary: of(false), hard: of(true) };
  });
}

function tabulated(looks: readonly LookInLogs[], curve: HoldCurve, from: number, to: number): Table {
  const logs = new Float64Array(Math.ceil((to - from) / STEP) + 2);
  for (const { lnPlace, speedLog, creep } of looks) {
    const hold = lnHoldAt(lnPlace, curve) - speedLog;
    for (let index = 0; index < logs.length; index += 1) {
      logs[index] = (logs[index] ?? 0) + tableAt(LOG_CHANCES, creep, hold - from - index * STEP);
    }
  }
  const log = logs.reduce((most, each) => Math.max(most, each), -Infinity);
  return { from, log, values: logs.map((each) => Math.exp(Math.max(each - log, FLOOR))) };
}

function read({ from, values }: Table, at: number): number {
  const place = (at - from) / STEP;
  const index = Math.min(Math.max(Math.floor(place), 0), values.length - 2);
  const [low, high] = [values[index] ?? 0, values[index + 1] ?? 0];
  return low + (high - low) * Math.min(Math.max(place - index, 0), 1);
}

/** The logarithm of an outing's likelihood with its day integrated out. */
function withDays({ ordinary, hard }: Outing, needed: number, sea: number): number {
  let sum = 0;
  for (const { day, weight } of DAYS) {
    const easy = ordinary ? read(ordinary, needed + day) : 1;
    sum += weight * (hard ? easy * read(hard, needed + day + sea) : easy);
  }
  return Math.log(sum / DAY_WEIGHT) + (ordinary?.log ?? 0) + (hard?.log ?? 0);
}

/** Chance of what was seen where the drag holds e^margin times what stops all creep; without a slip of the eye. */
function creepChance(creep: Creep, margin: number): number {
  const none = normalCdf(margin / LOOK_SD, 0, 1);
  const much = normalCdf((-margin - GUST) / LOOK_SD, 0, 1);
  return { none, much, some: Math.max(1 - none - much, 0) }[creep];
}

/** With slips: any of the three is written down with the same small chance. */
export const withSlips = (chance: number): number => (1 - SLIPS) * chance + SLIPS / 3;

const MARGIN_STEP = 0.004;
const MARGIN_SPAN = 1.6;
type ByCreep = Readonly<Record<Creep, Float64Array>>;

/** A function of the margin for each kind of creep, in even steps. */
function tabledBy(of: (creep: Creep, margin: number) => number): ByCreep {
  const nodes = Math.round((2 * MARGIN_SPAN) / MARGIN_STEP) + 1;
  const each = (creep: Creep) =>
    Float64Array.from({ length: nodes }, (_, index) => of(creep, index * MARGIN_STEP - MARGIN_SPAN));
  return { none: each('none'), some: each('some'), much: each('much') };
}
const CHANCES = tabledBy(creepChance);
const LOG_CHANCES = tabledBy((creep, margin) => Math.log(withSlips(creepChance(creep, margin))));

/** From a table: beyond its ends nothing changes any more. */
function tableAt(tables: ByCreep, creep: Creep, margin: number): number {
  const table = tables[creep];
  const place = (Math.min(Math.max(margin, -MARGIN_SPAN), MARGIN_SPAN) + MARGIN_SPAN) / MARGIN_STEP;
  const index = Math.min(Math.floor(place), table.length - 2);
  const [low, high] = [table[index] ?? 0, table[index + 1] ?? 0];
  return low + (high - low) * (place - index);
}

/** Chance of what was seen at a margin, on any day. */
export function chanceOnAnyDay(creep: Creep, margin: number): number {
  let sum = 0;
  for (const { day, weight } of DAYS) sum += weight * tableAt(CHANCES, creep, margin - day);
  return sum / DAY_WEIGHT;
}

/** Chance of what a hand felt, with slips: it tells the same whatever the sea does later. */
function handChance(pull: HandPull, margin: number): number {
  const freely = normalCdf((-margin - HAND_FELT.reluctant) / HAND_FELT.sd, 0, 1);
  const notAtAll = normalCdf((margin - HAND_FELT.reluctant) / HAND_FELT.sd, 0, 1);
  return withSlips({ freely, 'not at all': notAtAll, reluctantly: Math.max(1 - freely - notAtAll, 0) }[pull]);
}
