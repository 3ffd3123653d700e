'use client';

import { extent, ticks } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { TraceColumn } from '@/core/force/forceTrace';
import { fromSi } from '@/core/units/units';
import { useUnits } from '@/components/units/UnitsProvider';

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
  const x = scaleLinear([fromS, toS], [LEFT, WIDTH - 6]);
  const y = scaleLinear([low < -NOISE_SHARE * high ? low : 0, Math.max(high, 0)], [HEIGHT - BOTTOM, 8]).nice(4);
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
      {ticks(...(y.domain() as [number, number]), 4).map((tick) => (
        <g key={tick}>
          <line x1={LEFT} x2={WIDTH - 6} y1={y(tick)} y2={y(tick)} className="stroke-edge" />
          <text x={LEFT - 5} y={y(tick) + 4} textAnchor="end" className="figures fill-ink-soft text-[12px]">
            {tick}
          </text>
        </g>
      ))}
      {ticks(fromS, toS, 5).map((tick) => (
        <text key={tick} x={x(tick)} y={HEIGHT - 5} textAnchor="middle" className="figures fill-ink-soft text-[12px]">
          {tick} s
        </text>
      ))}
      <text x={4} y={14} className="fill-ink text-[12px] font-semibold">
        {units.force}
      </text>
      <path d={path ?? ''} fill="none" className="stroke-chalk" strokeWidth={1.4} strokeLinejoin="round" />
    </svg>
  );
}
