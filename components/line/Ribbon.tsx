'use client';

import { useMemo, type KeyboardEvent, type PointerEvent } from 'react';
import { fromSi, toSi } from '@/core/units/units';
import { marksOfView } from '@/core/rig/count/lineMarks';
import { readCursor, type RigView } from '@/core/rig/rigView';
import { useUnits } from '@/components/units/UnitsProvider';
import { lineScale } from './lineScale';
import { bandsOfLine } from '@/core/rig/bandsOfLine';
import { describeLine } from './describeLine';
import { RibbonBands } from './RibbonBands';
import { CounterRuler, TrueRuler } from './Rulers';
import { Plane, type Orientation } from './plane';
import { useWidth } from './useWidth';

/** Positions across the ribbon, in pixels from its true-length edge. */
const ACROSS = { trueRuler: 0, rulerThickness: 30, line: 66, counterRuler: 104, end: 136 } as const;

interface Props {
  readonly view: RigView;
  readonly orientation: Orientation;
  /** The shared cursor (m out). */
  readonly cursor: { readonly lengthM: number; readonly moveTo: (lengthM: number) => void };
  /** Length of an upright ribbon (px). */
  readonly uprightPx?: number;
}

/**
 * The line itself, from hook to arbor and to scale: bands as thick as their line, joins, two rulers whose
 * drift apart is seen, and the cursor that every lens follows.
 */
export function Ribbon({ view, orientation, cursor, uprightPx = 560 }: Props) {
  const { ref, width } = useWidth<HTMLDivElement>(960);
  const { units, format } = useUnits();
  const margin = 14;
  const lengthPx = (orientation === 'lying' ? width : uprightPx) - 2 * margin;
  const loaded = view.current.line;
  const scale = useMemo(() => lineScale(loaded, Math.max(lengthPx, 100)), [loaded, lengthPx]);
  const bands = useMemo(() => bandsOfLine(view.record, loaded), [view, loaded]);
  const marks = marksOfView(view).flatMap(({ mark, lengthOutM }) =>
    lengthOutM === null ? [] : [{ id: mark.id, atM: lengthOutM, looks: `${mark.looks}, ${mark.kind}` }],
  );
  const plane = new Plane(orientation, margin);
  const across = ACROSS.end;
  // Names need room beside an upright ribbon.
  const acrossPx = orientation === 'upright' ? Math.max(across, width) : across;

  const moveTo = (event: PointerEvent<SVGSVGElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const along = orientation === 'lying' ? event.clientX - box.left : event.clientY - box.top;
    cursor.moveTo(scale.toLengthM(along - margin));
  };
  const onKey = (event: KeyboardEvent): void => {
    const cursorM = cursor.lengthM;
    const step = toSi('length', event.shiftKey ? 10 : 1, units.length);
    const moves: Readonly<Record<string, number>> = {
      ArrowRight: cursorM + step,
      ArrowUp: cursorM + step,
      ArrowLeft: cursorM - step,
      ArrowDown: cursorM - step,
      Home: 0,
      End: scale.totalM,
    };
    const target = moves[event.key];
    if (target === undefined) return;
    event.preventDefault();
    cursor.moveTo(Math.min(Math.max(target, 0), scale.totalM));
  };
  const size = plane.size(lengthPx + 2 * margin, acrossPx);
  const drawing = (
    <svg
      width={size.width}
      height={size.height}
      viewBox={`0 0 ${size.width} ${size.height}`}
      role="img"
      aria-label={describeLine(loaded, format)}
      className="block touch-pan-y select-none"
      onPointerMove={moveTo}
      onPointerDown={moveTo}
    >
      <TrueRuler
        plane={plane}
        scale={scale}
        across={ACROSS.trueRuler}
        thickness={ACROSS.rulerThickness}
        unit={units.length}
      />
      <RibbonBands
        plane={plane}
        scale={scale}
        bands={bands}
        joins={view.record.joins}
        marks={marks}
        across={ACROSS.line}
        format={format}
        named
      />
      <CounterRuler
        plane={plane}
        scale={scale}
        view={view}
        across={ACROSS.counterRuler}
        thickness={ACROSS.rulerThickness}
      />
      <line {...plane.acrossLine(scale.toPx(cursor.lengthM), 0, across)} className="stroke-stop" strokeWidth={2} />
    </svg>
  );
  return (
    <div
      ref={ref}
      role="slider"
      tabIndex={0}
      aria-label="Cursor along the line, length out"
      aria-orientation={orientation === 'lying' ? 'horizontal' : 'vertical'}
      aria-valuemin={0}
      aria-valuemax={Number(fromSi('length', scale.totalM, units.length).toFixed(1))}
      aria-valuenow={Number(fromSi('length', cursor.lengthM, units.length).toFixed(1))}
      aria-valuetext={`${format.length(cursor.lengthM)} out, ${readCursor(view, cursor.lengthM).segmentAtTip} at the tip`}
      onKeyDown={onKey}
    >
      {drawing}
    </div>
  );
}
