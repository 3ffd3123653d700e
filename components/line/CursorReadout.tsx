'use client';

import type { ReactNode } from 'react';
import { readCursor, type RigView } from '@/core/rig/view/rigView';
import { useUnits } from '@/components/units/UnitsProvider';
import { useCursor } from './cursor';

function Entry({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="min-w-0 border-l-4 border-rule pl-2">
      <dt className="text-xs text-ink-soft">{label}</dt>
      <dd className="figures truncate font-semibold">{children}</dd>
    </div>
  );
}

/** What every lens says at the cursor, in words. */
export function CursorReadout({ view, hasHint = true }: { view: RigView; hasHint?: boolean }) {
  const lengthM = useCursor();
  const { format } = useUnits();
  // With nothing out every lens says what the page says anyway.
  if (lengthM === 0) {
    if (!hasHint) return null;
    return (
      <p className="border-l-4 border-rule pl-2 text-sm text-ink-soft">
        Point at the line, or step along it with the arrow keys: every figure here follows.
      </p>
    );
  }
  const now = readCursor(view, lengthM);
  return (
    <dl className="grid grid-cols-2 gap-x-4 gap-y-1.5 sm:grid-cols-3 lg:grid-cols-6" aria-label="At the cursor">
      <Entry label="line out, from the hook">{format.length(now.lengthOutM)}</Entry>
      <Entry label="at the rod tip">
        {now.segmentAtTip}
        {now.colourAtTip && `, ${now.colourAtTip}`}
      </Entry>
      <Entry label={view.counter ? 'counter shows' : 'turns off the spool'}>
        {format.counts(now.reading.value, now.reading.plusMinus)}
      </Entry>
      <Entry label="wound diameter left">{format.small(now.diameterM)}</Entry>
      <Entry label="same drag pulls">× {now.dragFactor.toFixed(2)}</Entry>
      <Entry label="of the weakest place out">
        {now.share === null ? 'drag not set' : `${format.percent(now.share)}`}
      </Entry>
    </dl>
  );
}
