import 'server-only';
import { join } from 'node:path';
import { Piscina } from 'piscina';

declare global {
  var tidyMarlinWorkers: Piscina | undefined;
}

/** Work that takes longer than this (ms) is given up. */
const LONGEST_MS = 12_000;
/** Pieces of work that may wait; one more is refused at once. */
const MOST_WAITING = 200;

/** One thread beside the server: heavy work keeps nobody else waiting. It ends when nothing was asked of it for a while. */
function workers(): Piscina {
  globalThis.tidyMarlinWorkers ??= new Piscina({
    execArgv: ['--import', 'tsx'],
    minThreads: 0,
    maxThreads: 1,
    maxQueue: MOST_WAITING,
    idleTimeout: 60_000,
  });
  return globalThis.tidyMarlinWorkers;
}

/**
 * Runs a piece of work in a worker thread, from plain data to plain data.
 *
 * @param name of its file in workers/
 * @throws what the work throws, or an AbortError when it takes too long
 */
export async function runInWorker<T>(name: 'learn' | 'photo', input: unknown): Promise<T> {
  const filename = join(process.cwd(), 'workers', `${name}.ts`);
  return (await workers().run(input, { filename, signal: AbortSignal.timeout(LONGEST_MS) })) as T;
}

/** Ends the worker thread, so that a process can end. */
export async function closeWorkers(): Promise<void> {
  await globalThis.tidyMarlinWorkers?.destroy();
  globalThis.tidyMarlinWorkers = undefined;
}
