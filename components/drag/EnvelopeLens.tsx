'use client';

import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { USUAL_SET_SHARE } from '@/core/drag/usualSetShare';
import { dragFactorSd } from '@/core/calibration/dragFactorSd';
import { dragEnvelope, type DragEnvelope } from '@/core/drag/dragEnvelope';
import { USUAL_RUN } from '@/core/drag/waterPull';
import type { Figure } from '@/core/provenance/figure';
import { surgeOfRig, USUAL_JERK_M, type DragOfRig } from '@/core/rig/drag/surgeOfRig';
import type { RigView } from '@/core/rig/view/rigView';
import type { Formatter } from '@/words/format';
import { fromSi } from '@/core/units/units';
import { inSteps } from '@/components/line/inSteps';
import { LensChart, type LensCurve } from '@/components/line/LensChart';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { fetched } from '@/components/ui/fetched';
import { useSpeed } from './useSpeed';

/** Loaded when it is first opened. */
const LeftAlone = dynamic(() => fetched(() => import('./LeftAlone')).then(({ LeftAlone: loaded }) => loaded), {
  ssr: false,
});

interface Props {
  readonly view: RigView;
  readonly drag: DragOfRig;
  readonly isSet: boolean;
  /** While hands are at the scale, the drawing waits in the fold of its words. */
  readonly isFolded: boolean;
}

/** What a drag becomes as line leaves: at the tip, at the fish, against what each place holds. */
export function EnvelopeLens({ view, drag, isSet, isFolded }: Props) {
  const { forceN, breakawayRatio, isJerkRead } = drag;
  const { record } = useRig();
  const { units, format } = useUnits();
  const speed = useSpeed(`run-speed:${record.id}`, 6, 40);
  const { inReach, reach, ruler } = view;
  const { line } = view.current;
  const envelope = useMemo((): DragEnvelope | null => {
    const set = { forceN, plusMinusN: USUAL_SET_SHARE * forceN, lengthOutM: 0 };
    const run = { ...USUAL_RUN, speedMS: speed.speedMS ?? 0 };
    return inReach ? dragEnvelope(line, inReach, set, run, undefined, dragFactorSd(ruler, 0), reach.outM) : null;
  }, [line, inReach, forceN, speed.speedMS, ruler, reach.outM]);
  const surges = useMemo(
    () => surgesAlong(view, { forceN, breakawayRatio, isJerkRead }),
    [view, forceN, breakawayRatio, isJerkRead],
  );
  const curves = useMemo(
    () => (envelope ? curvesOf(envelope, surges, units.force) : []),
    [envelope, surges, units.force],
  );
  const last = envelope?.points.at(-1);
  if (!envelope || !last) return null;
  const chart = (
    <LensChart
      view={view}
      title="Drag left alone, as line leaves"
      axis={`${units.force}, bands ± 95 %`}
      curves={curves}
      describe={`The pull at the tip rises from ${format.force(forceN)} to ${format.force(last.tipForceN)} with ${format.length(reach.outM)} out, and at the fish to ${format.force(last.fishForceN)}.`}
    />
  );
  return (
    <div className="flex min-w-0 flex-col gap-4 has-data-[state=open]:lg:col-span-2">
      {!isFolded && chart}
      <AboveBound envelope={envelope} />
      <CollapsibleCard
        id="left-alone"
        title="Left alone, as line leaves"
        line={`${format.force(last.tipForceN)} at the tip with ${format.length(reach.outM)} out; ${heldWords(envelope, format)}`}
      >
        {isFolded && chart}
        <LeftAlone view={view} drag={drag} isSet={isSet} envelope={envelope} speed={speed} />
      </CollapsibleCard>
    </div>
  );
}

/** Lengths at which a jerk is worked out, the denser the less is out: there it changes most. */
const SURGE_STATIONS = 40;

/** What a jerk comes to at lengths along the line, with its ±; none where that cannot be said. */
function surgesAlong(view: RigView, drag: DragOfRig): readonly SurgePoint[] {
  const { outM } = view.reach;
  return Array.from({ length: SURGE_STATIONS }, (_, index) => outM * ((index + 1) / SURGE_STATIONS) ** 2).flatMap(
    (lengthM) => {
      const found = surgeOfRig(view, drag, lengthM, USUAL_JERK_M);
      return found ? [{ lengthM, peakN: found.peakN }] : [];
    },
  );
}

interface SurgePoint {
  readonly lengthM: number;
  readonly peakN: Figure;
}

function curvesOf(envelope: DragEnvelope, surges: readonly SurgePoint[], unit: string): readonly LensCurve[] {
  const show = (valueN: number): number => fromSi('force', valueN, unit);
  const bound: LensCurve = {
    name: '95 of 100 hold',
    look: 'stroke-warn text-warn',
    dashed: true,
    points: inSteps(
      envelope.points.map(({ lengthOutM, tensionN, boundShare, isBoundWhole }) => ({
        lengthM: lengthOutM,
        value: boundShare === null || !isBoundWhole ? null : show(tensionN / boundShare),
      })),
    ),
  };
  return [
    {
      name: 'pull at the tip',
      look: 'stroke-chalk text-chalk',
      points: envelope.points.map((p) => ({
        lengthM: p.lengthOutM,
        value: show(p.tipForceN),
        plusMinus: show(p.tipPlusMinusN),
      })),
    },
    {
      name: 'pull at the fish',
      look: 'stroke-go text-go',
      points: envelope.points.map((p) => ({
        lengthM: p.lengthOutM,
        value: show(p.fishForceN),
        plusMinus: show(p.fishPlusMinusN),
      })),
    },
    {
      name: 'with a jerk',
      look: 'stroke-ink-soft text-ink-soft',
      points: surges.map(({ lengthM, peakN }) => ({
        lengthM,
        value: show(peakN.value),
        plusMinus: show(peakN.plusMinus),
      })),
    },
    {
      name: 'place nearest to breaking',
      look: 'stroke-stop text-stop',
      dashed: true,
      points: inSteps(envelope.points.map((p) => ({ lengthM: p.lengthOutM, value: show(p.weakest.strengthN.value) }))),
    },
    // Where a place that is out has no bound, what 95 of 100 hold is not known, and not drawn.
    ...(envelope.points[0]?.isBoundWhole ? [bound] : []),
  ];
}

/** Said first of all: more than 95 of 100 such rigs hold, from the start. */
function AboveBound({ envelope }: { envelope: DragEnvelope }) {
  const first = envelope.points[0];
  if (!first || first.boundShare === null || first.boundShare < 1) return null;
  return (
    <p className="mb-1 text-base font-semibold text-stop">
      From the start it pulls more than 95 of 100 such rigs hold: set it lighter before anything else.
    </p>
  );
}

/** How far the drag may be left alone in the mean, for the head of the fold. */
function heldWords({ points, safeLengthM }: DragEnvelope, format: Formatter): string {
  const endM = points.at(-1)?.lengthOutM ?? 0;
  if (safeLengthM === null) return 'too much from the start, back off';
  return safeLengthM < endM - 1e-6
    ? `too much beyond ${format.length(safeLengthM)}, back off`
    : 'in the mean it holds all the way';
}
