'use client';

import { arborFromPlainLoad } from '@/core/gear/arborFromPlainLoad';
import { ERRORS } from '@/core/measurement/errors';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { TextField } from '@/components/fields/TextField';
import { useKeptText } from '@/components/fields/useKept';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';

/** SD of a wound diameter across a plain load (m): a caliper on a crowned lay, common practice, no source. */
const WOUND_DIAMETER_SD_M = 0.0004;

/** The arbor of a reel that is full already: one plain load of known length, counted turns, and its diameter. */
export function ArborHelp({ draftKey, onTake }: { draftKey: string; onTake: (arborM: number) => void }) {
  const { format } = useUnits();
  const say = useSay();
  const length = useQuantity(`${draftKey}:plainLength`, 'length', null, LIMITS.segmentLengthM);
  const outer = useQuantity(`${draftKey}:plainOuter`, 'smallLength', null, LIMITS.fullDiameterM);
  const [text, setText] = useKeptText(`${draftKey}:plainTurns`);
  const turns = Number(text.replace(',', '.'));
  const arbor =
    length.value !== null && outer.value !== null && turns > 0
      ? arborFromPlainLoad(
          { value: length.value, sd: length.value * ERRORS.lengthShare.sd, source: 'measured' },
          { value: turns, sd: 1, source: 'measured' },
          { value: outer.value, sd: WOUND_DIAMETER_SD_M, source: 'measured' },
        )
      : null;
  return (
    <details className="border-l-4 border-rule pl-3">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
        Arbor out of reach? Find it from one plain load
      </summary>
      <p className="pb-2 text-sm">
        Of one line of known length, count the spool turns that wind it on, and measure across the wound line. The
        packing does not matter.
      </p>
      <div className="flex flex-wrap items-end gap-2 pb-2">
        <div className="w-36">
          <QuantityField label="Length of line" {...length.field} />
        </div>
        <div className="w-36">
          <TextField
            label="Spool turns"
            inputMode="numeric"
            figures
            value={text}
            onChange={setText}
            hint="not turns of the handle"
          />
        </div>
        <div className="w-44">
          <QuantityField label="Across the wound line" {...outer.field} />
        </div>
        {arbor?.ok && (
          <>
            <p className="figures min-h-11 content-center">
              {format.small(arbor.value.value, PLUS_MINUS_SDS * arbor.value.sd)}
            </p>
            <Button onClick={() => onTake(arbor.value.value)}>Take this arbor</Button>
          </>
        )}
        {arbor && !arbor.ok && <p className="text-sm font-semibold text-stop">{say(arbor)}</p>}
      </div>
    </details>
  );
}
