'use client';

import { useUnits } from '@/components/units/UnitsProvider';
import { joinPreparation } from '@/words/guide';
import { HAND_TURNS_PER_MINUTE, MACHINE_TURNS_PER_MINUTE } from '@/core/load/kitList';
import type { RigRecord } from '@/core/record/record';
import type { LoadSegmentRecord } from '@/core/record/record';
import type { RemainingSegment } from '@/core/rig/line/windingOutlook';
import { Caution } from '@/components/ui/Card';

const BRAIDS = ['braid', 'hollow braid'];

/** How to lay this line on: tension, feed, the look after the first layers, and how long it takes. */
export function LayItOn({
  record,
  segment,
  now,
  first,
}: {
  record: RigRecord;
  segment: LoadSegmentRecord;
  now: RemainingSegment;
  first: boolean;
}) {
  const material = record.products.find((product) => product.id === segment.productId)?.material ?? 'nylon';
  const braid = BRAIDS.includes(material);
  const join = record.joins.find((candidate) => candidate.outerSegmentId === segment.segmentId);
  const minutes = (perMinute: number): string => `${Math.max(1, Math.round(now.turns / perMinute))} min`;
  const { format } = useUnits();
  return (
    <>
      <ul className="mb-3 list-disc space-y-1 pl-5 text-sm">
        {join && <li>{joinPreparation(join.kind, format)}</li>}
        <li>
          {braid
            ? 'Pack it so hard that a fingernail leaves no mark, the first two thirds at least: loose braid lets upper wraps bury themselves under load.'
            : material === 'nylon'
              ? 'Even, moderate tension: nylon that goes on stretched squeezes the spool and is longer off than on.'
              : 'Even tension, and straight off the supply spool, the way it goes on.'}
        </li>
        {first && record.reel.kind === 'fixed-spool' && (
          <li>
            Look after the first layers: if line heaps at the front lip, a shim washer goes under the spool; if at the
            back, one comes out. Take stickers off the spool first.
          </li>
        )}
        {first && record.reel.kind !== 'fixed-spool' && (
          <li>
            Look after the first layers: it should lie level from flange to flange. A supply spool held askew saws line
            on its rim.
          </li>
        )}
        <li>
          About {minutes(HAND_TURNS_PER_MINUTE)} by hand or {minutes(MACHINE_TURNS_PER_MINUTE)} on a machine (an
          estimate from {Math.round(now.turns)} turns).
        </li>
      </ul>
      {braid && (
        <Caution>
          Braid under tension cuts: gloves or a folded cloth, never a bare hand, and no gloves near a machine&apos;s
          spindle.
        </Caution>
      )}
    </>
  );
}
