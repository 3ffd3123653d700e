'use client';

import { useEffect, useState } from 'react';
import { useIsSaving } from './onTheWay';

/** How long the line stays after what was sent is over (ms). */
const STAYS = 900;

/** A line along the top edge from the press on: broken while it is saved, whole for a moment when that is over. A failure is said in words. */
export function SavingLine() {
  const isSaving = useIsSaving();
  const [stays, setStays] = useState(false);
  useEffect(() => {
    if (!isSaving) return;
    return () => setStays(true);
  }, [isSaving]);
  useEffect(() => {
    if (!stays) return;
    const timer = setTimeout(() => setStays(false), STAYS);
    return () => clearTimeout(timer);
  }, [stays]);
  return (
    <div aria-live="polite" className="no-print pointer-events-none fixed inset-x-0 top-0 z-50">
      {isSaving ? (
        <>
          <span className="saving-line block h-1" />
          <span className="sr-only">Saving …</span>
        </>
      ) : (
        stays && <span className="block h-1 bg-go" />
      )}
    </div>
  );
}
