'use client';

import type { LineProductRecord, SupplySpoolRecord } from '@/core/record/record';
import { More } from '@/components/keeping/More';
import { MATERIAL_FILL } from '@/components/line/lineColours';
import { useUnits } from '@/components/units/UnitsProvider';

/** What is left on each spool of the shelf: a bar as long as it was bought, all to one scale, filled as far as line is left. */
export function ShelfBars({
  boatId,
  spools,
  lines,
}: {
  boatId: string;
  spools: readonly SupplySpoolRecord[];
  lines: readonly LineProductRecord[];
}) {
  const { format } = useUnits();
  const longestM = Math.max(...spools.map(({ boughtLengthM }) => boughtLengthM));
  return (
    <ul aria-label="Spools on the shelf" className="mb-4 grid gap-x-6 text-sm lg:grid-cols-2">
      {spools.map((spool) => {
        const line = lines.find(({ id }) => id === spool.lineProductId);
        return (
          <li key={spool.id} className="flex items-center gap-x-3 border-b border-edge py-1">
            <div className="min-w-0 grow">
              <p className="flex flex-wrap justify-between gap-x-4">
                <span>
                  <b>{spool.label}</b>: {line?.name}
                </span>
                <span className="figures">
                  {format.length(spool.remainingLengthM)} left of {format.length(spool.boughtLengthM)}
                </span>
              </p>
              <Bar
                leftShare={spool.remainingLengthM / longestM}
                boughtShare={spool.boughtLengthM / longestM}
                fill={MATERIAL_FILL[line?.material ?? 'nylon']}
              />
            </div>
            <More
              boatId={boatId}
              thing="supply"
              id={spool.id}
              name={spool.label}
              stays="Put away, no line is taken from it any more: an empty spool, or one that is lost. What was taken stays on record."
            />
          </li>
        );
      })}
    </ul>
  );
}

/** The figures stand beside it in words. */
function Bar({ leftShare, boughtShare, fill }: { leftShare: number; boughtShare: number; fill: string }) {
  return (
    <svg className="mt-0.5 h-3 w-full" aria-hidden>
      <rect width={`${100 * leftShare}%`} height={12} fill={fill} />
      <rect width={`${100 * boughtShare}%`} height={12} fill="none" className="stroke-ink" strokeWidth={1.5} />
    </svg>
  );
}
