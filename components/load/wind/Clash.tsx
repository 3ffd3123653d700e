'use client';

import { Button } from '@/components/ui/Button';
import type { Winding } from './useWinding';

/** Two devices noted one end: both readings, and which one is right. */
export function Clash({ winding }: { winding: Winding }) {
  const { clash } = winding;
  if (!clash) return null;
  return (
    <div role="group" aria-label="Noted on two devices" className="mb-3 border-l-4 border-stop bg-stop/10 px-3 py-2">
      <p role="status">
        <b>
          {clash.segment} was noted at {clash.there} on another device;
        </b>{' '}
        here {clash.here} was typed. Which is right?
      </p>
      <div className="mt-2 grid grid-cols-2 gap-2">
        <Button className="min-h-14 text-lg" disabled={winding.busy} onClick={() => void winding.settle('there')}>
          {clash.there} is right
        </Button>
        <Button className="min-h-14 text-lg" disabled={winding.busy} onClick={() => void winding.settle('here')}>
          {clash.here} is right
        </Button>
      </div>
    </div>
  );
}
