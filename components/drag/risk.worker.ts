import { expose } from 'comlink';
import { riskAlong } from '@/core/drag/riskAlong';
import type { PlaceAtRisk, PullAtRisk, RiskAtLength } from '@/core/drag/risk';
import { seededRandom } from '@/instruments/random';

/** The same question has the same answer: chance begins at the same place each time. */
const SEED = 20;

/** Chances with the steady pull, and with a jerk; null where that is not known. */
export interface Risks {
  readonly steady: readonly RiskAtLength[];
  readonly jerked: readonly RiskAtLength[] | null;
}

const worker = {
  risk: (places: readonly PlaceAtRisk[], pull: PullAtRisk, jerked: PullAtRisk | null): Risks => ({
    steady: riskAlong(places, pull, seededRandom(SEED)),
    jerked: jerked && riskAlong(places, jerked, seededRandom(SEED)),
  }),
};

export type RiskWorker = typeof worker;

expose(worker);
