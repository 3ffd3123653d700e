'use client';

import { extent } from 'd3-array';
import { line } from 'd3-shape';
import type { ForceSample } from '@/core/force/forceSample';
import { useUnits } from '@/components/units/UnitsProvider';
import { linear } from '@/components/chart/scale';

const WIDTH = 320;
const HEIGHT = 96;

/** Force over time of one pull. */
export function TracePlot({ samples, label }: { samples: readonly ForceSample[]; label: string }) {
  const { format } = useUnits();
  if (samples.length === 0) return null;
  const [, end = 1] = extent(samples, (sample) => sample.timeS);
  const [, peakN = 1] = extent(samples, (sample) => sample.forceN);
  const x = linear([0, end], [2, WIDTH - 2]);
  const y = linear([0, peakN * 1.08], [HEIGHT - 14, 4]);
  const path = line<ForceSample>(
    (sample) => x(sample.timeS),
    (sample) => y(sample.forceN),
  )(samples);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${label}: peak ${format.force(peakN)} over ${end.toFixed(1)} s`}
      className="max-w-full"
    >
      <line x1={2} x2={WIDTH - 2} y1={y(0)} y2={y(0)} className="stroke-ink" />
      <path d={path ?? ''} fill="none" className="stroke-chalk" strokeWidth={1.8} />
      <text x={4} y={HEIGHT - 3} className="figures fill-ink-soft text-[11px]">
        peak {format.force(peakN)}
      </text>
      <text x={WIDTH - 4} y={HEIGHT - 3} textAnchor="end" className="figures fill-ink-soft text-[11px]">
        {end.toFixed(1)} s
      </text>
    </svg>
  );
}
