'use client';

import { useCallback, useMemo } from 'react';
import { keepDeviceText, useDeviceText } from '@/components/ui/deviceStore';

const PREFIX = 'draft:';

const write = (key: string, draft: unknown): void =>
  keepDeviceText(PREFIX + key, draft === null ? null : JSON.stringify(draft));

/**
 * Something that a person is typing, kept in the browser until it has been stored: neither a reload
 * nor a lost connection takes it away. Null while nothing was typed.
 *
 * @param key where it is kept
 * @param isValid tells whether what was kept still has the expected shape
 */
export function useDraft<T>(key: string, isValid: (kept: unknown) => kept is T): [T | null, (draft: T | null) => void] {
  const kept = useDeviceText(PREFIX + key);
  const draft = useMemo(() => parse(kept, isValid), [kept, isValid]);
  const set = useCallback((next: T | null) => write(key, next), [key]);
  return [draft, set];
}

/** Keeps a draft of something that is shown only later. */
export const keepForLater = write;

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
