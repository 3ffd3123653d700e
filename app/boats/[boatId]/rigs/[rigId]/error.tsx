'use client';

import { Snapped } from '@/components/ui/CardBoundary';

/** In the place of a station: the line and the other stations stand. */
export default function StationError({ reset }: { reset: () => void }) {
  return <Snapped title="This station" onAgain={reset} />;
}
