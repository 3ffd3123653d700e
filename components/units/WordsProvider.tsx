'use client';

import type { ReactNode } from 'react';
import { wordsOf } from '@/words';
import { WordsContext } from './useSay';

/** The dictionary for everything below. */
export function WordsProvider({ children }: { children: ReactNode }) {
  return <WordsContext value={wordsOf}>{children}</WordsContext>;
}
