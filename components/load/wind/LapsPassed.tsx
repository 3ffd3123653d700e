'use client';

import { countsPerWrap } from '@/core/counter/counter';
import type { CounterRecord } from '@/core/record/record';
import { Button } from '@/components/ui/Button';
import type { Winding } from './useWinding';

/** Where the counter goes past zero on the way, the same reading may stand for several lengths: how often it did is asked. */
export function LapsPassed({ winding, counter }: { winding: Winding; counter: CounterRecord }) {
  const planned = winding.next?.now.stopLaps ?? 0;
  const zero = '0'.repeat(counter.digits);
  if (planned === 0 && winding.laps.said === null) return null;
  const said = winding.laps.said ?? planned;
  const choices = [...new Set([Math.max(0, planned - 1), planned, planned + 1, said])].toSorted((a, b) => a - b);
  return (
    <fieldset className="mt-2">
      <legend className="text-sm font-semibold">
        How often has it gone past {zero}? Each time is {countsPerWrap(counter)} counts.
      </legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {choices.map((laps) => (
          <Button
            key={laps}
            aria-pressed={laps === said}
            className={laps === said ? 'border-4 border-ink' : ''}
            onClick={() => winding.laps.say(laps === planned ? null : laps)}
          >
            {laps === 0 ? 'not yet' : laps === 1 ? 'once' : laps === 2 ? 'twice' : `${laps} times`}
            {laps === planned && ', as planned'}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}
