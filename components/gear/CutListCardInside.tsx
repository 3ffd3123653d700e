'use client';

import { useMemo, useState } from 'react';
import type { LineProductRecord, SupplySpoolRecord } from '@/core/record/record';
import type { WantedLine } from '@/core/rig/load/wantedLine';
import { cutList, type CutList } from '@/core/supplies/cutList';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { useUnits } from '@/components/units/UnitsProvider';

/** Leftovers shorter than this are waste until a person says otherwise (m). */
const DEFAULT_USEFUL_M = 20;
const USEFUL_LIMITS = { min: 0, max: 1000 };

/** Length of a spool to buy where none of that line was ever bought (m): a guess, said to be one. */
const USUAL_SPOOL_M = 300;

/** Several rigs at once: which piece to cut from which spool, and what to buy. */
export function CutListCardInside({
  lines,
  spools,
  wanted,
}: {
  lines: readonly LineProductRecord[];
  spools: readonly SupplySpoolRecord[];
  wanted: readonly WantedLine[];
}) {
  const rigs = [...new Map(wanted.map((each) => [each.rigId, each])).values()];
  const [picked, setPicked] = useState<readonly string[] | null>(null);
  const chosen = picked ?? rigs.filter((rig) => !rig.loaded).map((rig) => rig.rigId);
  const useful = useQuantity('cut-list:useful', 'length', DEFAULT_USEFUL_M, USEFUL_LIMITS);
  const toggle = (id: string, on: boolean): void =>
    setPicked(on ? [...chosen, id] : chosen.filter((each) => each !== id));
  return (
    <>
      <div className="flex flex-col gap-4">
        <fieldset>
          <legend className="text-sm font-semibold">For these rigs, as they are planned</legend>
          <div className="flex flex-wrap gap-x-5">
            {rigs.map((rig) => (
              <label key={rig.rigId} className="flex min-h-11 items-center gap-2 text-sm">
                <input
                  type="checkbox"
                  className="size-5 accent-chalk"
                  checked={chosen.includes(rig.rigId)}
                  onChange={(event) => toggle(rig.rigId, event.target.checked)}
                />
                {rig.rigName}
                {rig.loaded && <span className="text-ink-soft">(to load anew)</span>}
              </label>
            ))}
          </div>
        </fieldset>
        <div className="w-56">
          <QuantityField label="A rest is of use from" {...useful.field} />
        </div>
        {lines.map((line) => (
          <LineCuts
            key={line.id}
            line={line}
            spools={spools.filter((spool) => spool.lineProductId === line.id)}
            wanted={wanted.filter((each) => each.productId === line.id && chosen.includes(each.rigId))}
            usefulM={useful.value ?? DEFAULT_USEFUL_M}
          />
        ))}
        {chosen.length === 0 && <p role="status">Choose the rigs that are to be loaded, and the cuts stand here.</p>}
      </div>
    </>
  );
}

function LineCuts({
  line,
  spools,
  wanted,
  usefulM,
}: {
  line: LineProductRecord;
  spools: readonly SupplySpoolRecord[];
  wanted: readonly WantedLine[];
  usefulM: number;
}) {
  const { format } = useUnits();
  const newSpoolM = Math.max(0, ...spools.map((spool) => spool.boughtLengthM)) || USUAL_SPOOL_M;
  const list = useMemo(
    () =>
      cutList(
        spools.map((spool) => ({
          id: spool.id,
          lengthM: spool.remainingLengthM,
          unopened: spool.remainingLengthM === spool.boughtLengthM,
        })),
        wanted.map((each) => ({ id: each.segmentId, lengthM: each.lengthM })),
        { usefulM, newSpoolM },
      ),
    [spools, wanted, usefulM, newSpoolM],
  );
  if (wanted.length === 0 || !list.ok) return null;
  const { cuts, leftovers } = list.value;
  const nameOf = (spoolId: string): string =>
    spools.find((spool) => spool.id === spoolId)?.label ?? `${spoolId}, to buy`;
  const pieceOf = (id: string): string => {
    const piece = wanted.find((each) => each.segmentId === id);
    return piece ? `${piece.segmentName} of ${piece.rigName}` : '';
  };
  return (
    <section aria-label={`Cuts of ${line.name}`} className="border-l-4 border-rule pl-3 text-sm">
      <h3 className="font-semibold">{line.name}</h3>
      <p className="text-ink-soft">{summaryOf(list.value, newSpoolM, spools.length === 0, format.length)}</p>
      <ul className="mt-1 list-disc pl-5">
        {leftovers.map((left) => (
          <li key={left.spoolId}>
            <b>{nameOf(left.spoolId)}</b>:{' '}
            {cuts
              .filter((cut) => cut.spoolId === left.spoolId)
              .map((cut) => `${format.length(cut.lengthM)} for ${pieceOf(cut.pieceId)}`)
              .join('; ')}
            . Leaves {format.length(left.lengthM)}
            {left.lengthM > 0 && left.lengthM < usefulM && ', too short to be of use'}.
          </li>
        ))}
      </ul>
    </section>
  );
}

function summaryOf(list: CutList, newSpoolM: number, guessed: boolean, length: (m: number) => string): string {
  const parts = [
    list.spoolsToBuy > 0
      ? `${list.spoolsToBuy} to buy, of ${length(newSpoolM)}${guessed ? ' (a usual size; none is on the shelf)' : ''}`
      : 'nothing to buy',
    list.joins === 0 ? 'no join inside a piece' : `${list.joins} ${list.joins === 1 ? 'join' : 'joins'} inside a piece`,
    `${length(list.wasteM)} wasted`,
    list.proven ? 'nothing better is possible' : 'too many pieces to try every way: a good list, not proven the best',
  ];
  return `${parts.join('; ')}.`;
}
