import type { Range90 } from '@/core/drag/planer/planerBracket';
import { linear } from '@/components/chart/scale';

/** One kind of water on the sweep of the lever. */
export interface SweepRow {
  readonly name: string;
  readonly stops: Range90;
  /** Where the lever holds; null: beyond the sweep. */
  readonly position: number | null;
}

const WIDTH = 380;
const LEFT = 14;
const RIGHT = 358;
const ROW = 44;
const TOP = 4;

/** The sweep of a lever as a rule from free to full, with where the creep stops in each water, and where to put it. */
export function SweepScale({ label, rows }: { label: string; rows: readonly SweepRow[] }) {
  const x = linear([0, 1], [LEFT, RIGHT]);
  const height = TOP + rows.length * ROW + 26;
  const foot = TOP + rows.length * ROW;
  const within = (share: number): number => x(Math.min(Math.max(share, 0), 1));
  const words = rows.map(
    ({ name, stops, position }) =>
      `${name}: stops at ${Math.round(100 * stops.mid)} %, set ${position === null ? 'beyond full' : `${Math.round(100 * position)} %`}`,
  );
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="block w-full max-w-xl"
      role="img"
      aria-label={`${label}. ${words.join('. ')}.`}
    >
      {rows.map(({ name, stops, position }, index) => {
        const y = TOP + index * ROW + 30;
        return (
          <g key={name}>
            <text x={LEFT} y={y - 15} className="fill-ink text-[14px]">
              {name}
            </text>
            <line x1={x(0)} x2={x(1)} y1={y} y2={y} className="stroke-edge" strokeWidth={1.5} />
            <line
              x1={within(stops.low)}
              x2={within(stops.high)}
              y1={y}
              y2={y}
              className="stroke-chalk"
              strokeWidth={7}
            />
            <line
              x1={within(stops.mid)}
              x2={within(stops.mid)}
              y1={y - 9}
              y2={y + 9}
              className="stroke-ink"
              strokeWidth={2}
            />
            {position === null ? (
              <text x={x(1) + 4} y={y + 5} className="fill-stop text-[14px] font-bold">
                ›
              </text>
            ) : (
              <path d={`M${x(position)} ${y - 3} l-7 -11 h14 z`} className="fill-stop" />
            )}
          </g>
        );
      })}
      <line x1={x(0)} x2={x(1)} y1={foot} y2={foot} className="stroke-ink" strokeWidth={1.5} />
      {Array.from({ length: 11 }, (_, index) => (
        <line
          key={index}
          x1={x(index / 10)}
          x2={x(index / 10)}
          y1={foot}
          y2={foot + (index % 5 === 0 ? 8 : 4)}
          className="stroke-ink"
          strokeWidth={1.2}
        />
      ))}
      {[0, 0.5, 1].map((at) => (
        <text key={at} x={x(at)} y={foot + 22} textAnchor="middle" className="figures fill-ink-soft text-[13px]">
          {at === 0 ? 'free' : at === 1 ? 'full' : '50 %'}
        </text>
      ))}
    </svg>
  );
}
