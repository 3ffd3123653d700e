import type { ForceSample } from '../../core/force/forceSample';
import type { ForceTrace } from '../../core/force/forceTrace';
import { writeBreak, writeGaugeHead, writeGaugeLine, type BreakPlace } from '../gaugeLine';
import type { ForceInstrument } from '../instrument';
import { normalDeviate, seededRandom } from '../random';

const SAMPLES_PER_S = 100;
const NOISE_N = 0.05;
/** Rest before the pull, in which the gauge is tared, and after the break (s). */
const REST_S = 1.2;
const AFTER_S = 0.4;
const PULL_S = 4;
/** What the gauge shows unloaded drifts about so much (N). */
const DRIFT_N = 0.8;
/** Share of pulls in which the line slips once in a grip, and how deep the force falls then. */
const SLIP_CHANCE = 0.15;
const SLIP_DEPTH = 0.14;
const SLIP_S = 0.12;

/** A line as it really breaks. */
export interface LineTruth {
  readonly meanStrengthN: number;
  readonly cv: number;
  /** Stretch at break, as a share of the length. */
  readonly stretchAtBreak: number;
}

/**
 * A force gauge with a piece of line between its grips, pulled steadily until it breaks. It streams force and stretch a
 * hundred times a second: it drifts before it is tared, is noisy, and now and then the line slips in a grip.
 */
export class VirtualForceGauge implements ForceInstrument {
  readonly label = { name: 'virtual force gauge', simulated: true };
  /** As the gauge gives it, not tared. */
  readonly trace: ForceTrace;

  constructor(line: LineTruth, seed: number, gaugeLengthM = 0.5) {
    const random = seededRandom(seed);
    const peakN = Math.max(line.meanStrengthN * 0.2, line.meanStrengthN * (1 + line.cv * normalDeviate(random)));
    const offsetN = DRIFT_N * normalDeviate(random);
    const driftNPerS = (DRIFT_N / 20) * normalDeviate(random);
    const slipAtS = random() < SLIP_CHANCE ? REST_S + PULL_S * (0.3 + 0.5 * random()) : Infinity;
    const count = Math.round((REST_S + PULL_S + AFTER_S) * SAMPLES_PER_S);
    const timeS = Float64Array.from({ length: count }, (_, index) => index / SAMPLES_PER_S);
    const forceAt = (atS: number): number => {
      const pulledS = atS - REST_S;
      if (pulledS < 0 || pulledS > PULL_S) return 0;
      // Line stiffens as it stretches, so force grows faster than time.
      const slipping = atS >= slipAtS && atS < slipAtS + SLIP_S ? 1 - SLIP_DEPTH : 1;
      return peakN * (pulledS / PULL_S) ** 1.3 * slipping;
    };
    this.trace = {
      timeS,
      forceN: timeS.map((atS) => offsetN + driftNPerS * atS + forceAt(atS) + NOISE_N * normalDeviate(random)),
      stretchM: timeS.map((atS) => {
        const share = Math.min(1, Math.max(0, (atS - REST_S) / PULL_S));
        return gaugeLengthM * line.stretchAtBreak * share;
      }),
    };
  }

  /** The pull alone, tared at rest. */
  readPull(): readonly ForceSample[] {
    const { timeS, forceN } = this.trace;
    const start = Math.round(REST_S * SAMPLES_PER_S);
    const tareN = forceN.slice(0, start).reduce((sum, each) => sum + each, 0) / start;
    return Array.from(forceN.slice(start), (each, index) => ({
      timeS: (timeS[start + index] ?? 0) - REST_S,
      forceN: Math.max(0, each - tareN),
    }));
  }

  /** What comes over the wire, line by line: see docs/instruments.md. The end says where the piece broke. */
  *lines(breakPlace: BreakPlace): Generator<string> {
    const { timeS, forceN, stretchM } = this.trace;
    yield writeGaugeHead(this.label.name);
    for (let index = 0; index < timeS.length; index += 1) {
      yield writeGaugeLine({ timeS: timeS[index] ?? 0, forceN: forceN[index] ?? 0, stretchM: stretchM?.[index] ?? 0 });
    }
    yield writeBreak(breakPlace);
  }
}
