'use client';

import { useState, type ReactNode } from 'react';
import { wordsOf } from '@/words';
import { WordsContext } from './useSay';

/** The dictionary for everything below. */
export function WordsProvider({ children }: { children: ReactNode }) {
  // Held, since the build writes the function out where it is used: a new one at each rendering would render everything below anew.
  const [words] = useState(() => wordsOf);
  return <WordsContext value={words}>{children}</WordsContext>;
}
