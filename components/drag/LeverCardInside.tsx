'use client';

import { line as linePath } from 'd3-shape';
import { FREE_N, leverPlace, type LeverCurve } from '@/core/drag/leverCurve';
import { ERRORS } from '@/core/measurement/errors';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { growthAt } from '@/core/rig/drag/growthInReach';
import { leverOfRig, type LeverOfRig } from '@/core/rig/drag/leverOfRig';
import type { LoadRecord } from '@/core/record/record';
import type { RigView } from '@/core/rig/view/rigView';
import { fromSi } from '@/core/units/units';
import type { Formatter } from '@/words/format';
import { UndoButton } from '@/components/bench/UndoButton';
import { useRig } from '@/components/rig/RigProvider';
import { MeasureNext } from '@/components/worth/MeasureNext';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LeverPull } from './LeverPull';
import { PresetPanel } from './PresetPanel';
import { ValueAxis } from '@/components/chart/Axis';
import { linear } from '@/components/chart/scale';

/** A lever drag: pulls at places of its sweep, the curve through them, where it stands for a pull, and its preset. */
export function LeverCardInside({ view, load, targetN }: { view: RigView; load: LoadRecord; targetN: number | null }) {
  const { record } = useRig();
  const say = useSay();
  const lever = leverOfRig(record);
  return (
    <div className="grid gap-4 sm:grid-cols-2">
      <div className="flex min-w-0 flex-col gap-3">
        <LeverPull load={load} />
        {record.leverPoints.length > 0 && (
          <UndoButton
            kind="leverPoint"
            id={record.leverPoints.at(-1)?.id ?? ''}
            what="lever pull"
            reason="undone at the scale"
          />
        )}
        <PresetPanel lever={lever} />
      </div>
      <div className="flex min-w-0 flex-col gap-3">
        {lever.curve.ok ? (
          <>
            <CurveDrawing curve={lever.curve.value} targetN={targetN} />
            <Positions view={view} lever={lever} curve={lever.curve.value} targetN={targetN} />
            <MeasureNext kinds={['lever']} />
          </>
        ) : (
          <p className={lever.curve.reason === 'too-few-places' ? '' : 'font-semibold text-stop'} role="status">
            {say(lever.curve)}
            {lever.curve.reason === 'too-few-places' &&
              ' A new reel: preset about half of its travel, lever about half of its sweep, then measure.'}
          </p>
        )}
      </div>
    </div>
  );
}

const WIDTH = 340;
const HEIGHT = 190;

function CurveDrawing({ curve, targetN }: { curve: LeverCurve; targetN: number | null }) {
  const { units, format } = useUnits();
  const show = (valueN: number): number => fromSi('force', valueN, units.force);
  const most = curve.points.at(-1)?.forceN ?? 0;
  const [fromAt, toAt] = [curve.points[0]?.position ?? 0, curve.points.at(-1)?.position ?? 1];
  const x = linear([0, 1], [38, WIDTH - 8]);
  const y = linear([0, show(most) * 1.1], [HEIGHT - 24, 8], 4);
  const path = linePath<number>(
    (position) => x(position),
    (position) => y(show(curve.forceAt(position) ?? 0)),
  )(Array.from({ length: 61 }, (_, index) => fromAt + ((toAt - fromAt) * index) / 60));
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full max-w-md"
      role="img"
      aria-label={`Pull at the tip over the lever's sweep: ${curve.points.map((point) => `${Math.round(100 * point.position)} % ${format.force(point.forceN)}`).join(', ')}`}
    >
      <ValueAxis y={y} ticks={4} fromPx={38} toPx={WIDTH - 8} />
      {[0, 0.25, 0.5, 0.75, 1].map((position) => (
        <text
          key={position}
          x={x(position)}
          y={HEIGHT - 7}
          textAnchor={position === 1 ? 'end' : 'middle'}
          className="figures fill-ink-soft text-[12px]"
        >
          {Math.round(100 * position)} %
        </text>
      ))}
      <text x={4} y={14} className="fill-ink text-[12px] font-semibold">
        {units.force}
      </text>
      {targetN !== null && targetN < most * 1.1 && (
        <line
          x1={38}
          x2={WIDTH - 8}
          y1={y(show(targetN))}
          y2={y(show(targetN))}
          className="stroke-go"
          strokeWidth={2}
          strokeDasharray="6 4"
        />
      )}
      <path d={path ?? ''} fill="none" className="stroke-chalk" strokeWidth={2.4} />
      {curve.points.map((point) => (
        <circle key={point.position} cx={x(point.position)} cy={y(show(point.forceN))} r={4.5} className="fill-ink" />
      ))}
    </svg>
  );
}

/** Why no place of what was pulled gives a pull. */
function outOfPulls(curve: LeverCurve, targetN: number, format: Formatter): string {
  const [least, most] = [curve.points[0], curve.points.at(-1)];
  if (most && most.forceN < targetN) {
    return curve.forceAt(1) === null
      ? `beyond what was pulled, ${format.force(most.forceN)} at ${Math.round(100 * most.position)} %: pull it further forward first.`
      : `the sweep does not reach ${format.force(targetN)}: the preset is too loose.`;
  }
  return curve.forceAt(0) === null && least
    ? `below what was pulled, ${format.force(least.forceN)} at ${Math.round(100 * least.position)} %: pull it further back first.`
    : `the sweep does not come down to ${format.force(targetN)}: the preset is too tight.`;
}

/** The place not to push past; as far back as was pulled where even that is too much. */
const limitPlace = (curve: LeverCurve, forceN: number): number =>
  curve.positionFor(forceN) ?? curve.points[0]?.position ?? 0;

/** Where the lever stands for free, strike and full, and what limits full. */
function Positions({
  view,
  lever,
  curve,
  targetN,
}: {
  view: RigView;
  lever: LeverOfRig;
  curve: LeverCurve;
  targetN: number | null;
}) {
  const { record } = useRig();
  const { format } = useUnits();
  const strikeAt = targetN === null ? null : leverPlace(curve, targetN);
  const limits = [
    { what: "the maker's limit", atN: record.reel.dragLimitN },
    {
      what: `the ${view.inReach?.weakest.name ?? 'weakest place'}`,
      atN: view.inReach?.weakest.strengthN.value ?? null,
    },
  ].filter((limit): limit is { what: string; atN: number } => limit.atN !== null);
  const fullN = curve.forceAt(1);
  // As line leaves the same lever pulls harder; its own ± goes on top.
  const growth = growthAt(view.current.line, view.reach.outM);
  const openShare = PLUS_MINUS_SDS * ERRORS.pullShare.sd;
  const mostN = fullN === null ? null : fullN * growth * (1 + openShare);
  const passed = limits.filter((limit) => mostN !== null && mostN > limit.atN).toSorted((a, b) => a.atN - b.atN)[0];
  const freeN = curve.forceAt(0);
  const share = (position: number): string => `${Math.round(100 * position)} % of the sweep`;
  return (
    <ul className="flex flex-col gap-1 text-sm">
      <li>
        <b>Free:</b>{' '}
        {freeN === null
          ? 'not pulled with the lever back yet: pull it there, nothing is said of it before.'
          : `${format.force(freeN)} with the lever back${freeN <= FREE_N ? ', which is free.' : ': not free.'}`}
      </li>
      <li>
        <b>Strike:</b>{' '}
        {targetN === null
          ? 'choose a target first.'
          : strikeAt === null
            ? outOfPulls(curve, targetN, format)
            : `${format.force(targetN)} at ${format.wholePercent(strikeAt.position, strikeAt.plusMinus)} of the sweep, each pull taken as good to ${format.percent(PLUS_MINUS_SDS * ERRORS.pullShare.sd)}.`}
      </li>
      <li className={passed ? 'font-semibold text-stop' : ''}>
        <b>Full:</b>{' '}
        {fullN === null || mostN === null ? (
          'not pulled with the lever forward yet: pull it there, nothing is said of it before.'
        ) : (
          <>
            {format.force(fullN, openShare * fullN)} with the lever forward, up to {format.force(mostN)} with{' '}
            {format.length(view.reach.outM)} out
            {passed
              ? `, above ${passed.what} of ${format.force(passed.atN)}. Never push past ${share(limitPlace(curve, passed.atN / (growth * (1 + openShare))))}, or turn the preset looser.`
              : limits.length > 0
                ? ", under the weakest place and the maker's limit as far as they are known."
                : '.'}
          </>
        )}
      </li>
      {lever.gain && (
        <li>
          <b>A turn of the preset:</b> {format.force(lever.gain.newtonsPerTurn)}
          {lever.gain.plusMinusN !== null && ` ± ${format.force(lever.gain.plusMinusN)}`} at{' '}
          {share(lever.gain.position)}, learned from your pulls.
        </li>
      )}
    </ul>
  );
}
