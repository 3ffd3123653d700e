'use client';

import { useCallback } from 'react';
import type { Reason } from '@/core/reasons';
import { wordsOf } from '@/words';
import { useUnits } from './UnitsProvider';

/** Says reasons of the core or of the server in the units that are chosen. */
export function useSay(): (reason: Reason) => string {
  const { format } = useUnits();
  return useCallback((reason: Reason) => wordsOf(reason, format), [format]);
}
