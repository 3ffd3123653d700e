'use client';

import { useSyncExternalStore } from 'react';

let count = 0;
const listeners = new Set<() => void>();

function change(by: number): void {
  count += by;
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Says that a request has left. @returns to be called once, when it is over */
export function onTheWay(): () => void {
  change(1);
  return () => change(-1);
}

/** True while any request of this page is on its way. */
export const useIsSaving = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => count > 0,
    () => false,
  );
