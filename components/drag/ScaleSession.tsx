'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { STICKY_RATIO } from '@/core/drag/readPull';
import type { ScaleSession as Judgement } from '@/core/drag/scaleSession';
import type { DragPullRecord, DragSettingRecord } from '@/core/record/record';
import { TracePlot } from '@/components/bench/TracePlot';
import { UndoButton } from '@/components/bench/UndoButton';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { QuantityField } from '@/components/fields/QuantityField';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { fetched } from '@/components/ui/fetched';
import { GuideFactor, PullList } from './SessionPulls';
import { useScale, verdictWords } from './useScale';

/** Loaded when it is first asked for. */
const ScaleBench = dynamic(() => fetched(() => import('./ScaleBench')).then(({ ScaleBench: loaded }) => loaded), {
  ssr: false,
});

const PULL_KINDS: readonly { value: DragPullRecord['kind']; text: string }[] = [
  { value: 'warm-up', text: 'warm-up, does not count' },
  { value: 'bent rod', text: 'through the bent rod' },
  { value: 'straight', text: 'straight off the reel' },
];

/** Pulls with a scale until the last three agree with the target and with each other. */
export function ScaleSession({ setting }: { setting: DragSettingRecord }) {
  const { record } = useRig();
  const scale = useScale(setting);
  const [onBench, setOnBench] = useState(false);
  const { kind, moving, breakaway, busy, fieldError, judgement, warmUps, samples, unread, turned } = scale;
  const last = setting.pulls.at(-1);
  const isSet = judgement?.verdict === 'set';
  const turnedOnce = setting.pulls.some((pull) => pull.settingStep > 0);

  return (
    <div className="grid items-start gap-4 lg:grid-cols-[3fr_2fr]">
      <div className="flex min-w-0 flex-col gap-4">
        <Verdict setting={setting} judgement={judgement} warmUps={warmUps} />
        <Caution>
          Rod secured or held by somebody. Never a wrap round a hand; gloves with braid. Pull slowly and read the moving
          pull, not the jerk.
        </Caution>
        <div className="grid grid-cols-2 gap-2 lg:grid-cols-3">
          <div className="col-span-2 lg:col-span-1">
            <ChoiceField
              label="This pull is"
              value={kind}
              options={PULL_KINDS}
              onChange={scale.pick}
              hint="one straight off the reel gives the guides' own factor"
            />
          </div>
          <QuantityField label="Moving pull" {...moving.field} error={fieldError('movingN')} />
          <QuantityField
            label="Jerk that starts it"
            {...breakaway.field}
            error={fieldError('breakawayN')}
            hint="leave empty if not read"
          />
        </div>
        <label className="flex min-h-11 items-center gap-2 text-sm">
          <input
            type="checkbox"
            checked={turned}
            onChange={(event) => scale.setTurned(event.target.checked)}
            className="size-5 accent-chalk"
          />
          the drag was turned since the last pull
        </label>
        {turned && record.reel.dragKind !== 'lever' && (
          <div className="w-56">
            <TextField
              label="Turned by, tighter +"
              {...scale.turns.field}
              hint="turns of the star; leave empty if not told"
            />
          </div>
        )}
        <div className="flex flex-wrap gap-2">
          <Button
            weight={isSet ? 'plain' : 'main'}
            disabled={busy || moving.value === null}
            onClick={() => void scale.recordPull()}
          >
            {scale.isSaving ? 'Saving …' : 'Record this pull'}
          </Button>
          <Button onClick={() => setOnBench(true)}>Bench mode</Button>
          <Button weight={isSet ? 'main' : 'plain'} disabled={busy || !isSet} onClick={() => void scale.accept()}>
            Accept this setting
          </Button>
          {last && <UndoButton kind="dragPull" id={last.id} what="pull" reason="undone at the scale" />}
          <Button weight="quiet" disabled={busy} onClick={() => void scale.drop()}>
            Call this session off
          </Button>
        </div>
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        {record.hasVirtualReel && (
          <VirtualBench instrument="scale on the virtual reel">
            <Button disabled={busy} onClick={() => void scale.pull()}>
              Pull the virtual scale
            </Button>
            {[-20, -5, -1, 1, 5, 20].map((clicks) => (
              <Button
                key={clicks}
                disabled={busy}
                aria-label={`${clicks > 0 ? 'Tighten' : 'Ease'} the virtual drag by ${Math.abs(clicks)}`}
                onClick={() => void scale.turn(clicks)}
              >
                {clicks > 0 ? `+${clicks}` : `−${-clicks}`}
              </Button>
            ))}
            <TracePlot samples={samples} label="The virtual pull" />
            {unread && (
              <p role="alert" className="font-semibold text-stop">
                {unread}
              </p>
            )}
          </VirtualBench>
        )}
        <PullList setting={setting} />
        {record.dragSetting?.acceptedAt && (
          <p className="text-sm text-ink-soft">
            {turnedOnce
              ? 'The drag was turned in this session: what was accepted before is not claimed any more. Called off, it counts again, so turn it back first.'
              : 'What was accepted before stays in force until this session is accepted.'}
          </p>
        )}
        <GuideFactor setting={setting} />
      </div>
      {onBench && <ScaleBench scale={scale} setting={setting} onLeave={() => setOnBench(false)} />}
    </div>
  );
}

function Verdict({
  setting,
  judgement,
  warmUps,
}: {
  setting: DragSettingRecord;
  judgement: Judgement | null;
  warmUps: number;
}) {
  const { format } = useUnits();
  return (
    <div aria-live="polite">
      <p className="figures text-4xl font-bold">
        {judgement ? format.force(judgement.medianN) : '–'}{' '}
        <span className="text-lg">of {format.force(setting.targetN)}</span>
      </p>
      <p className="text-lg font-semibold">{verdictWords(judgement, warmUps, format.force)}</p>
      {judgement?.sticky && judgement.breakawayRatio !== null && (
        <p className="mt-1 text-sm text-warn">
          It starts at {judgement.breakawayRatio.toFixed(2)} times its moving pull; above {STICKY_RATIO} a drag is
          sticky, and a light fish breaks off at the start. Washers want cleaning: see a qualified technician.
        </p>
      )}
    </div>
  );
}
