'use client';

import { createContext, use, useCallback, useMemo, useState, type ReactNode } from 'react';
import type { UnitChoice } from '@/core/units/units';
import { formatterFor, type Formatter } from '@/words/format';
import { UNIT_COOKIE, unitCookieText } from './unitCookie';

interface Units {
  readonly units: UnitChoice;
  readonly format: Formatter;
  setUnits(change: Partial<UnitChoice>): void;
}

const UnitsContext = createContext<Units | null>(null);

export function UnitsProvider({ initial, children }: { initial: UnitChoice; children: ReactNode }) {
  const [units, setAll] = useState(initial);
  const setUnits = useCallback((change: Partial<UnitChoice>) => {
    setAll((before) => {
      const after = { ...before, ...change };
      document.cookie = `${UNIT_COOKIE}=${unitCookieText(after)}; path=/; max-age=31536000; samesite=lax`;
      return after;
    });
  }, []);
  const value = useMemo(() => ({ units, setUnits, format: formatterFor(units) }), [units, setUnits]);
  return <UnitsContext value={value}>{children}</UnitsContext>;
}

/** The chosen units, a formatter for them, and a way to change them. */
export function useUnits(): Units {
  const units = use(UnitsContext);
  if (!units) throw new Error('useUnits: there is no UnitsProvider above');
  return units;
}
