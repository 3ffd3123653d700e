'use client';

import { useMemo } from 'react';
import type { LoadPlan } from '@/core/load/planLoad';
import { productOf } from '@/core/rig/line/planForRig';
import { kitOfRig } from '@/core/rig/load/plannedLoad';
import type { RigRecord } from '@/core/record/record';
import { fittingSpool } from '@/core/supplies/fittingSpool';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';

const minutes = (value: number): string => `${Math.round(value)} min`;

/** What to lay out before winding: lines with tags and overlaps, from which spool, things, waits and time. */
export function KitCard({ record, plan }: { record: RigRecord; plan: LoadPlan }) {
  const { format } = useUnits();
  const say = useSay();
  const kit = useMemo(() => kitOfRig(record, plan), [record, plan]);
  return (
    <CollapsibleCard
      id="kit"
      title="Kit list"
      line={`about ${minutes(kit.byHandMinutes)} by hand (estimate); ${kit.things.length} things`}
    >
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Lines of the kit list">
        <table className="w-full text-sm">
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th className="py-1 pr-3">line</th>
              <th className="py-1 pr-3">on the spool</th>
              <th className="py-1 pr-3">take, with tags and overlaps</th>
              <th className="py-1">from the shelf</th>
            </tr>
          </thead>
          <tbody>
            {kit.lines.map((line) => (
              <tr key={line.segmentId} className="border-b border-edge align-top">
                <td className="py-1.5 pr-3">
                  <b>{line.name}</b>
                  <br />
                  <span className="text-ink-soft">{productOf(record, line.productId).name}</span>
                </td>
                <td className="figures py-1.5 pr-3 whitespace-nowrap">{format.length(line.lengthM)}</td>
                <td className="figures py-1.5 pr-3 font-bold whitespace-nowrap">{format.length(line.takeM)}</td>
                <td className="py-1.5">{shelfWords(record, line.productId, line.takeM, format.length)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <ul className="mt-3 list-disc pl-5 text-sm">
        {kit.things.map(({ thing, whys }) => (
          <li key={thing}>
            <b>{thing}</b>: {whys.map(say).join(', ')}
          </li>
        ))}
        <li>{kit.helper ? say(kit.helper) : 'No helper needed.'}</li>
        {kit.dryMinutes > 0 && <li>{minutes(kit.dryMinutes)} of waiting for glue in all.</li>}
      </ul>
      <p className="mt-2 text-xs text-ink-soft">
        Tags, overlaps and times are usual values, not measured ones. The working time is turns at 110 a minute by hand
        and 300 on a machine, and minutes for each join.
      </p>
    </CollapsibleCard>
  );
}

/** Which supply spool gives a length, or what to buy. */
function shelfWords(record: RigRecord, productId: string, takeM: number, length: (m: number) => string): string {
  const spools = record.supplySpools
    .filter((spool) => spool.lineProductId === productId)
    .toSorted((a, b) => a.remainingLengthM - b.remainingLengthM);
  const fitting = fittingSpool(spools, productId, takeM);
  if (fitting) return `${fitting.label}: leaves ${length(fitting.remainingLengthM - takeM)}`;
  if (spools.length === 0) return 'none on the shelf';
  const allM = spools.reduce((sum, spool) => sum + spool.remainingLengthM, 0);
  return allM >= takeM
    ? `only in pieces: ${spools.map((spool) => length(spool.remainingLengthM)).join(' + ')}`
    : `buy ${length(takeM - allM)} more`;
}
