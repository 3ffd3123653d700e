'use client';

import { line } from 'd3-shape';
import { drillTrend, type DrillTrend } from '@/core/joins/drillTrend';
import { many } from '@/words/dictionary';
import { useWidth } from '@/components/line/useWidth';
import type { Drill } from './joinsBench';
import { ValueAxis } from '@/components/chart/Axis';
import { linear } from '@/components/chart/scale';

const HEIGHT = 120;
const MARGIN = { left: 44, right: 10, top: 10, bottom: 22 } as const;

/** How pace and mistakes change from day to day, as far as that can be told from chance. */
function trendWords({ days, pace, mistakes }: DrillTrend): string {
  if (!pace || !mistakes) return `Drilled on ${many(days, 'day')}: a trend needs three.`;
  const quicker = -100 * Math.expm1(pace.perDay);
  const isPaceSure = Math.abs(pace.perDay) > pace.plusMinus;
  const isCountSure = Math.abs(mistakes.perDay) > mistakes.plusMinus;
  const paceWords = isPaceSure
    ? `A stroke takes ${Math.abs(quicker).toFixed(1)} ± ${(100 * pace.plusMinus).toFixed(1)} % ${quicker > 0 ? 'less' : 'more'} time each day`
    : `The time a stroke takes changes no more than chance (± ${(100 * pace.plusMinus).toFixed(1)} % a day)`;
  const countWords = isCountSure
    ? `mistakes in a hundred strokes ${mistakes.perDay < 0 ? 'fall' : 'rise'} by ${Math.abs(mistakes.perDay).toFixed(1)} ± ${mistakes.plusMinus.toFixed(1)} a day`
    : `mistakes change no more than chance (± ${mistakes.plusMinus.toFixed(1)} in a hundred a day)`;
  return `${paceWords}; ${countWords}.`;
}

/** Progress over drills: seconds a stroke as a line, mistakes as figures under it. */
export function DrillChart({ drills }: { drills: readonly Drill[] }) {
  const { ref, width } = useWidth<HTMLDivElement>(560);
  if (drills.length === 0) {
    return (
      <p className="text-sm text-ink-soft">No drill of this school is on record yet; the first one stands here.</p>
    );
  }
  const pace = drills.map((drill) => drill.seconds / drill.strokes);
  const top = Math.max(...pace) * 1.1;
  const x = linear([0, Math.max(1, drills.length - 1)], [MARGIN.left, width - MARGIN.right]);
  const y = linear([0, top], [HEIGHT - MARGIN.bottom, MARGIN.top]);
  const path = line<number>(
    (_, index) => x(index),
    (value) => y(value),
  )(pace);
  const last = drills.at(-1);
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`${drills.length} drills; the last one took ${(pace.at(-1) ?? 0).toFixed(1)} seconds a stroke with ${last?.mistakes ?? 0} mistakes`}
        className="block"
      >
        <ValueAxis y={y} ticks={3} fromPx={MARGIN.left} toPx={width - MARGIN.right} unit="s" />
        <path d={path ?? ''} fill="none" strokeWidth={2} className="stroke-chalk" />
        {pace.map((value, index) => (
          <g key={drills[index]?.at}>
            <circle cx={x(index)} cy={y(value)} r={3.5} className="fill-chalk" />
            <text
              x={x(index)}
              y={HEIGHT - 6}
              textAnchor="middle"
              className={`figures text-[11px] ${drills[index]?.mistakes ? 'fill-stop' : 'fill-ink-soft'}`}
            >
              {drills[index]?.mistakes}
            </text>
          </g>
        ))}
      </svg>
      <p className="text-xs text-ink-soft">Seconds a stroke, drill by drill; below each its mistakes.</p>
      <p className="mt-1 text-sm">{trendWords(drillTrend(drills))}</p>
    </div>
  );
}
