import { expose } from 'comlink';
import { riskAlong, type PlaceAtRisk, type PullAtRisk, type RiskAtLength } from '@/core/drag/riskAlong';
import { seededRandom } from '@/instruments/random';

/** The same question has the same answer: chance begins at the same place each time. */
const SEED = 20;

const worker = {
  risk: (places: readonly PlaceAtRisk[], pull: PullAtRisk): readonly RiskAtLength[] =>
    riskAlong(places, pull, seededRandom(SEED)),
};

export type RiskWorker = typeof worker;

expose(worker);
