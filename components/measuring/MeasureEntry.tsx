'use client';

import { towedRig } from '@/core/rig/tow/towedRig';
import { WalkForm } from '@/components/count/WalkForm';
import { LeverPull } from '@/components/drag/LeverPull';
import { JoinBreaksInside } from '@/components/joins/JoinBreaksInside';
import { ReverseFill } from '@/components/load/reel/ReverseFill';
import { Checkpoint } from '@/components/load/wind/Checkpoint';
import { useRig } from '@/components/rig/RigProvider';
import { SessionInside } from '@/components/strength/SessionInside';
import { WaterMarkForm } from '@/components/tow/WaterMarkForm';
import type { EntryProps } from '@/components/worth/entry';
import { DimensionEntry } from './DimensionEntry';
import { LurePullEntry } from './LurePullEntry';
import { TenMetresEntry } from './TenMetresEntry';
import { ThicknessEntry } from './ThicknessEntry';

/** Where a measurement is typed in: the very entry that its station has. */
export function MeasureEntry({ option, wraps, onDone }: EntryProps) {
  const { record, view } = useRig();
  const { load } = record;
  switch (option.kind) {
    case 'wraps':
    case 'line-caliper':
      return <ThicknessEntry lineId={option.of} way={option.kind} usualWraps={wraps} onDone={onDone} />;
    case 'rim':
    case 'arbor':
    case 'width':
      return <DimensionEntry what={option.kind} onDone={onDone} />;
    case 'level': {
      const outermost = load?.segments.findLast((segment) => segment.wound);
      return load && outermost ? <Checkpoint segmentId={outermost.segmentId} loadId={load.id} onDone={onDone} /> : null;
    }
    case 'walk':
      return load && <WalkForm load={load} only="tape" />;
    case 'turns':
      return load ? <WalkForm load={load} only="turns" /> : <NeedsLoad />;
    case 'colours':
      return load && <WalkForm load={load} only="colour" />;
    case 'spool':
      return <ReverseFill aloneId={option.of} onDone={onDone} />;
    case 'line-pulls':
      return <SessionInside ids={[option.of]} />;
    case 'join-pulls': {
      const join = record.joins.find((each) => each.id === option.of);
      return join ? <JoinBreaksInside join={join} /> : null;
    }
    case 'lever-pull':
      return load && <LeverPull load={load} />;
    case 'water-mark':
      return view && <WaterMarkForm view={view} rig={towedRig(view)} onNoted={onDone} />;
    case 'lure-pull':
      return <LurePullEntry onDone={onDone} />;
    case 'ten-metres':
      return <TenMetresEntry lineId={option.of} onDone={onDone} />;
    case 'straight-pull':
      return (
        <p>
          Begin a scale session below the target, if none has begun. Note the pulls through the rod, choose{' '}
          <b>straight</b> for the others, at the same setting.
        </p>
      );
  }
}

function NeedsLoad() {
  return <p>Turns are noted with a load on the reel: note them at the Count station once one is wound.</p>;
}
