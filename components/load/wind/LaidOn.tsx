'use client';

import type { LoadRecord } from '@/core/record/record';
import { isUnlikeTension, LAID_BY, type LaidBy } from '@/core/load/tension';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useRig } from '@/components/rig/RigProvider';
import { LIMITS } from '@/usecases/limits';
import { LAID_BY_OPTIONS } from './tensionWords';

const SHIMS = ['', '0', '1', '2', '3', '4'] as const;

/** How a load was laid on, as far as somebody says, kept over a reload. */
export function useLaid(load: LoadRecord) {
  const [by, setBy] = useDraft(`laid-by:${load.id}`, isText);
  const [shims, setShims] = useDraft(`shims:${load.id}`, isText);
  const tension = useQuantity(`laid-tension:${load.id}`, 'force', null, LIMITS.windingTensionN);
  const laidBy = LAID_BY.find((each) => each === by) ?? null;
  return {
    tension,
    laidBy,
    setBy: (value: LaidBy | '') => setBy(value),
    shims: SHIMS.find((each) => each === shims) ?? '',
    setShims,
    value: { laidBy, tensionN: tension.value, shims: shims ? Number(shims) : null },
    forget: () => {
      setBy(null);
      setShims(null);
      tension.forget();
    },
  };
}

/** Tension and shims of the load that is being finished: asked for, never assumed. */
export function LaidOn({ laid }: { laid: ReturnType<typeof useLaid> }) {
  const { record } = useRig();
  const fill = record.reverseFills.at(-1);
  return (
    <div className="mb-3">
      <div className="flex flex-wrap items-start gap-2">
        <div className="w-64">
          <ChoiceField
            label="Tension came from"
            value={laid.laidBy ?? ''}
            options={LAID_BY_OPTIONS}
            onChange={laid.setBy}
          />
        </div>
        <div className="w-52">
          <QuantityField label="Tension by the scale" {...laid.tension.field} hint="may stay empty" />
        </div>
        {record.reel.kind === 'fixed-spool' && (
          <div className="w-52">
            <ChoiceField
              label="Shim washers under the spool"
              value={laid.shims}
              options={SHIMS.map((value) => ({ value, text: value === '' ? 'not noted' : value }))}
              onChange={laid.setShims}
            />
          </div>
        )}
      </div>
      {fill && isUnlikeTension(fill, laid.value) && (
        <p role="status" className="mt-2 border-l-4 border-warn bg-warn/10 px-3 py-2 text-sm">
          The reverse fill that found this reel&apos;s capacity had another tension: what it said counts for less now.
          Trust the level that you measure.
        </p>
      )}
    </div>
  );
}
