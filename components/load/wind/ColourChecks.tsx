'use client';

import type { ColourCheck } from '@/core/rig/line/colourChecks';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Winding } from './useWinding';
import { asShown } from './windingWords';

/** Counts by which a reading may miss what is expected before it is worth a word. */
function verdict(check: ColourCheck): string {
  if (check.constantFactor === null) return '';
  const off = check.constantFactor - 1;
  if (Math.abs(off) * check.expectedCounts < 1) return 'as expected';
  return `${Math.abs(Math.round(1000 * off) / 10)} % ${off > 0 ? 'more' : 'fewer'} counts than expected`;
}

/** Lead core is a ruler of its own: what the counter ought to show at each colour change, and what it did. */
export function ColourChecks({ winding, digits }: { winding: Winding; digits: number }) {
  const { format } = useUnits();
  const { record } = useRig();
  if (winding.colours.length === 0) return null;
  const next = winding.colours.find((colour) => colour.readReading === null);
  const corrected = winding.outlook?.correctedConstantM ?? null;
  return (
    <div className="mt-4 border-l-4 border-rule pl-3 text-sm">
      <p className="font-semibold">Colour changes on the way, as checks</p>
      <ul>
        {winding.colours.map((check) => (
          <li key={check.coloursOn} className="flex flex-wrap gap-x-3">
            <span>
              {check.colour} is on, {check.nextColour} follows
            </span>
            <span className="figures">
              near {asShown(check.expectedReading, digits)} ± {format.counts(check.expectedPlusMinus)}
            </span>
            {check.readReading !== null && (
              <span className="figures font-semibold">
                read {asShown(check.readReading, digits)}: {verdict(check)}
              </span>
            )}
          </li>
        ))}
      </ul>
      {corrected && (
        <p aria-live="polite">
          By these the counter takes a turn for {format.small(corrected.value, PLUS_MINUS_SDS * corrected.sd)}
          {record.reel.counter && `, not ${format.small(record.reel.counter.lengthPerTurnM.value)}`}; every stop reading
          from here follows it.
        </p>
      )}
      {next && (
        <Button
          className="mt-2"
          disabled={winding.busy || winding.reading === null}
          onClick={() => void winding.noteColour()}
        >
          Colour changed now: {next.nextColour} follows
        </Button>
      )}
    </div>
  );
}
