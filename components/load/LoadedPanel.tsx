'use client';

import { useState } from 'react';
import type { LineChangeRecord, LoadRecord } from '@/core/rig/record';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { useSend } from '@/components/http/useSend';
import { SpoolSection } from '@/components/line/SpoolSection';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { LIMITS } from '@/usecases/limits';
import { ReelFacts } from './ReelFacts';

/** A finished load: what is really on, and what has changed since. */
export function LoadedPanel({ load, onPlan }: { load: LoadRecord; onPlan: () => void }) {
  const { view, cursorM } = useRig();
  const { format } = useUnits();
  if (!view) return null;
  const { line, packingFactor, levelMeasured } = view.current;
  const levelM = load.levelBelowRimM;
  return (
    <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
      <div className="flex min-w-0 flex-col gap-4">
        <Card title="What is on the reel">
          <p className="mb-3">
            {levelM === null
              ? 'The level was not measured, so lengths and diameters rest on the believed packing.'
              : `The level was measured ${format.small(Math.abs(levelM))} ${levelM >= 0 ? 'under' : 'above'} the rim: this line packs ${format.percent(Math.abs(packingFactor - 1))} ${packingFactor >= 1 ? 'tighter' : 'looser'} than believed, and every diameter below follows the measurement.`}
            {levelM !== null &&
              levelM < 0 &&
              ' That is overfull: it rubs the frame, and each turn takes more line than the counter thinks.'}
          </p>
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Segments as wound">
            <table className="w-full text-sm">
              <thead>
                <tr className="border-b-2 border-ink text-left">
                  <th className="py-1 pr-3">from the arbor</th>
                  <th className="py-1 pr-3">planned</th>
                  <th className="py-1 pr-3">now on</th>
                  <th className="py-1 pr-3">noted at its end</th>
                  <th className="py-1">wound over</th>
                </tr>
              </thead>
              <tbody>
                {load.segments.map((segment) => {
                  const now = line.segments.find((candidate) => candidate.id === segment.segmentId);
                  const entry = load.winding.find((candidate) => candidate.segmentId === segment.segmentId);
                  return (
                    <tr key={segment.segmentId} className="border-b border-edge">
                      <td className="py-1.5 pr-3 font-semibold">{segment.name}</td>
                      <td className="figures py-1.5 pr-3 whitespace-nowrap">{format.length(segment.plannedLengthM)}</td>
                      <td className="figures py-1.5 pr-3 whitespace-nowrap">
                        {now ? format.length(now.lengthM) : 'gone'}
                      </td>
                      <td className="figures py-1.5 pr-3">
                        {segment.wound ? (entry?.reading ?? 'no counter') : 'by hand'}
                      </td>
                      <td className="figures py-1.5 whitespace-nowrap">
                        {now?.wound ? `${format.small(now.innerDiameterM)} – ${format.small(now.outerDiameterM)}` : ''}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
          {!levelMeasured && (
            <p className="mt-2 text-sm text-ink-soft">A measured level would narrow every ± on this rig.</p>
          )}
          <div className="mt-4">
            <Button onClick={onPlan}>Plan a new load</Button>
          </div>
        </Card>
        <LineChanges load={load} />
      </div>
      <Card title="The spool">
        <SpoolSection view={view} cursorM={cursorM} />
        <ReelFacts />
      </Card>
    </div>
  );
}

const REASONS: readonly { value: LineChangeRecord['reason']; text: string }[] = [
  { value: 'lost', text: 'lost: snag, wear, cut off' },
  { value: 'stripped', text: 'stripped to correct the counter' },
  { value: 'added', text: 'added' },
];

function LineChanges({ load }: { load: LoadRecord }) {
  const { record, view } = useRig();
  const { format } = useUnits();
  const { sendNow, state, fieldError } = useSend();
  const segments = view?.current.line.segments.toReversed() ?? [];
  const [segmentId, setSegmentId] = useState(segments[0]?.id ?? '');
  const [reason, setReason] = useState<LineChangeRecord['reason']>('lost');
  const length = useQuantity(`change:${load.id}`, 'length', null, LIMITS.segmentLengthM);
  const chosen = segments.some((segment) => segment.id === segmentId) ? segmentId : (segments[0]?.id ?? '');
  const noteChange = async (): Promise<void> => {
    const result = await sendNow(
      'POST',
      `/api/boats/${record.boat.id}/rigs/${record.id}/loads/${load.id}/changes`,
      { segmentId: chosen, changeM: length.value, reason, note: '' },
      'Noted. Fill, counter and drag follow; what rests on the old length is marked stale.',
    );
    if (result.ok) length.forget();
  };
  return (
    <Card title="Line lost or changed since">
      {load.changes.length > 0 && (
        <ul className="mb-3 list-disc pl-5 text-sm">
          {load.changes.map((change) => (
            <li key={change.id}>
              {load.segments.find((segment) => segment.segmentId === change.segmentId)?.name}:{' '}
              {format.length(Math.abs(change.changeM))} {change.reason}
              {change.note && ` (${change.note})`}
            </li>
          ))}
        </ul>
      )}
      <div className="grid gap-2 sm:grid-cols-[1fr_1fr_1fr_auto] sm:items-end">
        <ChoiceField
          label="Segment"
          value={chosen}
          options={segments.map((segment) => ({ value: segment.id, text: segment.name }))}
          onChange={setSegmentId}
        />
        <ChoiceField label="What happened" value={reason} options={REASONS} onChange={setReason} />
        <QuantityField label="Length" {...length.field} error={fieldError('changeM')} />
        <Button disabled={state.kind === 'sending' || length.value === null} onClick={() => void noteChange()}>
          Note it
        </Button>
      </div>
    </Card>
  );
}
