'use client';

import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { answers, mayBeAway } from './reach';
import { useToastIfGiven } from './Toasts';

/** Ways to other pages, and to a newer state of this one, that never give this page up while the server cannot be reached. */
export interface Go {
  to(path: string): void;
  refresh(): void;
}

/** A page that is asked for in vain would take the place of this one: while the server is away, this one stays and says so. */
export function useGo(): Go {
  const router = useRouter();
  const toast = useToastIfGiven();
  return useMemo(() => {
    const go = async (way: () => void): Promise<void> => {
      if (!mayBeAway() || (await answers())) return way();
      toast?.('The server cannot be reached, so this page stays. Press it again when it is back.', 'problem');
    };
    return { to: (path) => void go(() => router.push(path)), refresh: () => void go(() => router.refresh()) };
  }, [router, toast]);
}
