'use client';

import { useSyncExternalStore } from 'react';

const never = (): (() => void) => () => undefined;

/** False in the page as the server sent it, true once it answers to the person: a click before that would be lost. */
export function useReady(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
}
