'use client';

import { isText, useDraft } from './useDraft';

const BY_EYE = 'read by eye';

interface Kept {
  readonly name: string;
  /** What it read, as it then stood in the fields. */
  readonly reading: string;
}

const isKept = (kept: unknown): kept is Kept =>
  typeof kept === 'object' &&
  kept !== null &&
  'name' in kept &&
  isText(kept.name) &&
  'reading' in kept &&
  isText(kept.reading);

/**
 * What a reading that is not stored yet was read with. An instrument's name stays, over a reload too, as long as its very reading
 * stands there; whatever a person types over it is read by eye.
 *
 * @param draftKey of the reading
 * @param reading what stands in the fields now
 */
export function useInstrument<R>(
  draftKey: string,
  reading: R,
): {
  readonly instrument: string;
  readBy(name: string, reading: R): void;
  forget(): void;
} {
  const [kept, keep] = useDraft(`${draftKey}:instrument`, isKept);
  return {
    instrument: kept !== null && kept.reading === JSON.stringify(reading) ? kept.name : BY_EYE,
    readBy: (name, read) => keep({ name, reading: JSON.stringify(read) }),
    forget: () => keep(null),
  };
}
