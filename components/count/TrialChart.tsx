'use client';

import type { TrialRecord } from '@/core/record/record';
import { useUnits } from '@/components/units/UnitsProvider';
import { linear } from '@/components/chart/scale';

const WIDTH = 360;
const HEIGHT = 120;

/** The walks of a load, one after another, closing in on true. */
export function TrialChart({ trials, unitM }: { trials: readonly TrialRecord[]; unitM: number }) {
  const { format } = useUnits();
  const walks = trials.flatMap((trial) =>
    trial.trueLengthM === null
      ? []
      : [
          {
            id: trial.id,
            error: (100 * trial.reading * unitM) / trial.trueLengthM - 100,
            strippedM: trial.strippedBeforeM,
          },
        ],
  );
  if (walks.length < 2) return null;
  const most = Math.max(2, ...walks.map((walk) => Math.abs(walk.error)));
  const x = linear([0, walks.length - 1], [50, WIDTH - 40]);
  const y = linear([-most, most], [HEIGHT - 24, 12]);
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="block w-full max-w-lg"
        role="img"
        aria-label={`Tests one after another: ${walks.map((walk) => `${walk.error.toFixed(1)} %`).join(', ')} off true`}
      >
        <rect x={36} y={y(1)} width={WIDTH - 44} height={y(-1) - y(1)} className="fill-go/15" />
        <path d={`M36 ${y(0)}H${WIDTH - 8}`} className="stroke-go" strokeDasharray="4 3" />
        <text x={2} y={y(0) + 4} className="fill-ink text-[11px]">
          true
        </text>
        <path
          d={walks.map((walk, index) => `${index ? 'L' : 'M'}${x(index)} ${y(walk.error)}`).join('')}
          className="fill-none stroke-chalk stroke-2"
        />
        {walks.map((walk, index) => (
          <g key={walk.id}>
            <circle cx={x(index)} cy={y(walk.error)} r={5} className="fill-chalk" />
            <text x={x(index)} y={y(walk.error) - 9} textAnchor="middle" className="figures fill-ink text-[11px]">
              {`${walk.error >= 0 ? '+' : '−'}${Math.abs(walk.error).toFixed(1)} %`}
            </text>
            {walk.strippedM !== 0 && (
              <text x={x(index)} y={HEIGHT - 6} textAnchor="middle" className="fill-ink-soft text-[10px]">
                {walk.strippedM > 0 ? 'less ' : 'more '}
                {format.length(Math.abs(walk.strippedM))}
              </text>
            )}
          </g>
        ))}
      </svg>
      <figcaption className="text-sm text-ink-soft">
        The tests of this load in order; the band is within 1 % of true.
      </figcaption>
    </figure>
  );
}
