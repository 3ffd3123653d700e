'use client';

import { useEffect } from 'react';
import { cutFromHook, type CutFromHook } from '@/core/rig/line/cutFromHook';
import { countMarks } from '@/core/rig/count/countMarks';
import { currentLine } from '@/core/rig/line/currentLine';
import { rigView, type RigView } from '@/core/rig/view/rigView';
import type { LoadRecord, RigRecord } from '@/core/record/record';
import { productIdNow } from '@/core/rig/line/woundSegments';
import { fittingSpool } from '@/core/supplies/fittingSpool';
import { FormChoice, FormQuantity } from '@/components/fields/FormParts';
import { choice, neededQuantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useSend } from '@/components/http/useSend';
import { placeWords } from '@/components/joins/joinLines';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';

/** "I lost 40 yd": what a length off the hook takes with it, seen on the ribbon before it is noted in one act. */
export function LineLostInside({ load }: { load: LoadRecord }) {
  const { record, setCutM } = useRig();
  const say = useSay();
  const { sendNow, state } = useSend();
  const form = useDraftForm(`lost:${load.id}`, {
    lengthM: neededQuantity('length', LIMITS.segmentLengthM),
    reason: choice(['lost', 'stripped', 'kept'], 'lost'),
  });
  const lengthM = form.value('lengthM');
  const line = currentLine(record);
  const cut = lengthM !== null && line.ok ? cutFromHook(line.value.line, record.joins, lengthM) : null;
  useEffect(() => {
    setCutM(lengthM);
    return () => setCutM(null);
  }, [lengthM, setCutM]);
  const note = (): Promise<void> =>
    form.submit((loss) =>
      sendNow(
        'loseLine',
        { boatId: record.boat.id, rigId: record.id, loadId: load.id },
        { ...loss, note: '' },
        'Noted. Counter, strength and drag follow; what rests on the old line is marked stale.',
      ),
    );
  return (
    <>
      <div className="grid grid-cols-2 items-start gap-2 sm:grid-cols-[1fr_1fr_auto]">
        <FormQuantity form={form} name="lengthM" label="Length that is gone" />
        <FormChoice
          form={form}
          name="reason"
          label="How"
          options={[
            { value: 'lost', text: 'torn off: snag, fish' },
            { value: 'stripped', text: 'cut back by hand' },
            { value: 'kept', text: 'pulled off, and kept on a spool' },
          ]}
        />
        <Button className="mt-6" disabled={state.kind === 'sending'} onClick={() => void note()}>
          Note it
        </Button>
      </div>
      {cut && !cut.ok && (
        <p role="alert" className="mt-2 font-semibold text-stop">
          {say(cut)}
        </p>
      )}
      {cut?.ok && <WhatGoes record={record} load={load} cut={cut.value} how={form.value('reason') ?? 'lost'} />}
    </>
  );
}

/** The rig as it would be with that line gone. */
function afterwards(record: RigRecord, load: LoadRecord, cut: CutFromHook): RigView | null {
  const gone = cut.pieces.map(({ segmentId, lengthM }) => ({
    id: `gone-${segmentId}`,
    segmentId,
    changeM: -lengthM,
    reason: 'lost' as const,
    note: '',
    at: record.readAt,
  }));
  return rigView({ ...record, load: { ...load, changes: [...load.changes, ...gone] } });
}

function WhatGoes({
  record,
  load,
  cut,
  how,
}: {
  record: RigRecord;
  load: LoadRecord;
  cut: CutFromHook;
  how: 'lost' | 'stripped' | 'kept';
}) {
  const { format } = useUnits();
  const after = afterwards(record, load, cut);
  const marks = after ? countMarks(after, []).filter((mark) => mark.kind === 'join') : [];
  const toMend = cut.pieces.map((piece) => {
    const productId = productIdNow(record, piece.segmentId);
    return { ...piece, spool: fittingSpool(record.supplySpools, productId, piece.lengthM) };
  });
  return (
    <div className="mt-3 flex flex-col gap-2 border-l-4 border-rule pl-3 text-sm" aria-live="polite">
      <p>
        <b>Goes:</b>{' '}
        {cut.pieces
          .map((piece) => `${piece.isWhole ? 'all of ' : ''}${piece.name}, ${format.length(piece.lengthM)}`)
          .join('; ')}
        {cut.goneJoins.length > 0 && `; with it ${cut.goneJoins.map((join) => placeWords(record, join)).join(', ')}`}.
      </p>
      <p>
        <b>Left:</b> {format.length(cut.leftM)} of line, {cut.outermost.name} outermost with{' '}
        {format.length(cut.outermost.leftM)}.
      </p>
      {how === 'lost' && cut.outermostJoin && (
        <p className="font-semibold text-warn">
          {placeWords(record, cut.outermostJoin)} bore what tore it off: due to be tied anew.
        </p>
      )}
      {marks.length > 0 && (
        <p className="figures">
          <b>{record.reel.counter ? 'The counter then' : 'Turns then'}:</b>{' '}
          {marks
            .map((mark) => `${mark.name} at ${format.counts(mark.reading.value, mark.reading.plusMinus)}`)
            .join(', ')}
          .
        </p>
      )}
      {how === 'kept' ? (
        <p>
          <b>Kept:</b> on a spool on the shelf, for another reel: put it on there from the shelf, or plan it into
          another load.
        </p>
      ) : (
        <ul>
          {toMend.map(({ segmentId, name, lengthM, spool }) => (
            <li key={segmentId}>
              <b>To mend {name}:</b>{' '}
              {spool
                ? `${spool.label} has ${format.length(spool.remainingLengthM)} of it`
                : `no spool on the shelf has ${format.length(lengthM)} of it`}
              .
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
