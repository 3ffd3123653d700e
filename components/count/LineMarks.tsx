'use client';

import { useState } from 'react';
import { MARK_SD_M, marksOfView } from '@/core/rig/count/lineMarks';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { LoadRecord } from '@/core/rig/record';
import type { RigView } from '@/core/rig/rigView';
import { UndoButton } from '@/components/bench/UndoButton';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';

const KINDS = [
  { value: 'tied', text: 'tied' },
  { value: 'inked', text: 'inked' },
] as const;

/** Marks tied or inked on the line itself: what each says today, whatever was lost outside of it. */
export function LineMarks({ view, load }: { view: RigView; load: LoadRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { sendNow, state, fieldError } = useSend();
  const [kind, setKind] = useState<(typeof KINDS)[number]['value']>('tied');
  const [looks, setLooks] = useState('');
  const length = useQuantity(`mark:${load.id}`, 'length', null, LIMITS.segmentLengthM);
  const last = record.lineMarks.at(-1);
  const store = async (): Promise<void> => {
    const body = { loadId: load.id, kind, looks, lengthOutM: length.value };
    const result = await sendNow(
      'markLine',
      { boatId: record.boat.id, rigId: record.id },
      body,
      'The mark is on record.',
    );
    if (!result.ok) return;
    setLooks('');
    length.forget();
  };
  return (
    <div className="flex flex-col gap-3 border-l-4 border-rule pl-3">
      <p className="text-sm">
        <b>Marks tied or inked on the line</b> stay where they are. When line is lost outside of them they say less, and
        this list says how much.
      </p>
      {record.lineMarks.length > 0 && (
        <ul className="text-sm">
          {marksOfView(view).map(({ mark, lengthOutM }) => (
            <li key={mark.id} className="flex justify-between gap-3 border-b border-edge py-1">
              <span>
                {mark.looks} ({mark.kind})
              </span>
              <b className="figures whitespace-nowrap">
                {lengthOutM === null
                  ? 'gone with its line'
                  : `${format.length(lengthOutM, PLUS_MINUS_SDS * MARK_SD_M)} out`}
              </b>
            </li>
          ))}
        </ul>
      )}
      <div className="grid grid-cols-3 gap-2">
        <ChoiceField label="Mark is" value={kind} options={KINDS} onChange={setKind} />
        <TextField label="It looks like" value={looks} onChange={setLooks} error={fieldError('looks')} />
        <QuantityField label="True length out" {...length.field} error={fieldError('lengthOutM')} />
      </div>
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={state.kind === 'sending' || length.value === null || looks.trim() === ''}
          onClick={() => void store()}
        >
          Note this mark
        </Button>
        {last && <UndoButton kind="lineMark" id={last.id} what="mark" reason="undone by the person who made it" />}
      </div>
    </div>
  );
}
