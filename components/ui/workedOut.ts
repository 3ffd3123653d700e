'use client';

import { wrap, type Remote } from 'comlink';
import { useCallback, useState } from 'react';
import { fetched } from './fetched';

/** Work that is done beside the page. */
export interface Working<R> {
  readonly found: Promise<R>;
  /** Ends it; nothing more is heard of it. */
  stop(): void;
}

/** A worker whose first script did not come says nothing; one that lacks another names the act that asks for it. */
const unreached = (event: ErrorEvent): boolean => !event.message || /importScripts/.test(event.message);

/** Starts a worker, and waits until it hears; an error of the kind that `fetched` tries again where a script did not come. */
function started<W>(thread: Worker): Promise<Remote<W>> {
  return new Promise((resolve, reject) => {
    thread.onerror = (event) => {
      thread.terminate();
      const error = new Error(event.message || 'The script of a worker did not come.');
      reject(unreached(event) ? Object.assign(error, { name: 'ChunkLoadError' }) : error);
    };
    const worker = wrap<W>(thread);
    // Whatever is asked for is answered once it runs, and be it that there is no such thing.
    void Promise.resolve((worker as { readonly there?: unknown }).there).then(() => resolve(worker));
  });
}

/**
 * Has something worked out by a worker, which ends with it. Where its script does not come it is asked for again until it does
 * (see `fetched`); what else goes wrong in it is thrown on, and not waited for.
 */
export function workedOut<W, R>(make: () => Worker, work: (worker: Remote<W>) => Promise<R>): Working<R> {
  let thread: Worker | null = null;
  let isWanted = true;
  const found = new Promise<R>((resolve, reject) => {
    const fail = (error: unknown): void => {
      thread?.terminate();
      if (isWanted) reject(error as Error);
    };
    const start = (): Promise<Remote<W>> => {
      if (!isWanted) return Promise.reject(new Error('Nobody waits for it any longer.'));
      thread = make();
      return started<W>(thread);
    };
    fetched(start)
      .then((worker) => {
        if (thread) thread.onerror = ({ message }) => fail(new Error(message));
        return work(worker);
      })
      .then((result) => {
        thread?.terminate();
        if (isWanted) resolve(result);
      })
      .catch(fail);
  });
  return {
    found,
    stop() {
      isWanted = false;
      if (!thread) return;
      // One that is ended while its script comes says that it did not come.
      thread.onerror = null;
      thread.terminate();
    },
  };
}

/** What a worker failed with is thrown into the part of the page that asked, which says so in its place. */
export function useThrow(): (error: unknown) => void {
  const [, setState] = useState(null);
  return useCallback((error: unknown) => {
    setState(() => {
      throw error instanceof Error ? error : new Error('A worker failed.');
    });
  }, []);
}
