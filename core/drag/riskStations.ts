import type { PlaceAtRisk, PullStation, RiskAtLength } from './risk';

/** Tension may be off the straight line between two stations by this share of it, for those between them to be read off it. */
const STRAIGHT = 5e-4;
/** At most so many stations on; and line that has come out of a place may be so many times as long: a chance is then read within 2 %. */
const MOST_APART = 20;
const MOST_LONGER = 1.5;

/**
 * The stations at which a chance of breaking is to be worked out, where it may be read between them at all others: pulls grow
 * along a straight line there, the same places are out, and little more of the last of them.
 *
 * @param places from the hook inwards
 * @returns places in the row of stations, growing; all of them where lengths do not grow
 */
export function stationsToWorkOut(places: readonly PlaceAtRisk[], stations: readonly PullStation[]): readonly number[] {
  const isGrowing = stations.every(
    ({ lengthOutM }, index) => lengthOutM > (stations[index - 1]?.lengthOutM ?? -Infinity),
  );
  if (!isGrowing) return stations.map((_, index) => index);
  const entries = places.map(({ fromHookM }) => fromHookM);
  const lastEntry = stations.map(({ lengthOutM }) => Math.max(...entries.filter((entryM) => entryM <= lengthOutM), 0));
  const chosen = [0];
  for (let from = 0; from < stations.length - 1;) {
    let to = from + 1;
    while (to + 1 < stations.length && to + 1 - from <= MOST_APART && reads(stations, lastEntry, from, to + 1)) to += 1;
    chosen.push(to);
    from = to;
  }
  return chosen;
}

/** True where all stations between two may be read from these. */
function reads(stations: readonly PullStation[], lastEntry: readonly number[], from: number, to: number): boolean {
  const [a, b] = [stations[from], stations[to]];
  const entryM = lastEntry[from];
  if (!a || !b || entryM === undefined || entryM !== lastEntry[to]) return false;
  if (b.lengthOutM - entryM > MOST_LONGER * (a.lengthOutM - entryM)) return false;
  return stations.slice(from + 1, to).every((each) => {
    const share = (each.lengthOutM - a.lengthOutM) / (b.lengthOutM - a.lengthOutM);
    const isOff = (of: (station: PullStation) => number): boolean =>
      Math.abs(of(each) - (of(a) + share * (of(b) - of(a)))) > STRAIGHT * (each.tipN + each.surgeN + each.waterN);
    return !isOff(({ tipN }) => tipN) && !isOff(({ surgeN }) => surgeN) && !isOff(({ waterN }) => waterN);
  });
}

/** Chances at all stations from those at some of them: the logarithm of a chance is nearly straight between two of them. */
export function readBetween(
  stations: readonly PullStation[],
  chosen: readonly number[],
  risks: readonly RiskAtLength[],
): readonly RiskAtLength[] {
  let next = 0;
  return stations.map(({ lengthOutM }, index) => {
    while ((chosen[next] ?? Infinity) < index) next += 1;
    const [before, after] = [risks[next - 1], risks[next]];
    if (!after) throw new RangeError('readBetween: the last station has no chance');
    if (chosen[next] === index || !before) return after;
    const share = (lengthOutM - before.lengthOutM) / (after.lengthOutM - before.lengthOutM);
    const at = (of: (risk: RiskAtLength) => number): number => between(of(before), of(after), share);
    return {
      lengthOutM,
      chance: at((risk) => risk.chance),
      byLaw: { normal: at((risk) => risk.byLaw.normal), weibull: at((risk) => risk.byLaw.weibull) },
      between: [at((risk) => risk.between[0]), at((risk) => risk.between[1])],
      likeliest: (share < 0.5 ? before : after).likeliest,
    };
  });
}

const between = (a: number, b: number, share: number): number =>
  a > 0 && b > 0 ? a ** (1 - share) * b ** share : a + share * (b - a);
