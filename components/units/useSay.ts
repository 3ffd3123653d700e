'use client';

import { createContext, use, useCallback } from 'react';
import type { Reason } from '@/core/reasons';
import type { Formatter } from '@/words/format';
import { useUnits } from './UnitsProvider';

/** How reasons are worded; given by WordsProvider, so that a page loads the dictionary once. */
export const WordsContext = createContext<((reason: Reason, format: Formatter) => string) | null>(null);

/** Says reasons of the core or of the server in the units that are chosen. */
export function useSay(): (reason: Reason) => string {
  const say = useSayIfGiven();
  if (!say) throw new Error('useSay: there is no WordsProvider above');
  return say;
}

/** The same; null on a page that has nothing to say and loads no dictionary. */
export function useSayIfGiven(): ((reason: Reason) => string) | null {
  const words = use(WordsContext);
  const { format } = useUnits();
  const say = useCallback((reason: Reason) => words?.(reason, format) ?? '', [words, format]);
  return words && say;
}
