'use client';

import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Winding } from './useWinding';

/** Two lengths of one segment, the typed one and the one that was read: a person says which is on, and only then it is noted. */
export function LengthQuestion({ winding, large = false }: { winding: Winding; large?: boolean }) {
  const { format } = useUnits();
  const { asked } = winding;
  if (!asked) return null;
  const { segment, typedM, saidM, past, by } = asked;
  const [typed, said] = [format.length(typedM), format.length(saidM)];
  const off = `${Math.abs(Math.round(past))} ${by === 'counter' ? 'counts' : 'turns'} ${past < 0 ? 'short of' : 'past'} the stop`;
  const size = large ? 'min-h-20 text-xl' : '';
  return (
    <div role="group" aria-label="Which length is on?" className="mt-3 border-l-4 border-warn bg-warn/10 px-3 py-2">
      <p className={large ? 'text-lg' : ''} role="status">
        <b>{off}.</b> By the {by} that is {said} of {segment}, and {typed} were typed. Which is on?
      </p>
      <div className="mt-2 grid gap-2 sm:grid-cols-2">
        <Button className={size} disabled={winding.busy} onClick={() => void winding.note('piece')}>
          All {typed}: it was measured {large && <kbd className="figures text-base">A</kbd>}
        </Button>
        <Button className={size} disabled={winding.busy || saidM <= 0} onClick={() => void winding.note('counter')}>
          {typed} becomes {said} {large && <kbd className="figures text-base">B</kbd>}
        </Button>
      </div>
    </div>
  );
}
