'use client';

import { extent } from 'd3-array';
import { area, line as linePath } from 'd3-shape';
import { useMemo, type ReactNode } from 'react';
import type { RigView } from '@/core/rig/view/rigView';
import { useCursor } from './cursor';
import { lineScale } from './lineScale';
import { useWidth } from './useWidth';
import { linear } from '@/components/chart/scale';

export interface LensPoint {
  readonly lengthM: number;
  /** None where it is not known: the curve has a gap there. */
  readonly value: number | null;
  /** Half of the 95 % interval, in the unit of the value. */
  readonly plusMinus?: number;
}

export interface LensCurve {
  readonly name: string;
  readonly look: string;
  readonly points: readonly LensPoint[];
  readonly dashed?: boolean;
}

interface Props {
  readonly view: RigView;
  readonly curves: readonly LensCurve[];
  readonly title: string;
  /** Name and unit of the vertical axis. */
  readonly axis: string;
  readonly includeZero?: boolean;
  /** Values are drawn downwards from 0, and told as depths. */
  readonly isDown?: boolean;
  readonly describe: string;
  readonly legend?: ReactNode;
}

const HEIGHT = 140;
const MARGIN = 14;
const TOP = 18;
const BOTTOM = 8;

/** Curves over length out, on the very x-axis of the ribbon above. */
export function LensChart({ view, curves, title, axis, includeZero = true, isDown = false, describe, legend }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(960);
  const { line } = view.current;
  const scale = useMemo(() => lineScale(line, Math.max(width - 2 * MARGIN, 100)), [line, width]);
  const all = curves.flatMap((curve) =>
    curve.points.flatMap(({ value, plusMinus = 0 }) => (value === null ? [] : [value - plusMinus, value + plusMinus])),
  );
  const [low = 0, high = 1] = extent(includeZero ? [0, ...all] : all);
  const y = linear([low, high], [HEIGHT - BOTTOM, TOP], 4);
  const ticks = y.ticks(4);
  const x = (lengthM: number): number => MARGIN + scale.toPx(lengthM);
  return (
    <figure className="m-0">
      <figcaption className="flex flex-wrap items-baseline justify-between gap-x-4 text-sm">
        <span>
          <b>{title}</b> <span className="text-ink-soft">({axis})</span>
        </span>
        <span className="flex flex-wrap gap-x-4">
          {curves.map((curve) => (
            <span key={curve.name} className="flex items-center gap-1.5">
              <svg width="22" height="8" aria-hidden>
                <line
                  x1="0"
                  x2="22"
                  y1="4"
                  y2="4"
                  className={curve.look}
                  strokeWidth="2.5"
                  strokeDasharray={curve.dashed ? '5 3' : undefined}
                />
              </svg>
              {curve.name}
            </span>
          ))}
          {legend}
        </span>
      </figcaption>
      <div ref={ref}>
        <svg
          width="100%"
          height={HEIGHT}
          viewBox={`0 0 ${width} ${HEIGHT}`}
          role="img"
          aria-label={describe}
          className="block"
        >
          {ticks.map((tick) => (
            <line
              key={tick}
              x1={MARGIN}
              x2={width - MARGIN}
              y1={y(tick)}
              y2={y(tick)}
              className={tick === 0 ? 'stroke-ink' : 'stroke-edge'}
              strokeWidth={1}
            />
          ))}
          {curves.map((curve) => (
            <Curve key={curve.name} curve={curve} x={x} y={y} />
          ))}
          {/* Over the curves, which pass beside their edge. */}
          {ticks.map((tick) => (
            <text
              key={tick}
              x={MARGIN + 2}
              y={y(tick) - 3}
              paintOrder="stroke"
              strokeWidth={3}
              className="figures fill-ink-soft stroke-paper text-[11px] in-[section]:stroke-card"
            >
              {isDown ? Math.abs(tick) : tick}
            </text>
          ))}
          <LensCursor x={x} />
        </svg>
      </div>
    </figure>
  );
}

/** The shared cursor as a line across the chart. */
function LensCursor({ x }: { x: (m: number) => number }) {
  const atPx = x(useCursor());
  return <line x1={atPx} x2={atPx} y1={0} y2={HEIGHT} className="stroke-stop" strokeWidth={1.5} />;
}

function Curve({ curve, x, y }: { curve: LensCurve; x: (m: number) => number; y: (v: number) => number }) {
  const isKnown = (p: LensPoint): boolean => p.value !== null;
  const valueOf = (p: LensPoint): number => p.value ?? 0;
  const band = area<LensPoint>(
    (p) => x(p.lengthM),
    (p) => y(valueOf(p) - (p.plusMinus ?? 0)),
    (p) => y(valueOf(p) + (p.plusMinus ?? 0)),
  ).defined(isKnown);
  const path = linePath<LensPoint>(
    (p) => x(p.lengthM),
    (p) => y(valueOf(p)),
  ).defined(isKnown);
  const hasBand = curve.points.some((point) => point.plusMinus !== undefined);
  return (
    <g className={curve.look}>
      {hasBand && <path d={band(curve.points) ?? ''} stroke="none" className="opacity-20" fill="currentColor" />}
      <path
        d={path(curve.points) ?? ''}
        fill="none"
        strokeWidth={2.2}
        strokeDasharray={curve.dashed ? '5 3' : undefined}
        strokeLinejoin="round"
      />
    </g>
  );
}
