'use client';

import dynamic from 'next/dynamic';
import { useState, type ReactNode } from 'react';
import { EntryContext, type EntryProps } from '@/components/worth/entry';
import { fetched } from '@/components/ui/fetched';

/** Loaded when a measurement is begun. */
const MeasureEntry = dynamic(() => fetched(() => import('./MeasureEntry')).then(({ MeasureEntry: loaded }) => loaded), {
  ssr: false,
});

const entryOf = (of: EntryProps): ReactNode => <MeasureEntry {...of} />;

/** Gives figures on any station the entries of all stations. */
export function MeasuringEntries({ children }: { children: ReactNode }) {
  // Held, as every value of a context: the build may write the function out here.
  const [entry] = useState(() => entryOf);
  return <EntryContext.Provider value={entry}>{children}</EntryContext.Provider>;
}
