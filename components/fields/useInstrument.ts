'use client';

import { isText, useDraft } from './useDraft';

const BY_EYE = 'read by eye';

/**
 * What a reading that is not stored yet was read with: by eye, until an instrument says otherwise. Kept over a reload, as the
 * reading itself is.
 *
 * @param draftKey of the reading
 */
export function useInstrument(draftKey: string): {
  readonly instrument: string;
  readBy(name: string): void;
  byEye(): void;
} {
  const [kept, keep] = useDraft(`${draftKey}:instrument`, isText);
  return { instrument: kept ?? BY_EYE, readBy: keep, byEye: () => keep(null) };
}
