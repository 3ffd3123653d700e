'use client';

import { useMemo } from 'react';
import { USUAL_SET_SHARE } from '@/core/drag/usualSetShare';
import type { DragEnvelope } from '@/core/drag/dragEnvelope';
import { USUAL_RUN } from '@/core/drag/waterPull';
import { riskOfRig } from '@/core/rig/drag/riskOfRig';
import { surgeOfRig, USUAL_JERK_M, type DragOfRig } from '@/core/rig/drag/surgeOfRig';
import type { RigView } from '@/core/rig/view/rigView';
import { TextField } from '@/components/fields/TextField';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Formatter } from '@/words/format';
import { BackOffCard } from './BackOffCard';
import { CardBoundary } from '@/components/ui/CardBoundary';
import { RiskWords } from './RiskWords';
import type { useSpeed } from './useSpeed';

/** A hundred metres of 0.4 mm line drawn broadside through the sea at 1 m/s (N), with a cylinder's drag of 1.2. */
const BELLY_N = 25;

/** In words: what the drag becomes as line leaves, what that is of each strength, and how likely anything breaks. */
export function LeftAlone({
  view,
  drag,
  isSet,
  envelope,
  speed,
}: {
  view: RigView;
  drag: DragOfRig;
  isSet: boolean;
  envelope: DragEnvelope;
  /** How fast the fish is taken to run. */
  speed: ReturnType<typeof useSpeed>;
}) {
  const { forceN, breakawayRatio, isJerkRead } = drag;
  const { format } = useUnits();
  const { record, inReach, reach } = view;
  const { line } = view.current;
  const risk = useMemo(() => {
    const run = { ...USUAL_RUN, speedMS: speed.speedMS ?? 0 };
    if (!inReach) return null;
    const surgeAt = (lengthOutM: number) =>
      surgeOfRig(view, { forceN, breakawayRatio, isJerkRead }, lengthOutM, USUAL_JERK_M)?.peakN ?? null;
    return riskOfRig(record, line, inReach, envelope, run, reach.outM, surgeAt);
  }, [envelope, inReach, record, line, speed.speedMS, reach.outM, view, forceN, breakawayRatio, isJerkRead]);
  const last = envelope.points.at(-1);
  if (!last) return null;
  return (
    <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
      <div className="text-sm">
        <p>
          {isSet ? 'As it was set' : 'At the target'}, {format.force(forceN)} becomes{' '}
          <b className="figures">{format.force(last.tipForceN, last.tipPlusMinusN)}</b> at the tip with{' '}
          {format.length(reach.outM)} out, as far as it may be (× {last.dragFactor.toFixed(2)}): the same torque acts on
          a smaller spool. At the fish it is{' '}
          <b className="figures">{format.force(last.fishForceN, last.fishPlusMinusN)}</b>, with the water&apos;s own
          pull on the line.
        </p>
        <Passes envelope={envelope} />
        {risk && (
          <CardBoundary title="How likely it breaks">
            <RiskWords rig={risk} outM={view.reach.outM} jerkM={USUAL_JERK_M} />
          </CardBoundary>
        )}
        <p className="mt-1">
          Not counted: a belly that the line makes to the side. It loads far more: about {format.force(BELLY_N)} for{' '}
          {format.length(100)} of thin line drawn broadside at 2 kn. Nor a hot or wet drag, which differs by 10 to 20 %.
          The ± takes the scale as good to {format.percent(USUAL_SET_SHARE)}, a default.
        </p>
        <div className="mt-2 w-56">
          <TextField label="The fish runs at, kn" {...speed.field} hint="through the water; a default until you say" />
        </div>
      </div>
      <BackOffCard view={view} forceN={forceN} />
    </div>
  );
}

/** Where shares of the strength are passed, and how far the drag may be left alone. */
function Passes({ envelope }: { envelope: DragEnvelope }) {
  const { format } = useUnits();
  const passed = envelope.passes.flatMap(({ share, lengthOutM }) =>
    lengthOutM === null ? [] : [`${format.percent(share)} at ${format.length(lengthOutM)}`],
  );
  const last = envelope.points.at(-1);
  const { safeLengthM, safeBetweenM } = envelope;
  const [leastM, mostM] = safeBetweenM;
  const toTheEnd = safeLengthM !== null && last !== undefined && safeLengthM >= last.lengthOutM - 1e-6;
  return (
    <p className="mt-1">
      {passed.length > 0
        ? `Of what the place nearest to breaking holds it passes ${passed.join(', ')} out. `
        : 'It stays under half of what any place holds all the way. '}
      {toTheEnd
        ? 'In the mean it holds all the way'
        : safeLengthM === null
          ? 'It is too much from the start'
          : `In the mean it holds to ${format.length(safeLengthM)} out`}
      {!toTheEnd || leastM !== safeLengthM ? betweenWords(format, leastM, mostM, last?.lengthOutM ?? 0) : ''}
      {boundWords(envelope, format)}
    </p>
  );
}

/** The same by what 95 of 100 hold, or that it cannot be said. */
function boundWords({ points, safeByBoundM }: DragEnvelope, format: Formatter): string {
  const last = points.at(-1);
  const unknown = points.find((point) => !point.isBoundWhole);
  if (unknown && (safeByBoundM === null || unknown.lengthOutM > safeByBoundM))
    return `; what 95 of 100 hold is not known ${unknown.lengthOutM > 0 ? `beyond ${format.length(safeByBoundM ?? 0)} out` : 'of every place that is out'}: unknown is not safe.`;
  if (safeByBoundM === null) return '; by what 95 of 100 hold it is too much from the start.';
  if (last && safeByBoundM < last.lengthOutM - 1e-6)
    return `; by what 95 of 100 hold, to ${format.length(safeByBoundM)}.`;
  return '; so do 95 of 100 such rigs.';
}

/** Where the true end of what is safe may lie, by the ± of the pull and of the strength. */
function betweenWords(format: Formatter, leastM: number | null, mostM: number | null, endM: number): string {
  if (mostM === null) return '';
  const most = mostM >= endM - 1e-6 ? 'the end' : format.length(mostM);
  if (leastM === null) return ` (by its ± it may be too much from the start, at best not before ${most})`;
  const least = format.length(leastM);
  return least === most ? ' (the ± changes nothing of that)' : ` (by its ± between ${least} and ${most})`;
}
