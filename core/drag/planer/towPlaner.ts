import { pullAtSpeed } from './planerBracket';
import type { Creep } from './planerLooks';

/** A planer towed for a while, to be simulated. */
export interface Tow {
  /** Pull at 6 kn through the water (N): of this planer, or a guess for its size. */
  readonly pullAt6KnN: number;
  readonly speedMS: number;
  /** Amplitude of the waves' own speed on the boat and planer (m/s), and their period as met (s). */
  readonly waveSpeedMS: number;
  readonly wavePeriodS: number;
  /** What the drag holds at the tip (N). */
  readonly holdsN: number;
}

export interface TowSample {
  readonly timeS: number;
  readonly tensionN: number;
  /** Line that has crept out since the start (m). */
  readonly creptM: number;
}

export interface TowResult {
  readonly samples: readonly TowSample[];
  readonly creptM: number;
  readonly creep: Creep;
  /** Highest tension (N), and share of the time in which line slipped. */
  readonly peakN: number;
  readonly slipping: number;
}

export const TOW_S = 600;
const STEP_S = 0.25;
const SAMPLE_EVERY = 4;
/** Line crept in ten minutes that a person calls none, or some (m; from memory). */
const NONE_M = 1;
const SOME_M = 30;
/** How unevenly waves come: share by which single ones differ. */
const WAVE_SPREAD = 0.35;

/**
 * Ten minutes of a planer in tow. Its pull goes with the square of its speed through the water, which waves raise and
 * lower; while the pull is above what the drag holds, line slips at just the rate that lets the planer fall behind to the
 * speed at which it pulls no more than that.
 *
 * @param tow what is towed, how fast, in which sea, against which drag
 * @param chance numbers from 0 to 1, seeded by the caller
 */
export function towPlaner(tow: Tow, chance: () => number): TowResult {
  const samples: TowSample[] = [];
  let [creptM, peakN, slips, phase, size] = [0, 0, 0, 0, 1];
  const steps = Math.round(TOW_S / STEP_S);
  for (let index = 0; index <= steps; index += 1) {
    const before = phase;
    phase += (2 * Math.PI * STEP_S) / tow.wavePeriodS;
    if (Math.floor(phase / (2 * Math.PI)) > Math.floor(before / (2 * Math.PI))) {
      size = Math.max(0.1, 1 + WAVE_SPREAD * 2 * (chance() + chance() - 1));
    }
    const speedMS = Math.max(0.2, tow.speedMS + tow.waveSpeedMS * size * Math.sin(phase));
    const pullN = pullAtSpeed(tow.pullAt6KnN, speedMS);
    const slipping = pullN > tow.holdsN;
    const tensionN = slipping ? tow.holdsN : pullN;
    if (slipping) {
      creptM += speedMS * (1 - Math.sqrt(tow.holdsN / pullN)) * STEP_S;
      slips += 1;
    }
    peakN = Math.max(peakN, tensionN);
    if (index % SAMPLE_EVERY === 0) samples.push({ timeS: index * STEP_S, tensionN, creptM });
  }
  const creep = creptM < NONE_M ? 'none' : creptM < SOME_M ? 'some' : 'much';
  return { samples, creptM, creep, peakN, slipping: slips / (steps + 1) };
}
