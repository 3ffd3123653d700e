'use client';

import { MARK_SD_M, marksOfView } from '@/core/rig/count/lineMarks';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { LoadRecord } from '@/core/record/record';
import type { RigView } from '@/core/rig/view/rigView';
import { UndoButton } from '@/components/bench/UndoButton';
import { FormChoice, FormQuantity, FormText } from '@/components/fields/FormParts';
import { choice, neededQuantity, words } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
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
  const { sendNow, state } = useSend();
  const form = useDraftForm(`mark:${load.id}`, {
    kind: choice(['tied', 'inked'], 'tied'),
    looks: words(),
    lengthOutM: neededQuantity('length', LIMITS.segmentLengthM),
  });
  const last = record.lineMarks.at(-1);
  const store = (): Promise<void> =>
    form.submit((mark) =>
      sendNow(
        'markLine',
        { boatId: record.boat.id, rigId: record.id },
        { ...mark, loadId: load.id },
        'The mark is on record.',
      ),
    );
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
        <FormChoice form={form} name="kind" label="Mark is" options={KINDS} />
        <FormText form={form} name="looks" label="It looks like" />
        <FormQuantity form={form} name="lengthOutM" label="True length out" />
      </div>
      <div className="flex flex-wrap gap-2">
        <Button disabled={state.kind === 'sending'} onClick={() => void store()}>
          Note this mark
        </Button>
        {last && <UndoButton kind="lineMark" id={last.id} what="mark" reason="undone by the person who made it" />}
      </div>
    </div>
  );
}
