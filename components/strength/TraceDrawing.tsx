'use client';

import { extent } from 'd3-array';
import { line } from 'd3-shape';
import type { TraceColumn } from '@/core/force/forceTrace';
import { fromSi } from '@/core/units/units';
import { useUnits } from '@/components/units/UnitsProvider';
import { TimeAxis, ValueAxis } from '@/components/chart/Axis';
import { linear } from '@/components/chart/scale';

const WIDTH = 440;
const HEIGHT = 180;
const LEFT = 40;
const BOTTOM = 22;
/** A force so little below zero is the gauge's noise and gets no room of its own. */
const NOISE_SHARE = 0.02;

/** Force over time of a recorded trace; every extreme of every column is drawn. */
export function TraceDrawing({ columns, tareN }: { columns: readonly TraceColumn[]; tareN: number }) {
  const { units } = useUnits();
  const show = (forceN: number): number => fromSi('force', forceN - tareN, units.force);
  const points = columns.flatMap((column): [number, number][] => [
    [column.firstS, show(column.firstN)],
    [column.secondS, show(column.secondN)],
  ]);
  const [fromS = 0, toS = 1] = extent(points, ([atS]) => atS);
  const [low = 0, high = 1] = extent(points, ([, force]) => force);
  const x = linear([fromS, toS], [LEFT, WIDTH - 6]);
  const y = linear([low < -NOISE_SHARE * high ? low : 0, Math.max(high, 0)], [HEIGHT - BOTTOM, 8], 4);
  const path = line<[number, number]>(
    ([atS]) => x(atS),
    ([, force]) => y(force),
  )(points);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full"
      role="img"
      aria-label={`Force over ${(toS - fromS).toFixed(1)} seconds, up to ${high.toFixed(2)} ${units.force}`}
    >
      <ValueAxis y={y} ticks={4} fromPx={LEFT} toPx={WIDTH - 6} />
      <TimeAxis x={x} ticks={5} atPx={HEIGHT - 5} />
      <text x={4} y={14} className="fill-ink text-[12px] font-semibold">
        {units.force}
      </text>
      <path d={path ?? ''} fill="none" className="stroke-chalk" strokeWidth={1.4} strokeLinejoin="round" />
    </svg>
  );
}
