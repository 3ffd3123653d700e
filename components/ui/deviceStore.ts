'use client';

import { useSyncExternalStore } from 'react';

/** What storage would not take, full or forbidden: it holds as long as the page lives. Null: it was forgotten, and storage would not hear of that. */
const untaken = new Map<string, string | null>();
const listeners = new Set<() => void>();

/** A text that this device keeps; null where there is none. */
export function deviceText(key: string): string | null {
  const here = untaken.get(key);
  if (here !== undefined) return here;
  try {
    return window.localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** Keeps a text on this device; null forgets it. Whoever reads it with {@link useDeviceText} hears of it. */
export function keepDeviceText(key: string, text: string | null): void {
  try {
    if (text === null) window.localStorage.removeItem(key);
    else window.localStorage.setItem(key, text);
    untaken.delete(key);
  } catch {
    untaken.set(key, text);
  }
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  // Another window of the same browser may change the same text.
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}

/**
 * A text that this device keeps, as it changes; null on the server and at the first drawing.
 *
 * @param key where it is kept; a function is asked at each reading
 */
export const useDeviceText = (key: string | (() => string)): string | null =>
  useSyncExternalStore(
    subscribe,
    () => deviceText(typeof key === 'string' ? key : key()),
    () => null,
  );
