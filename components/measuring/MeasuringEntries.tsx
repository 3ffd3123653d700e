'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { EntryContext, type EntryProps } from '@/components/worth/entry';

/** Loaded when a measurement is begun. */
const MeasureEntry = dynamic(() => import('./MeasureEntry').then(({ MeasureEntry: loaded }) => loaded), { ssr: false });

const entryOf = (of: EntryProps): ReactNode => <MeasureEntry {...of} />;

/** Gives figures on any station the entries of all stations. */
export function MeasuringEntries({ children }: { children: ReactNode }) {
  return <EntryContext.Provider value={entryOf}>{children}</EntryContext.Provider>;
}
