'use client';

import { useUnits } from '@/components/units/UnitsProvider';
import { joinPreparation } from '@/words/guide';
import { HAND_TURNS_PER_MINUTE, MACHINE_TURNS_PER_MINUTE } from '@/core/load/kitList';
import type { WindingTension } from '@/core/load/tension';
import type { LoadSegmentRecord, ReelRecord, RigRecord } from '@/core/record/record';
import type { Formatter } from '@/words/format';
import { LAID_BY_WORDS } from './tensionWords';
import type { RemainingSegment } from '@/core/rig/line/windingOutlook';
import { Caution } from '@/components/ui/Card';

const BRAIDS = ['braid', 'hollow braid'];

/** What the first layers tell, on each kind of reel. */
const FIRST_LAYERS: Readonly<Record<ReelRecord['kind'], string>> = {
  conventional: 'Look after the first layers: it should lie level from flange to flange.',
  'fixed-spool':
    'Look after the first layers: if line heaps at the front lip, a shim washer goes under the spool; if at the back, one comes out. Note the washers when the load is finished.',
  fly: 'Guide it by hand from flange to flange, and look after the first layers: nothing on this reel lays it.',
};

/** A fill that was worked out in two passes is right only when both had the same tension. */
function sameTensionWords({ laidBy, tensionN }: WindingTension, format: Formatter): string {
  const how = [laidBy && LAID_BY_WORDS[laidBy], tensionN !== null && format.force(tensionN)].filter(Boolean).join(', ');
  return `The capacity was found by a reverse fill${how === '' ? '' : ` (${how})`}: hold the same tension now, or it is not right.`;
}

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
  const isSolid = material === 'nylon' || material === 'fluorocarbon';
  const fill = record.reverseFills.at(-1);
  const structures = record.joins.filter((candidate) => candidate.outerSegmentId === segment.segmentId);
  const minutes = (perMinute: number): string => `${Math.max(1, Math.round(now.turns / perMinute))} min`;
  const { format } = useUnits();
  return (
    <>
      <ul className="mb-3 list-disc space-y-1 pl-5 text-sm">
        {structures.map((each) => (
          <li key={each.id}>{joinPreparation(each.kind, format)}</li>
        ))}
        {first && <li>Take stickers off the spool first: salt gets under them.</li>}
        <li>
          Supply spool square to the reel: held askew it saws the line on its rim. Line leaves it the way it goes on, or
          every turn puts a twist into it{isSolid ? ', and this line keeps a twist' : ''}.
        </li>
        <li>
          {braid
            ? 'Pack it so hard that a fingernail leaves no mark, the first two thirds at least: loose braid lets upper wraps bury themselves under load.'
            : material === 'nylon'
              ? 'Even, moderate tension: nylon that goes on stretched squeezes the spool and is longer off than on.'
              : 'Even tension all the way.'}
          {fill && ` ${sameTensionWords(fill, format)}`}
        </li>
        {first && <li>{FIRST_LAYERS[record.reel.kind]}</li>}
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
