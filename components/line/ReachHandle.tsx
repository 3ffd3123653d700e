'use client';

import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { reachChosenAt } from '@/core/rig/strength/reach';
import type { RigView } from '@/core/rig/view/rigView';
import { fromSi, toSi } from '@/core/units/units';
import { useSend } from '@/components/http/useSend';
import { useUnits } from '@/components/units/UnitsProvider';
import type { LineScale } from './lineScale';
import type { Orientation } from './plane';

/** Room for a thumb to either side of the mark (px). */
const GRIP_PX = 22;

/** Up to where the line is reckoned with, as a mark that is dragged, or moved by keys; kept when it is let go. */
export function ReachHandle({
  view,
  scale,
  orientation,
  marginPx,
}: {
  view: RigView;
  scale: LineScale;
  orientation: Orientation;
  marginPx: number;
}) {
  const { units, format } = useUnits();
  const { sendNow, state } = useSend();
  const [heldM, setHeldM] = useState<number | null>(null);
  const { record, reach } = view;
  const { line } = view.current;
  const atM = heldM ?? reach.outM;
  const isLying = orientation === 'lying';
  const moveBy = (event: PointerEvent<HTMLDivElement>): void => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const box = event.currentTarget.parentElement?.getBoundingClientRect();
    if (box) setHeldM(scale.toLengthM((isLying ? event.clientX - box.left : event.clientY - box.top) - marginPx));
  };
  const keep = async (): Promise<void> => {
    if (heldM === null || state.kind === 'sending') return;
    const chosen = reachChosenAt(record, line, heldM);
    const result = await sendNow(
      'chooseReach',
      { boatId: record.boat.id, rigId: record.id },
      chosen,
      'Noted. Target and weakest place follow.',
    );
    // What was not kept stays where it was put.
    if (result.ok) setHeldM(null);
  };
  const onKey = (event: KeyboardEvent): void => {
    const step = toSi('length', event.shiftKey ? 10 : 1, units.length);
    const moves: Readonly<Record<string, number>> = {
      ...{ ArrowRight: atM + step, ArrowUp: atM + step, ArrowLeft: atM - step, ArrowDown: atM - step },
      ...{ Home: 0, End: scale.totalM },
    };
    const target = moves[event.key];
    if (event.key === 'Escape') setHeldM(null);
    if (event.key === 'Enter') void keep();
    if (target === undefined) return;
    event.preventDefault();
    setHeldM(Math.min(Math.max(target, 0), scale.totalM));
  };
  const px = marginPx + scale.toPx(atM);
  const along = isLying
    ? { left: px - GRIP_PX, width: 2 * GRIP_PX, top: 0, height: '100%' }
    : { top: px - GRIP_PX, height: 2 * GRIP_PX, left: 0, width: '100%' };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label="Line that may be out"
      aria-orientation={isLying ? 'horizontal' : 'vertical'}
      aria-valuemin={0}
      aria-valuemax={Number(fromSi('length', scale.totalM, units.length).toFixed(1))}
      aria-valuenow={Number(fromSi('length', atM, units.length).toFixed(1))}
      aria-valuetext={`${format.length(atM)}${heldM === null ? '' : ', Enter keeps it'}`}
      title="Drag it: up to here target and weakest place reckon with"
      style={{ position: 'absolute', ...along }}
      className="group touch-none cursor-grab active:cursor-grabbing"
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={moveBy}
      onPointerUp={() => void keep()}
      onPointerCancel={() => setHeldM(null)}
      onKeyDown={onKey}
      onBlur={() => void keep()}
    >
      <span
        aria-hidden
        className={`pointer-events-none absolute bg-chalk ${isLying ? 'inset-y-0 left-1/2 w-[3px] -translate-x-1/2' : 'inset-x-0 top-1/2 h-[3px] -translate-y-1/2'}`}
      />
      <span
        aria-hidden
        className={`pointer-events-none absolute bg-chalk px-1.5 text-xs font-bold whitespace-nowrap text-on-chalk ${isLying ? 'top-[30px] right-1/2' : 'top-1/2 right-0'}`}
      >
        {heldM === null ? 'may be out' : format.length(atM)}
      </span>
    </div>
  );
}
