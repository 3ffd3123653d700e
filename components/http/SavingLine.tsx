'use client';

import { useEffect, useState } from 'react';
import { useSending } from './onTheWay';

/** How long the line stays after what was sent was carried out (ms). */
const STAYS = 900;

/**
 * A line along the top edge from the press on: broken while it is saved, whole for a moment once it is. What was not carried out has no whole
 * line: it is said in words.
 */
export function SavingLine() {
  const sending = useSending();
  const [seen, setSeen] = useState(sending);
  const [stays, setStays] = useState(false);
  if (seen !== sending) {
    setSeen(sending);
    setStays(sending === 'done');
  }
  useEffect(() => {
    if (!stays) return;
    const timer = setTimeout(() => setStays(false), STAYS);
    return () => clearTimeout(timer);
  }, [stays]);
  return (
    <div aria-live="polite" className="no-print pointer-events-none fixed inset-x-0 top-0 z-50">
      {sending === 'on its way' ? (
        <>
          <span className="saving-line block h-1" />
          <span className="sr-only">Saving …</span>
        </>
      ) : (
        stays && <span data-testid="saved" className="block h-1 bg-go" />
      )}
    </div>
  );
}
