'use client';

import { correctionTable } from '@/core/calibration/correctionTable';
import type { RigView } from '@/core/rig/view/rigView';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';

/** Set so much true line: what the counter has to read. */
export function AskTable({ view }: { view: RigView }) {
  const { record } = useRig();
  const { format } = useUnits();
  const wanted = useQuantity(`ask:${record.id}`, 'length', 36.576, LIMITS.walkLengthM);
  const { line } = view.current;
  const paidOutM = wanted.value === null ? null : wanted.value - line.handLinedLengthM - (record.hangM ?? 0);
  const isThere = paidOutM !== null && paidOutM >= 0 && paidOutM <= line.woundLengthM;
  const [figure] = isThere ? correctionTable(view.ruler, [paidOutM]) : [];
  return (
    <div className="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2">
      <div className="w-44">
        <QuantityField label="To set a true" {...wanted.field} />
      </div>
      <p className="min-h-11 content-center text-2xl" aria-live="polite">
        {figure ? (
          <>
            {view.counter ? 'read ' : 'let out '}
            <b className="figures">{format.counts(figure.value, figure.plusMinus)}</b>
            {!view.counter && ' turns of the spool'}
          </>
        ) : (
          <span className="text-base text-ink-soft">
            {paidOutM !== null && paidOutM > 0
              ? `There are only ${format.length(line.totalLengthM)} of line.`
              : 'Say a length of line out.'}
          </span>
        )}
      </p>
    </div>
  );
}
