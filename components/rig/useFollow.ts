'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { isOwnAct } from '@/components/http/onceKey';

/**
 * Keeps a rig's page true: what another device does shows here at once, and a page that comes back to the front, or whose line to
 * the server was lost, asks anew. What was typed and not sent stays.
 */
export function useFollow(boatId: string, rigId: string): void {
  const router = useRouter();
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    let events: EventSource | null = null;
    let newest: string | null = null;
    let wasAway = false;
    const heard = ({ data }: MessageEvent<string>): void => {
      const isNews = newest !== null && data !== newest && !isOwnAct(data);
      newest = data;
      if (isNews) router.refresh();
    };
    const open = (): void => {
      events = new EventSource(`/api/boats/${boatId}/rigs/${rigId}/follow`);
      events.onmessage = heard;
    };
    const onShown = (): void => {
      if (document.visibilityState === 'hidden') {
        events?.close();
        events = null;
        wasAway = true;
      } else if (!events) {
        open();
        if (wasAway) router.refresh();
      }
    };
    if (document.visibilityState !== 'hidden') open();
    document.addEventListener('visibilitychange', onShown);
    return () => {
      document.removeEventListener('visibilitychange', onShown);
      events?.close();
    };
  }, [boatId, rigId, router]);
}
