'use client';

import { useState } from 'react';
import type { ForceSample } from '@/core/force/forceSample';
import type { JoinPull } from '@/core/joins/joinEfficiency';
import { weakerLineN } from '@/core/rig/joins/joinsOfRig';
import type { JoinRecord } from '@/core/record/record';
import { readBreak } from '@/core/strength/readBreak';
import { TracePlot } from '@/components/bench/TracePlot';
import { UndoButton } from '@/components/bench/UndoButton';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { FormChoice, FormQuantity } from '@/components/fields/FormParts';
import { choice, neededQuantity } from '@/components/fields/specs';
import { useDraftForm } from '@/components/fields/useDraftForm';
import { useInstrument } from '@/components/fields/useInstrument';
import { useSend } from '@/components/http/useSend';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';

const PLACES: readonly { value: JoinPull['brokeAt']; text: string }[] = [
  { value: 'join', text: 'at the join' },
  { value: 'line', text: 'in the plain line' },
  { value: 'grip', text: 'at a grip' },
];

/** Samples of a join pulled to the break: the share of the weaker line that it keeps, which Strength then uses. */
export function JoinBreaksInside({ join }: { join: JoinRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const { sendNow, state } = useSend();
  const bench = useVirtualReel();
  const form = useDraftForm(`join-break:${join.id}`, {
    peakN: neededQuantity('force', LIMITS.forceN),
    brokeAt: choice(['join', 'line', 'grip'], 'join'),
  });
  const peakN = form.value('peakN');
  const { instrument, readBy, forget } = useInstrument(`join-break:${join.id}`, peakN);
  const [samples, setSamples] = useState<readonly ForceSample[]>([]);
  const [unread, setUnread] = useState<string | null>(null);
  const weakerN = weakerLineN(record, join);
  const last = join.breaks.at(-1);
  const busy = state.kind === 'sending' || bench.busy;
  const store = (): Promise<void> =>
    form.submit(async (seen) => {
      const result = await sendNow(
        'breakJoin',
        { boatId: record.boat.id, rigId: record.id, joinId: join.id },
        { ...seen, instrument, school: join.lastTie?.school ?? null },
        'On record. Strength and drag follow.',
      );
      if (result.ok) {
        setSamples([]);
        forget();
      }
      return result;
    });
  const pull = async (): Promise<void> => {
    const shown = await bench.work({ act: 'break-join', joinId: join.id });
    if (!shown) return;
    setSamples(shown.samples);
    const read = readBreak(shown.samples);
    setUnread(read.ok ? null : say(read));
    if (!read.ok) return;
    const shownN = read.value.toFixed(1);
    form.set('peakN', { text: shownN, unit: 'N' });
    form.set('brokeAt', 'join');
    readBy(shown.instrument, Number(shownN));
  };
  return (
    <>
      <BreaksSoFar join={join} />
      <Caution>
        Tie samples of it for this, never the join that fishes. Eye protection on, stand out of line, snap-back zone
        clear, gloves, anchor strong.
      </Caution>
      <div className="mt-3 flex flex-wrap items-start gap-3">
        <div className="w-40">
          <FormQuantity form={form} name="peakN" label="Broke at a force of" />
        </div>
        <FormChoice form={form} name="brokeAt" label="It broke" options={PLACES} />
        <Button className="mt-6" disabled={busy || weakerN === null} onClick={() => void store()}>
          Record this break
        </Button>
      </div>
      {peakN !== null && weakerN !== null && (
        <p className="mt-2 text-sm">
          That is {format.percent(peakN / weakerN)} of the weaker line, {format.force(weakerN)}.
        </p>
      )}
      {record.hasVirtualReel && (
        <div className="mt-3">
          <VirtualBench instrument="force gauge with a sample of this join">
            <Button disabled={busy} onClick={() => void pull()}>
              Break a sample on the virtual gauge
            </Button>
            <TracePlot samples={samples} label="The join pulled" />
            {unread && (
              <p role="alert" className="font-semibold text-stop">
                {unread}
              </p>
            )}
          </VirtualBench>
        </div>
      )}
      {last && <UndoButton kind="joinPull" id={last.id} what="break" reason="undone by the tester" />}
    </>
  );
}

function BreaksSoFar({ join: { breaks } }: { join: JoinRecord }) {
  const { format } = useUnits();
  if (breaks.length === 0) return null;
  return (
    <p className="figures mb-3 text-sm">
      So far:{' '}
      {breaks
        .map(
          (each) =>
            `${format.percent(each.peakN / each.weakerN)}${each.brokeAt === 'grip' ? ' (at a grip, left out)' : ''}`,
        )
        .join(', ')}
    </p>
  );
}
