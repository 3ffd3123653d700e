'use client';

import { useState } from 'react';
import type { TopShotCare } from '@/core/rig/load/topShotCare';
import type { LoadRecord } from '@/core/record/record';
import { fittingSpool } from '@/core/supplies/fittingSpool';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { offeredLines } from '@/components/keeping/offeredLines';
import { AskFirst } from '@/components/ui/AskFirst';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';

/** The outermost line: how much is left, what its loss does to counter and drag, and a new one in one act. */
export function TopShotCardInside({
  care,
  verdict,
  load,
}: {
  care: TopShotCare;
  /** What is to be done about it, in a word or two. */
  verdict: string;
  load: LoadRecord;
}) {
  const { format } = useUnits();
  const say = useSay();
  const signed = (share: number): string => `${Math.abs(100 * share).toFixed(1)} % ${share >= 0 ? 'more' : 'less'}`;
  return (
    <>
      <p>
        <b>{verdict}</b>: {say(care.why)}. {format.length(care.leftM)} of {format.length(care.freshM)} are left.
      </p>
      {care.freshM - care.leftM > 0.05 && (
        <p className="mt-1 text-sm">
          The level lies {format.small(care.levelDropM)} lower than when it was fresh. At {format.length(care.atM)} off
          the spool the counter reads {signed(care.counterShift)} for the same line
          {Math.abs(care.dragShift - 1) >= 0.0005 &&
            `, and a drag set with everything on pulls ${signed(care.dragShift - 1)} there`}
          . Table and marks on this rig follow already; what was accepted before is marked stale.
        </p>
      )}
      <Replace key={care.segment.segmentId} care={care} load={load} />
      <TurnRound care={care} load={load} />
    </>
  );
}

/** The worn end goes under: pulled off, and wound on the other way round. */
function TurnRound({ care, load }: { care: TopShotCare; load: LoadRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state } = useSend();
  const name = care.segment.name.toLowerCase();
  return (
    <div className="mt-2">
      <AskFirst
        label="Turn it end for end"
        title={`Turn the ${name} end for end?`}
        yes="It is turned"
        disabled={state.kind === 'sending'}
        onYes={() =>
          void sendNow(
            'turnSegment',
            { boatId: record.boat.id, rigId: record.id, loadId: load.id },
            { segmentId: care.segment.segmentId },
            'Turned. Tie and pull its joins anew.',
          )
        }
      >
        <p>
          Pull all {format.length(care.leftM)} off, untie both ends, and wind it on the other way round with the same
          tension: the worn end lies inside now.
        </p>
        <p>Its joins are to be tied anew, its marks count no more, and the counter is to be tested again.</p>
      </AskFirst>
    </div>
  );
}

const ELSEWHERE = 'elsewhere';

function Replace({ care, load }: { care: TopShotCare; load: LoadRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state, fieldError } = useSend();
  const [open, setOpen] = useState(false);
  const [productId, setProductId] = useState(care.productId);
  const [spoolId, setSpoolId] = useState<string | null>(null);
  const length = useQuantity(`replace:${load.id}`, 'length', care.freshM, LIMITS.segmentLengthM);
  const spools = record.supplySpools.filter((spool) => spool.lineProductId === productId);
  const fitting = fittingSpool(spools, productId, length.value ?? 0);
  const chosen =
    spools.some((spool) => spool.id === spoolId) || spoolId === ELSEWHERE ? spoolId : (fitting?.id ?? ELSEWHERE);
  const replace = async (): Promise<void> => {
    const body = {
      segmentId: care.segment.segmentId,
      productId,
      lengthM: length.value,
      supplySpoolId: chosen === ELSEWHERE ? null : chosen,
      note: '',
    };
    const result = await sendNow(
      'replaceSegment',
      { boatId: record.boat.id, rigId: record.id, loadId: load.id },
      body,
      'Replaced. Counter, strength and drag follow; test what is now stale.',
    );
    if (!result.ok) return;
    length.forget();
    setOpen(false);
  };
  if (!open) {
    return (
      <Button className="mt-3" onClick={() => setOpen(true)}>
        Put a new one on
      </Button>
    );
  }
  return (
    <div className="mt-3 flex flex-col gap-3">
      <p className="text-sm">
        Take the old one off, tie the new one to what is below and wind it on with the same tension. Noted in one act:
        the line, the shelf and the log.
      </p>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        <ChoiceField
          label="New line"
          value={productId}
          options={offeredLines(record.products)}
          onChange={setProductId}
          error={fieldError('productId')}
        />
        <QuantityField label="Length of it" {...length.field} error={fieldError('lengthM')} />
        <ChoiceField
          label="It came from"
          value={chosen ?? ELSEWHERE}
          options={[
            { value: ELSEWHERE, text: 'not from the shelf' },
            ...spools.map((spool) => ({
              value: spool.id,
              text: `${spool.label}, ${format.length(spool.remainingLengthM)} left`,
            })),
          ]}
          onChange={setSpoolId}
          error={fieldError('supplies')}
        />
      </div>
      <div className="flex gap-2">
        <Button
          weight="main"
          disabled={state.kind === 'sending' || length.value === null}
          onClick={() => void replace()}
        >
          It is on
        </Button>
        <Button weight="quiet" onClick={() => setOpen(false)}>
          Not now
        </Button>
      </div>
    </div>
  );
}
