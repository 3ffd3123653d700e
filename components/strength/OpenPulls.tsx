'use client';

import type { StrengthTestRecord } from '@/core/record/record';
import { AskedAbout } from '@/components/corrections/AskedAbout';
import { useUnits } from '@/components/units/UnitsProvider';

/** Pulls of a test that are asked about before they count. */
export function OpenPulls({ test }: { test: StrengthTestRecord }) {
  const { format } = useUnits();
  return test.openPulls.map((pull) => (
    <AskedAbout
      key={pull.id}
      kind="strengthPull"
      id={pull.id}
      more="Another spool in the grips? At the station it can be moved to the line that it belongs to."
    >
      <b className="figures">{format.force(pull.peakN)}</b> is far from{' '}
      {test.pulls.length > 0 ? 'the other pulls of this test' : 'what was written down before'}. The right spool? The
      gauge at zero? Did it slip?
    </AskedAbout>
  ));
}

/** The pull that was noted last, counting or asked about. */
export function lastPull(test: StrengthTestRecord) {
  return [...test.pulls, ...test.openPulls].toSorted((a, b) => (a.at < b.at ? -1 : 1)).at(-1);
}
