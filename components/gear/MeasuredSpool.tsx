'use client';

import { useState, type ComponentProps, type ReactNode } from 'react';
import { CaliperGuide, type CaliperMeasure } from './CaliperGuide';

const MEASURES: readonly CaliperMeasure[] = ['arbor', 'width', 'full'];

/** The three sizes of an empty spool, beside a drawing of where the caliper goes for the one in hand. */
export function MeasuredSpool({
  sizes,
  fields,
}: {
  sizes: ComponentProps<typeof CaliperGuide>['sizes'];
  fields: Readonly<Record<CaliperMeasure, ReactNode>>;
}) {
  const [measure, setMeasure] = useState<CaliperMeasure>('arbor');
  return (
    <fieldset className="flex flex-wrap items-center gap-x-8 gap-y-2">
      <legend className="mb-1 font-semibold">The spool, by caliper: what is not measured stays empty</legend>
      <CaliperGuide measure={measure} sizes={sizes} />
      <div className="flex w-64 flex-col gap-2">
        {MEASURES.map((each) => (
          <div key={each} onFocus={() => setMeasure(each)}>
            {fields[each]}
          </div>
        ))}
      </div>
    </fieldset>
  );
}
