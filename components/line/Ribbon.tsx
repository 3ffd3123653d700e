'use client';

import dynamic from 'next/dynamic';
import { memo, useMemo, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { fromSi, toSi, type UnitChoice } from '@/core/units/units';
import { marksOfView } from '@/core/rig/count/lineMarks';
import { readCursor, type RigView } from '@/core/rig/view/rigView';
import { useUnits } from '@/components/units/UnitsProvider';
import { fetched } from '@/components/ui/fetched';
import { useCursor, useMoveCursor } from './cursor';
import type { LineEditor } from './lineEditor';
import { lineScale, type LineScale } from './lineScale';
import { bandsOfLine } from '@/core/rig/view/bandsOfLine';
import { describeLine } from './describeLine';
import { PlanerGlyph } from './PlanerGlyph';
import { ReachHandle } from './ReachHandle';
import { RibbonBands } from './RibbonBands';
import { CounterRuler, TrueRuler } from './Rulers';
import { Plane, type Orientation } from './plane';
import { useWidth } from './useWidth';

/** Positions across the ribbon, in pixels from its true-length edge. */
const ACROSS = { trueRuler: 0, rulerThickness: 30, line: 66, counterRuler: 104, end: 136 } as const;

interface Props {
  readonly view: RigView;
  readonly orientation: Orientation;
  /** Length of an upright ribbon (px). */
  readonly uprightPx?: number;
  /** Where the line is about to be cut, from the hook (m): what would go is hatched. */
  readonly cutM?: number | null;
  /** Shows up to where the line is reckoned with, to be dragged. */
  readonly hasReach?: boolean;
  /** The line can be changed on the ribbon. */
  readonly editor?: LineEditor | null;
}

const MARGIN_PX = 14;

/** Loaded where a line is planned. */
const RibbonEditor = dynamic(() => fetched(() => import('./RibbonEditor')).then(({ RibbonEditor: loaded }) => loaded), {
  ssr: false,
  loading: () => <div className="min-h-11" />,
});

/**
 * The line itself, from hook to arbor and to scale: bands as thick as their line, joins, two rulers whose
 * drift apart is seen, and the cursor that every lens follows.
 */
export function Ribbon({ view, orientation, uprightPx = 560, cutM = null, hasReach = false, editor = null }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(960);
  const { units, format } = useUnits();
  const moveCursor = useMoveCursor();
  const lengthPx = Math.max((orientation === 'lying' ? width : uprightPx) - 2 * MARGIN_PX, 100);
  const { line } = view.current;
  const plane = useMemo(() => new Plane(orientation, MARGIN_PX), [orientation]);
  // Under a hand the line grows and shrinks, and what it is measured by stands still.
  const [held, hold] = useState<LineScale | null>(null);
  const own = useMemo(() => lineScale(line, lengthPx), [line, lengthPx]);
  const scale = held ?? own;
  // Names need room beside an upright ribbon.
  const acrossPx = orientation === 'upright' ? Math.max(ACROSS.end, width) : ACROSS.end;
  const size = plane.size(lengthPx + 2 * MARGIN_PX, acrossPx);
  const moveTo = (event: PointerEvent<SVGSVGElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const along = orientation === 'lying' ? event.clientX - box.left : event.clientY - box.top;
    moveCursor(scale.toLengthM(along - MARGIN_PX));
  };
  return (
    <div className="relative">
      <RibbonSlider view={view} orientation={orientation} totalM={scale.totalM}>
        <div ref={ref}>
          <svg
            width={orientation === 'lying' ? '100%' : size.width}
            height={size.height}
            viewBox={`0 0 ${size.width} ${size.height}`}
            role="img"
            aria-label={describeLine(line, format)}
            className="block max-w-full touch-pan-y select-none"
            onPointerMove={moveTo}
            onPointerDown={moveTo}
          >
            <RibbonDrawing view={view} plane={plane} scale={scale} units={units} />
            {cutM !== null && cutM > 0 && <Cut plane={plane} toPx={scale.toPx(Math.min(cutM, scale.totalM))} />}
            <CursorLine plane={plane} scale={scale} />
          </svg>
        </div>
      </RibbonSlider>
      {editor && (
        <RibbonEditor
          {...{ editor, scale, orientation }}
          marginPx={MARGIN_PX}
          onHold={(isHeld) => hold(isHeld ? scale : null)}
        />
      )}
      {hasReach && <ReachHandle view={view} scale={scale} orientation={orientation} marginPx={MARGIN_PX} />}
    </div>
  );
}

/** What of the ribbon stays as it is while the cursor moves. */
const RibbonDrawing = memo(function RibbonDrawing({
  view,
  plane,
  scale,
  units,
}: {
  view: RigView;
  plane: Plane;
  scale: LineScale;
  units: UnitChoice;
}) {
  const { format } = useUnits();
  const marks = marksOfView(view).flatMap(({ mark, lengthOutM }) =>
    lengthOutM === null ? [] : [{ id: mark.id, atM: lengthOutM, looks: `${mark.looks}, ${mark.kind}` }],
  );
  const rule = { plane, scale, thickness: ACROSS.rulerThickness };
  return (
    <>
      <TrueRuler {...rule} across={ACROSS.trueRuler} unit={units.length} />
      <RibbonBands
        plane={plane}
        scale={scale}
        bands={bandsOfLine(view.record, view.current.line)}
        joins={view.record.joins}
        marks={marks}
        across={ACROSS.line}
        format={format}
        named
      />
      <PlanerGlyph view={view} plane={plane} scale={scale} across={ACROSS.line} />
      <CounterRuler {...rule} view={view} across={ACROSS.counterRuler} />
    </>
  );
});

/** What would go when the line is cut: hatched, up to the cut. */
function Cut({ plane, toPx }: { plane: Plane; toPx: number }) {
  const box = plane.rect(
    0,
    toPx,
    ACROSS.trueRuler + ACROSS.rulerThickness,
    ACROSS.counterRuler - ACROSS.rulerThickness,
  );
  return (
    <g data-testid="ribbon-cut">
      <defs>
        <pattern id="what-goes" width={8} height={8} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={8} height={8} className="fill-card" opacity={0.55} />
          <line x1={0} y1={0} x2={0} y2={8} className="stroke-stop" strokeWidth={2.5} />
        </pattern>
      </defs>
      <rect {...box} fill="url(#what-goes)" />
      <line {...plane.acrossLine(toPx, 0, ACROSS.end)} className="stroke-stop" strokeWidth={3} strokeDasharray="6 3" />
    </g>
  );
}

function CursorLine({ plane, scale }: { plane: Plane; scale: LineScale }) {
  const lengthM = useCursor();
  return <line {...plane.acrossLine(scale.toPx(lengthM), 0, ACROSS.end)} className="stroke-stop" strokeWidth={2} />;
}

/** The ribbon as a slider for keys and screen readers. */
function RibbonSlider({
  view,
  orientation,
  totalM,
  children,
}: {
  view: RigView;
  orientation: Orientation;
  totalM: number;
  children: ReactNode;
}) {
  const { units, format } = useUnits();
  const lengthM = useCursor();
  const moveCursor = useMoveCursor();
  const onKey = (event: KeyboardEvent): void => {
    const step = toSi('length', event.shiftKey ? 10 : 1, units.length);
    const moves: Readonly<Record<string, number>> = {
      ArrowRight: lengthM + step,
      ArrowUp: lengthM + step,
      ArrowLeft: lengthM - step,
      ArrowDown: lengthM - step,
      Home: 0,
      End: totalM,
    };
    const target = moves[event.key];
    if (target === undefined) return;
    event.preventDefault();
    moveCursor(Math.min(Math.max(target, 0), totalM));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="Cursor along the line, length out"
      aria-orientation={orientation === 'lying' ? 'horizontal' : 'vertical'}
      aria-valuemin={0}
      aria-valuemax={Number(fromSi('length', totalM, units.length).toFixed(1))}
      aria-valuenow={Number(fromSi('length', lengthM, units.length).toFixed(1))}
      aria-valuetext={`${format.length(lengthM)} out, ${readCursor(view, lengthM).segmentAtTip} at the tip`}
      onKeyDown={onKey}
    >
      {children}
    </div>
  );
}
