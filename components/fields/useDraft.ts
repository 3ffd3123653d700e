'use client';

import { useCallback, useMemo, useSyncExternalStore } from 'react';

const PREFIX = 'draft:';

/** What is kept when the browser forbids storage: the draft then lives as long as the page. */
const memory = new Map<string, string>();
const listeners = new Set<() => void>();

function read(key: string): string | null {
  try {
    return window.localStorage.getItem(PREFIX + key);
  } catch {
    return memory.get(key) ?? null;
  }
}

function write(key: string, text: string | null): void {
  try {
    if (text === null) window.localStorage.removeItem(PREFIX + key);
    else window.localStorage.setItem(PREFIX + key, text);
  } catch {
    if (text === null) memory.delete(key);
    else memory.set(key, text);
  }
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  // Another window of the same browser may be typing into the same draft.
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}

/**
 * Something that a person is typing, kept in the browser until it has been stored: neither a reload
 * nor a lost connection takes it away. Null while nothing was typed.
 *
 * @param key where it is kept
 * @param isValid tells whether what was kept still has the expected shape
 */
export function useDraft<T>(key: string, isValid: (kept: unknown) => kept is T): [T | null, (draft: T | null) => void] {
  const kept = useSyncExternalStore(
    subscribe,
    () => read(key),
    () => null,
  );
  const draft = useMemo(() => parse(kept, isValid), [kept, isValid]);
  const set = useCallback((next: T | null) => write(key, next === null ? null : JSON.stringify(next)), [key]);
  return [draft, set];
}

/** Keeps a draft of something that is shown only later. */
export const keepForLater = (key: string, draft: unknown): void => write(key, JSON.stringify(draft));

function parse<T>(kept: string | null, isValid: (kept: unknown) => kept is T): T | null {
  if (kept === null) return null;
  try {
    const value: unknown = JSON.parse(kept);
    return isValid(value) ? value : null;
  } catch {
    return null;
  }
}

export const isText = (kept: unknown): kept is string => typeof kept === 'string';
