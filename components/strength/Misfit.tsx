'use client';

import { grubbsOutlier } from '@/core/strength/grubbs';
import { useUnits } from '@/components/units/UnitsProvider';

/** Off by more than this a pull is remarked on at once. */
const FAR_OFF = 0.25;

/** A pull far from what was expected: what is likely. */
export function OffExpected({ peakN, expectedN }: { peakN: number; expectedN: number }) {
  const { format } = useUnits();
  const off = peakN / expectedN - 1;
  if (Math.abs(off) <= FAR_OFF) {
    return (
      <p className="text-sm text-ink-soft">
        {format.percent(Math.abs(off))} {off >= 0 ? 'above' : 'below'} what you expected.
      </p>
    );
  }
  return (
    <p className="text-sm text-warn">
      That is {format.percent(Math.abs(off))} {off > 0 ? 'above' : 'below'} what you expected. Labels are often low;
      else: the right spool in the grips? Tared slack? Slipped?
    </p>
  );
}

/** The pull that fits least, where it is too far off to be chance: named with likely reasons, never dropped. */
export function Misfit({ pullsN }: { pullsN: readonly number[] }) {
  const { format } = useUnits();
  const outlier = grubbsOutlier(pullsN);
  if (!outlier) return null;
  return (
    <p role="note" className="border-l-4 border-warn pl-3 text-sm">
      <b>
        Pull {outlier.index + 1}, {format.force(pullsN[outlier.index] ?? 0)}, does not fit the others
      </b>{' '}
      (Grubbs {outlier.g.toFixed(2)}, chance allows {outlier.critical.toFixed(2)}).{' '}
      {outlier.side === 'low'
        ? 'Did it slip or break at a grip, or was the line nicked? It counts until you take it back.'
        : 'Was another spool in the grips, or the gauge not zeroed? Move it to the test that it belongs to, or it counts until you take it back.'}
    </p>
  );
}
