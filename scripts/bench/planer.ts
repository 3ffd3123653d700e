import {
  GUST,
  LOOK_SD,
  PLANER_PRIOR,
  PLANER_SPEED_MS,
  planerBracket,
  WATER_SD,
  type CreepObservation,
} from '../../core/drag/planerBracket';
import { normalDeviate, seededRandom } from '../../instruments/random';
import { towVirtualPlaner } from '../../instruments/virtual/virtualPlaner';
import { percentile, row } from './report';

const LOOKS = 8;

/**
 * The bracket of a planer's pull after eight looks by a person who tightens when it creeps and eases when it does not:
 * how often its 90 % range holds the true pull, and how wide it is.
 *
 * @param scatter times the scatter that the model assumes
 * @param untold share by which every water makes it pull more, which the model is not told
 */
export function benchPlaner(runs: number, scatter: number, untold: number): void {
  let held = 0;
  const widths: number[] = [];
  for (let seed = 1; seed <= runs; seed += 1) {
    const random = seededRandom(seed * 71 + 5);
    const truth = {
      pullN: PLANER_PRIOR.medianN * Math.exp(PLANER_PRIOR.sdLog * normalDeviate(random)),
      atSpeedMS: PLANER_SPEED_MS,
      waterBias: {
        ordinary: (1 + untold) * Math.exp(WATER_SD.ordinary * normalDeviate(random)) - 1,
        hard: (1 + untold) * Math.exp(WATER_SD.hard * normalDeviate(random)) - 1,
      },
      gust: GUST,
      scatter: scatter * LOOK_SD,
    };
    const bracket = planerBracket(looks(truth, random));
    if (!bracket.ok) throw new Error(bracket.reason);
    const { lowN, midN, highN } = bracket.value;
    if (truth.pullN >= lowN && truth.pullN <= highN) held += 1;
    widths.push((highN - lowN) / midN);
  }
  row('its 90 % range holds the true pull', `${((100 * held) / runs).toFixed(1)} % of ${runs}`);
  row('width of the range, median, as a share of the pull', `${(100 * percentile(widths, 0.5)).toFixed(0)} %`);
}

function looks(truth: Parameters<typeof towVirtualPlaner>[0], random: () => number): CreepObservation[] {
  const seen: CreepObservation[] = [];
  let holdsN: number = PLANER_PRIOR.medianN;
  let step = 2;
  for (let look = 0; look < LOOKS; look += 1) {
    const speedMS = PLANER_SPEED_MS * (0.88 + 0.24 * random());
    const water = random() < 0.7 ? 'ordinary' : 'hard';
    const creep = towVirtualPlaner(truth, holdsN, speedMS, water, random);
    seen.push({ speedMS, holdsN, water, creep, isSet: true });
    holdsN *= creep === 'none' ? 1 / step : creep === 'much' ? step : Math.sqrt(step);
    // Ever finer steps once it has been too tight and too loose.
    const kinds = new Set(seen.map((each) => each.creep === 'none'));
    if (kinds.size > 1) step = Math.max(1.15, Math.sqrt(step));
  }
  return seen;
}
