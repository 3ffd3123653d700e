'use client';

import { MoveHorizontal, MoveVertical } from 'lucide-react';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { fromSi } from '@/core/units/units';
import { useUnits } from '@/components/units/UnitsProvider';
import { boxAlong, type OnRibbon, type PlacedSegment } from './onRibbon';

/** Room for a thumb to either side of a join (px). */
const GRIP_PX = 22;

/** The arbor's end of a segment: dragged, or moved by keys, it makes the segment longer or shorter. */
export function LengthHandle({
  segment,
  isLast,
  alongM,
  onHold,
  onLength,
  ...on
}: OnRibbon & {
  segment: PlacedSegment;
  /** It ends at the arbor. */
  isLast: boolean;
  alongM: (event: PointerEvent) => number | null;
  /** A hand takes hold of it, or lets go. */
  onHold: (isHeld: boolean) => void;
  onLength: (lengthM: number) => void;
}) {
  const { units, format } = useUnits();
  const { scale, orientation } = on;
  const { name, lengthM, fromM, toM, heldBecause, stepM, stepsAtOnce } = segment;
  const held = useRef<{ readonly offM: number; lastM: number } | null>(null);
  const stepped = (wantedM: number): number => Math.max(Math.round(wantedM / stepM), 1) * stepM;
  const take = (event: PointerEvent<HTMLDivElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    held.current = { offM: (alongM(event) ?? toM) - toM, lastM: lengthM };
    onHold(true);
  };
  const move = (event: PointerEvent<HTMLDivElement>): void => {
    const atM = alongM(event);
    if (!held.current || atM === null) return;
    const wantedM = stepped(atM - held.current.offM - fromM);
    if (wantedM === held.current.lastM) return;
    held.current.lastM = wantedM;
    onLength(wantedM);
  };
  const leave = (): void => {
    held.current = null;
    onHold(false);
  };
  const onKey = (event: KeyboardEvent): void => {
    const by = event.shiftKey ? stepsAtOnce * stepM : stepM;
    const moves: Readonly<Record<string, number>> = {
      ...{ ArrowRight: by, ArrowUp: by, ArrowLeft: -by, ArrowDown: -by },
    };
    const move = moves[event.key];
    if (move === undefined) return;
    event.preventDefault();
    const wantedM = stepped(lengthM + move);
    // A piece shorter than one step is made shorter by nobody's key, and longer by none that shortens.
    if (Math.sign(wantedM - lengthM) === Math.sign(move)) onLength(wantedM);
  };
  const isLying = orientation === 'lying';
  const Arrows = isLying ? MoveHorizontal : MoveVertical;
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`Length of ${name}`}
      aria-orientation={isLying ? 'horizontal' : 'vertical'}
      aria-valuemin={0}
      aria-valuemax={Number(fromSi('length', scale.totalM + lengthM, units.length).toFixed(1))}
      aria-valuenow={Number(fromSi('length', lengthM, units.length).toFixed(1))}
      aria-valuetext={`${format.length(lengthM)}${heldBecause === null ? '' : ', worked out or a whole piece'}`}
      title={heldBecause ?? `Drag it: ${name} grows or shrinks`}
      style={boxAlong(on, scale.toPx(toM) - (isLast ? 2 * GRIP_PX - on.marginPx : GRIP_PX), 2 * GRIP_PX, {
        fromPx: 30,
        toPx: 74,
      })}
      className={`group pointer-events-auto z-10 grid touch-none justify-items-center pt-0.5 ${heldBecause === null ? 'cursor-grab active:cursor-grabbing' : 'cursor-not-allowed'}`}
      onPointerDown={take}
      onPointerMove={move}
      onPointerUp={leave}
      onPointerCancel={leave}
      onKeyDown={onKey}
    >
      <span
        aria-hidden
        className={`grid size-6 place-items-center rounded-full border-2 border-chalk ${heldBecause === null ? 'bg-chalk text-on-chalk' : 'border-dashed bg-card text-chalk'}`}
      >
        <Arrows className="size-4" />
      </span>
    </div>
  );
}
