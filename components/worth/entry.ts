import { createContext, type ReactNode } from 'react';
import type { MeasureOption } from '@/core/worth/measureNext';

export interface EntryProps {
  readonly option: MeasureOption;
  /** How many wraps make the row, where it is one. */
  readonly wraps: number;
  readonly onDone: () => void;
}

/** Where a measurement is typed in. The stations know their entries, and figures stand on the stations: given from above. */
export const EntryContext = createContext<(of: EntryProps) => ReactNode>(() => null);
