'use client';

import type { ReactNode } from 'react';
import { useReady } from '@/components/ui/useReady';

/**
 * Every control of a page sleeps until the page answers, so that nothing is pressed or typed that it does not hear. One set around them
 * all says so: hundreds of controls need not be drawn once more for it.
 */
export function Awake({ children }: { children: ReactNode }) {
  const ready = useReady();
  return (
    <fieldset role="none" disabled={!ready} className="contents">
      {children}
    </fieldset>
  );
}
