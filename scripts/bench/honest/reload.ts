import { reloadAtFit } from '../../../core/calibration/reloadAtFit';
import { countsAt, type RealisedLoad } from '../../../core/calibration/observations';
import { buildLoadedLine } from '../../../core/spool/loadedLine';
import { row } from '../report';
import { estimateOf, note } from './observed';
import { percent, Tally } from './tally';
import { FOOT_M, layLoad, type World } from './world';
import { WALKS_M, woundOutfit } from './wound';

const RANGE = { fromM: 60 * FOOT_M, toM: 250 * FOOT_M };
const STATIONS_M = Array.from({ length: 9 }, (_, at) => RANGE.fromM + ((RANGE.toM - RANGE.fromM) * at) / 8);
/** A small change of the length that is asked for, by which an error of the counter becomes one of the length. */
const STEP = 0.02;

const meanError = (countsOf: (lengthM: number) => number): number =>
  STATIONS_M.reduce((sum, lengthM) => sum + (countsOf(lengthM) * FOOT_M) / lengthM - 1, 0) / STATIONS_M.length;

/** The innermost line wound anew to the length that is advised: how true is the counter then, and does the length's ± cover it? */
export function benchReload(world: World, rigs: number): void {
  const length = new Tally();
  const errors: number[] = [];
  for (let seed = 1; seed <= rigs; seed += 1) {
    const wound = woundOutfit(world, seed * 131 + 29, seed % 3 === 0);
    if (!wound || wound.laid.lengthsM.reduce((sum, each) => sum + each, 0) < RANGE.toM / 0.95) continue;
    const { outfit, laid, meantM } = wound;
    const noted = note(outfit, laid, { walksM: WALKS_M.slice(0, 2), stopped: true });
    const estimate = estimateOf(outfit, noted, meantM, { level: true, log: true });
    const advice = reloadAtFit(estimate, outfit.lines[0]?.id ?? '', RANGE);
    if (!advice.ok) continue;
    const { lengthM, after } = advice.value;
    const next = layLoad(outfit, laid.lengthsM.with(0, lengthM.value), seed + 900_000);
    const left = meanError((stationM) => next.counts(stationM));
    const changed = withInnermost(after, lengthM.value * (1 + STEP));
    const slope = (meanError(of(changed)) - meanError(of(after))) / (STEP * lengthM.value);
    length.add(left / slope, lengthM.plusMinus);
    errors.push(left);
  }
  row('reload: the length that makes the counter true', length.text);
  row(
    '  counter within 1 % over the range afterwards',
    percent(errors.filter((each) => Math.abs(each) <= 0.01).length, errors.length) + ` of ${errors.length}`,
  );
}

const of = (load: RealisedLoad) => (lengthM: number) => countsAt(load, lengthM, FOOT_M);

function withInnermost(load: RealisedLoad, lengthM: number): RealisedLoad {
  const segments = load.line.segments.map((each, index) => (index === 0 ? { ...each, lengthM } : each));
  return { ...load, line: buildLoadedLine(load.line.spool, segments) };
}
