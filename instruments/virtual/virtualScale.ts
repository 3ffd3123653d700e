import type { ForceSample } from '../../core/force/forceSample';
import type { ForceInstrument } from '../instrument';
import { normalDeviate, seededRandom } from '../random';

const SAMPLES_PER_S = 40;
const NOISE_N = 0.05;

/** A drag as it really is on the simulated reel. */
export interface DragTruth {
  /** Torque of one click of the star or knob (N·m). */
  readonly torquePerClickNm: number;
  readonly breakawayRatio: number;
  /** Coefficient of friction of the line in this rod's guides. */
  readonly guideFriction: number;
}

/** The lever's place at which a lever drag is as it was set. */
export const STRIKE = 0.5;

/** What a lever makes of its drag over its sweep: nothing with the lever back, one at strike, a third more forward. */
export function leverShare(position: number): number {
  return (1 - Math.exp(-2.2 * position)) / (1 - Math.exp(-2.2 * STRIKE));
}

/** The moving pull that a drag really holds at the tip (N), as far as it can be said of it: single pulls scatter about it. */
export function virtualHold(drag: DragTruth, clicks: number, diameterM: number, rodAngleRad: number): number {
  return ((drag.torquePerClickNm * clicks) / (diameterM / 2)) * Math.exp(drag.guideFriction * rodAngleRad);
}

/** A scale hooked to the line of a virtual reel: force jumps to breakaway, then moves with ripple. */
export class VirtualScale implements ForceInstrument {
  readonly label = { name: 'virtual scale', simulated: true };
  private readonly samples: readonly ForceSample[];

  /**
   * @param drag the hidden drag
   * @param clicks how far it is turned in
   * @param diameterM wound diameter now (m)
   * @param rodAngleRad bend of the line through the guides (rad); 0 for a pull straight off the reel
   * @param seed chance of this pull
   */
  constructor(drag: DragTruth, clicks: number, diameterM: number, rodAngleRad: number, seed: number) {
    const random = seededRandom(seed);
    const movingN = virtualHold(drag, clicks, diameterM, rodAngleRad) * (1 + 0.012 * normalDeviate(random));
    const breakawayN = movingN * drag.breakawayRatio * (1 + 0.03 * normalDeviate(random));
    this.samples = Array.from({ length: 3 * SAMPLES_PER_S }, (_, index) => {
      const timeS = index / SAMPLES_PER_S;
      const ripple = 1 + 0.015 * Math.sin(2 * Math.PI * 1.7 * timeS);
      const force =
        timeS < 0.5
          ? (timeS / 0.5) * breakawayN
          : movingN * ripple + (breakawayN - movingN) * Math.exp(-(timeS - 0.5) / 0.12);
      return { timeS, forceN: Math.max(0, force + NOISE_N * normalDeviate(random)) };
    });
  }

  readPull(): readonly ForceSample[] {
    return this.samples;
  }
}
