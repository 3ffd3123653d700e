'use client';

import { useMemo } from 'react';
import { dragFactorSd } from '@/core/calibration/dragFactorSd';
import { dragEnvelope, type DragEnvelope } from '@/core/drag/dragEnvelope';
import { ERRORS } from '@/core/measurement/errors';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { USUAL_RUN } from '@/core/drag/waterPull';
import type { Figure } from '@/core/provenance/figure';
import { riskOfRig } from '@/core/rig/drag/riskOfRig';
import { surgeOfRig, USUAL_JERK_M, type DragOfRig } from '@/core/rig/drag/surgeOfRig';
import type { RigView } from '@/core/rig/view/rigView';
import type { Formatter } from '@/words/format';
import { fromSi } from '@/core/units/units';
import { TextField } from '@/components/fields/TextField';
import { LensChart, type LensCurve } from '@/components/line/LensChart';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { BackOffCard } from './BackOffCard';
import { RiskWords } from './RiskWords';
import { useSpeed } from './useSpeed';

/** The usual ± of three pulls with a scale, as a share (from memory). */
const SET_SHARE = PLUS_MINUS_SDS * ERRORS.dragSetShare.sd;

/** A hundred metres of 0.4 mm line drawn broadside through the sea at 1 m/s (N), with a cylinder's drag of 1.2. */
const BELLY_N = 25;

/** What a drag becomes as line leaves: at the tip, at the fish, against what each place holds. */
export function EnvelopeLens({ view, drag, isSet }: { view: RigView; drag: DragOfRig; isSet: boolean }) {
  const { forceN, breakawayRatio, isJerkRead } = drag;
  const { record } = useRig();
  const { units, format } = useUnits();
  const speed = useSpeed(`run-speed:${record.id}`, 6, 40);
  const { inReach, reach, ruler } = view;
  const { line } = view.current;
  const envelope = useMemo((): DragEnvelope | null => {
    const set = { forceN, plusMinusN: SET_SHARE * forceN, lengthOutM: 0 };
    const run = { ...USUAL_RUN, speedMS: speed.speedMS ?? 0 };
    return inReach ? dragEnvelope(line, inReach, set, run, undefined, dragFactorSd(ruler, 0), reach.outM) : null;
  }, [line, inReach, forceN, speed.speedMS, ruler, reach.outM]);
  const risk = useMemo(() => {
    const run = { ...USUAL_RUN, speedMS: speed.speedMS ?? 0 };
    if (!envelope || !inReach) return null;
    const surgeAt = (lengthOutM: number) =>
      surgeOfRig(view, { forceN, breakawayRatio, isJerkRead }, lengthOutM, USUAL_JERK_M)?.peakN ?? null;
    return riskOfRig(record, line, inReach, envelope, run, reach.outM, surgeAt);
  }, [envelope, inReach, record, line, speed.speedMS, reach.outM, view, forceN, breakawayRatio, isJerkRead]);
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
  return (
    <div className="flex flex-col gap-4">
      <LensChart
        view={view}
        title="Drag left alone, as line leaves"
        axis={`${units.force}, bands ± 95 %`}
        curves={curves}
        describe={`The pull at the tip rises from ${format.force(forceN)} to ${format.force(last.tipForceN)} with ${format.length(reach.outM)} out, and at the fish to ${format.force(last.fishForceN)}.`}
      />
      <AboveBound envelope={envelope} />
      <CollapsibleCard
        id="left-alone"
        title="Left alone, as line leaves"
        line={`${format.force(last.tipForceN)} at the tip with ${format.length(reach.outM)} out; ${heldWords(envelope, format)}`}
      >
        <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
          <div className="text-sm">
            <p>
              {isSet ? 'As it was set' : 'At the target'}, {format.force(forceN)} becomes{' '}
              <b className="figures">{format.force(last.tipForceN, last.tipPlusMinusN)}</b> at the tip with{' '}
              {format.length(reach.outM)} out, as far as it may be (× {last.dragFactor.toFixed(2)}): the same torque
              acts on a smaller spool. At the fish it is{' '}
              <b className="figures">{format.force(last.fishForceN, last.fishPlusMinusN)}</b>, with the water&apos;s own
              pull on the line.
            </p>
            <Passes envelope={envelope} />
            {risk && <RiskWords rig={risk} outM={view.reach.outM} jerkM={USUAL_JERK_M} />}
            <p className="mt-1">
              Not counted: a belly that the line makes to the side, which loads far more (about {format.force(BELLY_N)}{' '}
              for {format.length(100)} of thin line drawn broadside at 2 kn), and a hot or wet drag, which differs by 10
              to 20 %. The ± takes the scale as good to {format.percent(SET_SHARE)}, a default.
            </p>
            <div className="mt-2 w-56">
              <TextField
                label="The fish runs at, kn"
                {...speed.field}
                hint="through the water; a default until you say"
              />
            </div>
          </div>
          <BackOffCard view={view} forceN={forceN} />
        </div>
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
      points: envelope.points.map((p) => ({ lengthM: p.lengthOutM, value: show(p.weakest.strengthN.value) })),
    },
    {
      name: '95 of 100 hold',
      look: 'stroke-warn text-warn',
      dashed: true,
      points: envelope.points.flatMap((p) =>
        p.boundShare === null ? [] : [{ lengthM: p.lengthOutM, value: show(p.tensionN / p.boundShare) }],
      ),
    },
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
