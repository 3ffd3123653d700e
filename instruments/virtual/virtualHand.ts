import type { ForceSample } from '../../core/force/forceSample';
import type { ForceInstrument } from '../instrument';
import { normalDeviate, seededRandom } from '../random';

const SAMPLES_PER_S = 40;
const NOISE_N = 0.05;

/**
 * A hand that draws a join up with a scale between: slowly up to what it aims at, then held. A join that has not
 * bedded yet creeps, and the force sinks in small steps.
 */
export class VirtualHand implements ForceInstrument {
  readonly label = { name: 'virtual scale', simulated: true };
  private readonly samples: readonly ForceSample[];

  /**
   * @param aimN what the hand pulls for (N)
   * @param bedsAtN pull from which this join creeps no more (N): hidden from the page
   * @param unsteadiness relative SD of the hand's pull, moment by moment
   * @param seed chance of this pull
   */
  constructor(aimN: number, bedsAtN: number, unsteadiness: number, seed: number) {
    const random = seededRandom(seed);
    const steadyN = aimN * (1 + 0.02 * normalDeviate(random));
    let swayN = 0;
    let creep = 0;
    this.samples = Array.from({ length: 5 * SAMPLES_PER_S }, (_, index) => {
      const timeS = index / SAMPLES_PER_S;
      const rise = Math.min(1, timeS / 2);
      swayN = 0.9 * swayN + 0.44 * unsteadiness * aimN * normalDeviate(random);
      // A slip of the join lets go of some force; the hand takes most of it up again.
      if (rise === 1 && aimN < bedsAtN && random() < 0.08) creep += 0.18 + 0.1 * random();
      creep *= 0.96;
      return {
        timeS,
        forceN: Math.max(0, rise * steadyN * (1 - Math.min(0.6, creep)) + swayN + NOISE_N * normalDeviate(random)),
      };
    });
  }

  readPull(): readonly ForceSample[] {
    return this.samples;
  }
}
