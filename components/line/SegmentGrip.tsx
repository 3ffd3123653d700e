'use client';

import { useRef, useState, type PointerEvent } from 'react';
import { useUnits } from '@/components/units/UnitsProvider';
import { boxAlong, STIRRED_PX, type OnRibbon, type PlacedSegment } from './onRibbon';

/** The body of a segment: pressed it is chosen, dragged it changes places. */
export function SegmentGrip({
  on,
  segment,
  isChosen,
  onChoose,
  onHover,
  onDrop,
}: {
  on: OnRibbon;
  segment: PlacedSegment;
  isChosen: boolean;
  onChoose: () => void;
  onHover: (event: PointerEvent) => void;
  onDrop: (event: PointerEvent) => void;
}) {
  const { format } = useUnits();
  const from = useRef<{ readonly x: number; readonly y: number } | null>(null);
  const wasDragged = useRef(false);
  const [movedPx, setMovedPx] = useState(0);
  const { scale, orientation } = on;
  const fromPx = scale.toPx(segment.fromM);
  const isStirred = Math.abs(movedPx) > STIRRED_PX;
  const along = (event: PointerEvent): number =>
    from.current === null
      ? 0
      : orientation === 'lying'
        ? event.clientX - from.current.x
        : event.clientY - from.current.y;
  const end = (): void => {
    from.current = null;
    setMovedPx(0);
  };
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      aria-label={`${segment.name}, ${format.length(segment.lengthM)}: choose it`}
      title="Press for what can be done with it, drag it to another place"
      style={{
        ...boxAlong(on, fromPx, Math.max(scale.toPx(segment.toM) - fromPx, 6)),
        ...(isStirred ? { translate: orientation === 'lying' ? `${movedPx}px 0` : `0 ${movedPx}px` } : {}),
      }}
      className={`pointer-events-auto touch-none cursor-grab rounded-sm ${isChosen ? 'bg-chalk/15 outline-2 outline-chalk' : ''} ${isStirred ? 'z-20 bg-card/70 outline-2 outline-chalk' : ''}`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, y: event.clientY };
        wasDragged.current = false;
      }}
      onPointerMove={(event) => {
        onHover(event);
        if (from.current) setMovedPx(along(event));
      }}
      onPointerUp={(event) => {
        wasDragged.current = Math.abs(along(event)) > STIRRED_PX;
        if (wasDragged.current) onDrop(event);
        end();
      }}
      onPointerCancel={end}
      onClick={() => {
        if (!wasDragged.current) onChoose();
        wasDragged.current = false;
      }}
    />
  );
}
