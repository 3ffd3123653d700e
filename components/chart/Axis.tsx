import type { Scale } from './scale';

/** Ticks of the values beside a chart, each with its line across. */
export function ValueAxis({
  y,
  ticks,
  fromPx,
  toPx,
  unit = '',
  look = 'fill-ink-soft',
}: {
  y: Scale;
  /** About how many. */
  ticks: number;
  fromPx: number;
  toPx: number;
  /** Shown behind every figure. */
  unit?: string;
  look?: string;
}) {
  return (
    <>
      {y.ticks(ticks).map((tick) => (
        <g key={tick}>
          <line x1={fromPx} x2={toPx} y1={y(tick)} y2={y(tick)} className="stroke-edge" />
          <text x={fromPx - 5} y={y(tick) + 4} textAnchor="end" className={`figures text-[12px] ${look}`}>
            {tick}
            {unit && ` ${unit}`}
          </text>
        </g>
      ))}
    </>
  );
}

/** A second set of values, on the right and without lines. */
export function RightAxis({
  y,
  ticks,
  atPx,
  unit,
  look,
}: {
  y: Scale;
  ticks: number;
  atPx: number;
  unit: string;
  look: string;
}) {
  return y.ticks(ticks).map((tick) => (
    <text key={tick} x={atPx} y={y(tick) + 4} className={`figures text-[12px] ${look}`}>
      {tick} {unit}
    </text>
  ));
}

/** Seconds along the foot of a chart. */
export function TimeAxis({ x, ticks, atPx }: { x: Scale; ticks: number; atPx: number }) {
  return x.ticks(ticks).map((tick) => (
    <text key={tick} x={x(tick)} y={atPx} textAnchor="middle" className="figures fill-ink-soft text-[12px]">
      {tick} s
    </text>
  ));
}
