'use client';

import { QuantityField } from '@/components/fields/QuantityField';
import { TextField } from '@/components/fields/TextField';
import type { Winding } from './useWinding';

/** Other ways to know how much went on: a machine's meter, the best ruler there is, or counted turns. */
export function OtherRulers({
  winding,
  hasCounter,
  gearRatio,
}: {
  winding: Winding;
  hasCounter: boolean;
  gearRatio: number | null;
}) {
  const { metered, turns } = winding;
  return (
    <details className="mt-3" open={!hasCounter}>
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
        {hasCounter ? 'Wound on a machine, or turns counted?' : 'What told you to stop'}
      </summary>
      <div className="flex flex-wrap items-start gap-2">
        <div className="w-48">
          <QuantityField label="The machine's meter shows" {...metered.field} hint="taken as true length" />
        </div>
        <div className="w-48">
          <TextField
            label="Spool turns counted"
            inputMode="numeric"
            figures
            value={turns.text}
            onChange={turns.type}
            error={turns.text.trim() !== '' && turns.value === null ? 'A number of turns above zero.' : undefined}
            hint={`of the spool: handle turns × ${gearRatio ?? 'gear ratio'}`}
          />
        </div>
      </div>
      {!hasCounter && (
        <p className="mt-1 text-xs text-ink-soft">Both may stay empty: then the planned length is taken to be on.</p>
      )}
    </details>
  );
}
