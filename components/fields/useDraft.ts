'use client';

import { useCallback, useEffect, useState } from 'react';

const PREFIX = 'draft:';

function read(key: string): string | null {
  try {
    return window.localStorage.getItem(PREFIX + key);
  } catch {
    // A browser that forbids storage loses only the draft's survival over a reload.
    return null;
  }
}

function write(key: string, text: string | null): void {
  try {
    if (text === null) window.localStorage.removeItem(PREFIX + key);
    else window.localStorage.setItem(PREFIX + key, text);
  } catch {
    // As above.
  }
}

/**
 * Something that a person is typing, kept in the browser until it has been stored: neither a reload
 * nor a lost connection takes it away. Null while nothing was typed.
 *
 * @param key where it is kept
 * @param isValid tells whether what was kept still has the expected shape
 */
export function useDraft<T>(
  key: string,
  isValid: (kept: unknown) => kept is T,
): [T | null, (draft: T | null) => void] {
  const [draft, setDraft] = useState<T | null>(null);
  useEffect(() => {
    const kept = read(key);
    if (kept === null) return setDraft(null);
    try {
      const value: unknown = JSON.parse(kept);
      setDraft(isValid(value) ? value : null);
    } catch {
      setDraft(null);
    }
  }, [key, isValid]);
  const set = useCallback(
    (next: T | null) => {
      setDraft(next);
      write(key, next === null ? null : JSON.stringify(next));
    },
    [key],
  );
  return [draft, set];
}

export const isText = (kept: unknown): kept is string => typeof kept === 'string';
