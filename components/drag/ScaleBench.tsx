'use client';

import { Dialog } from 'radix-ui';
import type { KeyboardEvent } from 'react';
import type { DragSettingRecord } from '@/core/record/record';
import { BenchFooter } from '@/components/bench/BenchFooter';
import { BenchSheet } from '@/components/bench/BenchSheet';
import { TracePlot } from '@/components/bench/TracePlot';
import { QuantityField } from '@/components/fields/QuantityField';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { verdictWords, type Scale } from './useScale';

const KIND_WORDS = {
  'warm-up': 'A warm-up pull: it does not count.',
  'bent rod': 'Through the bent rod, as with a fish. Pull slowly; the moving pull counts, not the jerk.',
  straight: "Straight off the reel, the rod pointed at the scale: for the guides' own factor.",
} as const;

/**
 * The scale with wet hands: how much more or less, huge; the pull beside it. Space pulls and records, T says that the drag
 * was turned, U undoes, Escape leaves.
 */
export function ScaleBench({
  scale,
  setting,
  onLeave,
}: {
  scale: Scale;
  setting: DragSettingRecord;
  onLeave: () => void;
}) {
  const { record } = useRig();
  const { format } = useUnits();
  const { moving, busy, judgement } = scale;
  const isSet = judgement?.verdict === 'set';
  const onKey = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') return onLeave();
    // Digits and blanks belong to the figure that is being typed.
    if (event.target instanceof HTMLInputElement) return;
    if (event.key.toLowerCase() === 'u') void scale.undo();
    else if (event.key.toLowerCase() === 't') scale.setTurned(!scale.turned);
    else if (event.key === ' ') {
      event.preventDefault();
      if (busy) return;
      if (moving.value !== null) void scale.recordPull();
      else if (record.hasVirtualReel) void scale.pull();
    }
  };
  const accept = async (): Promise<void> => {
    if (await scale.accept()) onLeave();
  };
  return (
    <BenchSheet onKey={onKey} onLeave={onLeave}>
      <Dialog.Title className="lettered text-2xl sm:text-3xl">
        {verdictWords(judgement, scale.warmUps, format.force)}
      </Dialog.Title>
      <p className="mt-1 text-lg">
        {KIND_WORDS[scale.kind]} Rod secured or held by somebody; gloves; never a wrap round a hand.
      </p>
      <div className="grow content-center py-3">
        <p className="text-lg text-ink-soft">
          {scale.liveN !== null ? 'pulling' : moving.value === null ? 'the last pulls' : 'this pull'}
        </p>
        <p
          className="figures text-6xl leading-none font-bold text-chalk sm:text-[9rem]"
          aria-live="polite"
          data-testid="scale-reading"
        >
          {scale.liveN !== null
            ? format.force(scale.liveN)
            : moving.value !== null
              ? format.force(moving.value)
              : judgement
                ? format.force(judgement.medianN)
                : '···'}
        </p>
        <p className="mt-2 text-xl">of {format.force(setting.targetN)} at the tip</p>
        {scale.unread && (
          <p role="alert" className="text-lg font-semibold text-stop">
            {scale.unread}
          </p>
        )}
        <TracePlot samples={scale.samples} label="The pull" />
      </div>
      <div className="grid gap-3">
        <QuantityField label="Or type the moving pull" {...moving.field} />
        {record.hasVirtualReel && (
          <div className="grid grid-cols-4 gap-2">
            <Button className="col-span-4 min-h-14" disabled={busy} onClick={() => void scale.pull()}>
              Pull the virtual scale (simulated)
            </Button>
            {[-10, -2, 2, 10].map((clicks) => (
              <Button
                key={clicks}
                className="min-h-14 min-w-0"
                disabled={busy}
                aria-label={`${clicks > 0 ? 'Tighten' : 'Ease'} the virtual drag by ${Math.abs(clicks)}`}
                onClick={() => void scale.turn(clicks)}
              >
                {clicks > 0 ? `+${clicks}` : `−${-clicks}`}
              </Button>
            ))}
          </div>
        )}
        <Button className="min-h-14" aria-pressed={scale.turned} onClick={() => scale.setTurned(!scale.turned)}>
          {scale.turned ? 'Turned since the last pull' : 'I turned the drag'} <kbd className="figures text-sm">T</kbd>
        </Button>
        {isSet && moving.value === null ? (
          <Button weight="main" className="min-h-20 text-2xl" disabled={busy} onClick={() => void accept()}>
            Accept this setting
          </Button>
        ) : (
          <Button
            weight="main"
            className="min-h-20 text-2xl"
            disabled={busy || moving.value === null}
            onClick={() => void scale.recordPull()}
          >
            Record this pull <kbd className="figures text-base">space</kbd>
          </Button>
        )}
        <BenchFooter back="Undo" disabled={busy || setting.pulls.length === 0} onBack={() => void scale.undo()} />
      </div>
    </BenchSheet>
  );
}
