import { learnFromLoads, type BoatEvidence, type BoatLearning } from '../core/rig/load/learnFromLoads';

/** Runs in a worker thread of the server: what a boat's loads teach, from plain data to plain data. */
export default function learn(evidence: BoatEvidence): BoatLearning {
  return learnFromLoads(evidence);
}
