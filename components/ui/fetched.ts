'use client';

import { useSyncExternalStore } from 'react';
import { answers } from './reach';

/** Why a part of the page has not come: the server cannot be reached, or it has another build than the one this page is of. */
export type Missing = 'away' | 'older';

/** Waits between two tries (ms). */
const WAITS_MS = { first: 1000, longest: 8000 } as const;

const missing = new Map<symbol, Missing>();
const listeners = new Set<() => void>();

function tell(part: symbol, why: Missing | null): void {
  if (why) missing.set(part, why);
  else missing.delete(part);
  for (const listener of listeners) listener();
}

/** What keeps parts of this page from coming now; null while nothing does. */
export function useMissing(): Missing | null {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => {
      const whys = [...missing.values()];
      return whys.includes('older') ? 'older' : (whys[0] ?? null);
    },
    () => null,
  );
}

const isLost = (error: unknown): boolean => error instanceof Error && error.name === 'ChunkLoadError';

/**
 * Loads a part of the page that was left until it is wanted. Where it does not come it is tried again until it does, so that
 * what was opened while the server was away fills when it is back; `useMissing` tells meanwhile.
 *
 * @param load asks the bundler for the part; whatever else it fails with is thrown on
 * @param isSpare something else stands in for it, so that nothing need be said of it
 */
export async function fetched<T>(load: () => Promise<T>, isSpare = false): Promise<T> {
  const part = Symbol('part');
  try {
    let tries = 0;
    for (let waitMs: number = WAITS_MS.first; ; waitMs = Math.min(2 * waitMs, WAITS_MS.longest)) {
      try {
        return await load();
      } catch (error) {
        if (!isLost(error)) throw error;
        tries += 1;
        const isThere = await answers();
        // A server that answers may have been away a moment before: once is no sign of another build.
        if (!isSpare && (!isThere || tries > 1)) tell(part, isThere ? 'older' : 'away');
      }
      await new Promise((resume) => setTimeout(resume, waitMs));
    }
  } finally {
    tell(part, null);
  }
}
