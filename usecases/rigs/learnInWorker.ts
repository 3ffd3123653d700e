import 'server-only';
import { join } from 'node:path';
import { Piscina } from 'piscina';
import type { BoatEvidence, BoatLearning } from '../../core/rig/load/learnFromLoads';

declare global {
  var tidyMarlinWorkers: Piscina | undefined;
}

/** A fit that takes longer than this (ms) is given up; what was known before stands meanwhile. */
const LONGEST_MS = 30_000;
/** Boats that may wait for a fit; one more is told to come back. */
const MOST_WAITING = 200;

/** One thread beside the server: a fit keeps nobody else waiting. It ends when nothing was asked of it for a while. */
function workers(): Piscina {
  globalThis.tidyMarlinWorkers ??= new Piscina({
    filename: join(process.cwd(), 'workers', 'learn.ts'),
    execArgv: ['--import', 'tsx'],
    minThreads: 0,
    maxThreads: 1,
    maxQueue: MOST_WAITING,
    idleTimeout: 60_000,
  });
  return globalThis.tidyMarlinWorkers;
}

/** Learns from a boat's evidence in a worker thread. */
export async function learnInWorker(evidence: BoatEvidence): Promise<BoatLearning> {
  return (await workers().run(evidence, { signal: AbortSignal.timeout(LONGEST_MS) })) as BoatLearning;
}

/** Ends the worker thread, so that a process can end. */
export async function closeWorkers(): Promise<void> {
  await globalThis.tidyMarlinWorkers?.destroy();
  globalThis.tidyMarlinWorkers = undefined;
}
