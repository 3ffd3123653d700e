import { leverBracket } from '../../core/drag/planer/planerBracket';
import { PLANER_SPEED_MS, type Creep, type LeverLook } from '../../core/drag/planer/planerLooks';
import { normalDeviate, seededRandom } from '../../instruments/random';
import { percentile, row } from './report';

/** Looks that are taken on one trip. */
const LOOKS_PER_OUTING = 8;

/**
 * Where the lever stops a planer's creep, by feel alone: how often the 90 % range holds the true place, and how wide it is. The truth shares no
 * code with the bracket: a drag that holds F0 + (1 − F0)·l^a, every trip with a day of its own, a hard sea, slips of the pen, and a person who
 * tightens when it creeps and eases when it does not.
 */
export function benchPlaner(runs: number, looks: number): void {
  let held = 0;
  let flagged = 0;
  const widths: number[] = [];
  for (let seed = 1; seed <= runs; seed += 1) {
    const random = seededRandom(seed * 7919 + 13 + looks);
    const stops = 0.5 * Math.exp(0.6 * normalDeviate(random));
    const { conflicts, stops: range } = leverBracket(towed(stops, looks, random));
    if (range.low <= stops && stops <= range.high) held += 1;
    if (conflicts.length > 0) flagged += 1;
    widths.push(range.high / range.low);
  }
  row(`${looks} looks: its 90 % range holds the true place`, `${((100 * held) / runs).toFixed(1)} % of ${runs}`);
  row(`${looks} looks: width of the range, median`, `factor ${percentile(widths, 0.5).toFixed(2)}`);
  row(`${looks} looks: some look named as not fitting`, `${((100 * flagged) / runs).toFixed(1)} %`);
}

function towed(stops: number, looks: number, random: () => number): LeverLook[] {
  const slope = 1.5 * Math.exp(Math.log(1.42) * normalDeviate(random));
  const start = 0.08 * random();
  const holds = (position: number): number => start + (1 - start) * position ** slope;
  const hardSea = 0.25 + 0.25 * normalDeviate(random);
  let [position, day] = [0.5, 0];
  return Array.from({ length: looks }, (_, index): LeverLook => {
    if (index % LOOKS_PER_OUTING === 0) day = 0.1 * normalDeviate(random);
    const speedMS = PLANER_SPEED_MS * (0.88 + 0.24 * random());
    const isHard = random() < 0.3;
    const pull = holds(stops) * (speedMS / PLANER_SPEED_MS) ** 2 * Math.exp(day + (isHard ? hardSea : 0));
    const over = Math.log(holds(position) / pull) + 0.12 * normalDeviate(random);
    let creep: Creep = over > 0 ? 'none' : over < -0.15 ? 'much' : 'some';
    if (random() < 0.02) creep = (['none', 'some', 'much'] as const)[Math.floor(3 * random())] ?? creep;
    const look: LeverLook = {
      ...{ speedMS, position, creep, isSet: true, water: isHard ? 'hard' : 'ordinary' },
      outing: `trip ${Math.floor(index / LOOKS_PER_OUTING)}`,
    };
    const step = Math.exp(0.2 * (0.5 + random()));
    const next = creep === 'none' ? position / step : creep === 'much' ? position * step : position * Math.sqrt(step);
    position = Math.round(100 * Math.min(1, Math.max(0.06, next))) / 100;
    return look;
  });
}
