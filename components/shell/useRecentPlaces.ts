'use client';

import { useDraft } from '@/components/fields/useDraft';
import type { Place } from './paths';

/** So many of the last places stand first. */
const MOST = 4;

function isPlaces(kept: unknown): kept is readonly Place[] {
  return (
    Array.isArray(kept) &&
    kept.every(
      (each) =>
        typeof each === 'object' &&
        each !== null &&
        typeof each.label === 'string' &&
        typeof each.path === 'string' &&
        each.path.startsWith('/'),
    )
  );
}

/** The places that were last gone to by name on this device, newest first, and a way to add one. */
export function useRecentPlaces(): readonly [readonly Place[], (place: Place) => void] {
  const [kept, keep] = useDraft<readonly Place[]>('recent-places', isPlaces);
  const recent = kept ?? [];
  const add = ({ label, path }: Place): void =>
    keep([{ label, path }, ...recent.filter((each) => each.path !== path)].slice(0, MOST));
  return [recent, add];
}
