'use client';

import { useEffect } from 'react';
import { isOwnAct } from '@/components/http/onceKey';
import { heardServer } from '@/components/ui/reach';
import { useGo } from '@/components/ui/useGo';

/** Pages of a whole boat gather what happens for so long (ms) before they ask anew: one of them shows many rigs. */
const GATHER_MS = 1_000;

/**
 * Keeps a page true: what another device does shows here at once, and a page that comes back to the front, or whose line to the
 * server was lost, asks anew. What was typed and not sent stays.
 *
 * @param rigId the rig that the page is about; null: it shows the whole boat
 */
export function useFollow(boatId: string, rigId: string | null): void {
  const go = useGo();
  useEffect(() => {
    if (typeof EventSource === 'undefined') return;
    let events: EventSource | null = null;
    let newest: string | null = null;
    let wasAway = false;
    let later: ReturnType<typeof setTimeout> | undefined;
    const heard = ({ data }: MessageEvent<string>): void => {
      const isNews = newest !== null && data !== newest && !isOwnAct(data);
      newest = data;
      if (!isNews || later !== undefined) return;
      if (rigId !== null) return go.refresh();
      later = setTimeout(() => {
        later = undefined;
        go.refresh();
      }, GATHER_MS);
    };
    const open = (): void => {
      events = new EventSource(`/api/boats/${boatId}/follow${rigId === null ? '' : `?rig=${rigId}`}`);
      events.onmessage = heard;
      // It is opened again by itself; not before is anything asked for that would take the place of this page in vain.
      events.onopen = () => {
        heardServer(true);
        if (wasAway) go.refresh();
        wasAway = false;
      };
      events.onerror = () => {
        heardServer(false);
        wasAway = true;
      };
    };
    const onShown = (): void => {
      if (document.visibilityState === 'hidden') {
        events?.close();
        events = null;
        wasAway = true;
      } else if (!events) {
        open();
      }
    };
    if (document.visibilityState !== 'hidden') open();
    document.addEventListener('visibilitychange', onShown);
    return () => {
      document.removeEventListener('visibilitychange', onShown);
      clearTimeout(later);
      events?.close();
    };
  }, [boatId, rigId, go]);
}
