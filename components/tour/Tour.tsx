'use client';

import dynamic from 'next/dynamic';
import { fetched } from '@/components/ui/fetched';
import { useTour } from './tourStore';

/** Loaded when a tour is taken. */
const TourBar = dynamic(() => fetched(() => import('./TourBar')).then(({ TourBar: loaded }) => loaded), { ssr: false });

/** Shows the way round a rig while somebody takes the tour. */
export function Tour() {
  const tour = useTour();
  return tour && <TourBar {...tour} />;
}
