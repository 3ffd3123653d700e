'use client';

import { line as linePath } from 'd3-shape';
import { fromSi } from '@/core/units/units';
import { useUnits } from '@/components/units/UnitsProvider';
import type { FightMoment } from './useFight';
import { RightAxis, TimeAxis, ValueAxis } from '@/components/chart/Axis';
import { linear } from '@/components/chart/scale';

const WIDTH = 640;
const HEIGHT = 180;

/** A fight so far: line out and pull at the tip over time, and the moment in which tightening would have broken it. */
export function FightDrawing({ course, closestS }: { course: readonly FightMoment[]; closestS: number | null }) {
  const { units } = useUnits();
  const endS = Math.max(30, course.at(-1)?.timeS ?? 0);
  const x = linear([0, endS], [40, WIDTH - 52]);
  const force = (moment: FightMoment): number => fromSi('force', moment.tipForceN, units.force);
  const out = (moment: FightMoment): number => fromSi('length', moment.lineOutM, units.length);
  const y = linear([0, Math.max(1, ...course.map(force)) * 1.1], [HEIGHT - 22, 8]);
  const yOut = linear([0, Math.max(1, ...course.map(out)) * 1.1], [HEIGHT - 22, 8]);
  const pulls = linePath<FightMoment>(
    (moment) => x(moment.timeS),
    (moment) => y(force(moment)),
  )(course);
  const outs = linePath<FightMoment>(
    (moment) => x(moment.timeS),
    (moment) => yOut(out(moment)),
  )(course);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full max-w-3xl"
      role="img"
      aria-label="The fight so far: pull at the tip and line out over time"
    >
      <ValueAxis y={y} ticks={3} fromPx={40} toPx={WIDTH - 52} look="fill-chalk" />
      <RightAxis y={yOut} ticks={3} atPx={WIDTH - 48} unit={units.length} look="fill-stop" />
      <TimeAxis x={x} ticks={6} atPx={HEIGHT - 6} />
      {closestS !== null && (
        <line x1={x(closestS)} x2={x(closestS)} y1={4} y2={HEIGHT - 22} className="stroke-warn" strokeDasharray="4 3" />
      )}
      <path d={pulls ?? ''} fill="none" className="stroke-chalk" strokeWidth={1.4} />
      <path d={outs ?? ''} fill="none" className="stroke-stop" strokeWidth={2.2} />
      <text x={44} y={16} className="fill-chalk text-[12px] font-semibold">
        at the tip, {units.force}
      </text>
      <text x={WIDTH - 56} y={16} textAnchor="end" className="fill-stop text-[12px] font-semibold">
        line out
      </text>
    </svg>
  );
}
