'use client';

import { useRef, useState, type PointerEvent } from 'react';
import { useUnits } from '@/components/units/UnitsProvider';
import { useMoveCursor } from './cursor';
import { EditorBar } from './EditorBar';
import { LengthHandle } from './LengthHandle';
import { boxAlong, heightPx, placed, type OnRibbon } from './onRibbon';
import { SegmentGrip } from './SegmentGrip';

/**
 * The ribbon as the editor of a line that is being planned: joins and the arbor's end are dragged or moved by keys, segments change places, are
 * cut in two or taken out, lines come from the shelf. All is solved again while a hand moves.
 */
export function RibbonEditor({ onHold, ...on }: OnRibbon & { onHold: (isHeld: boolean) => void }) {
  const { editor, scale, orientation, marginPx } = on;
  const { format } = useUnits();
  const moveCursor = useMoveCursor();
  const over = useRef<HTMLDivElement>(null);
  const [chosenId, choose] = useState<string | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const [shelfAt, setShelfAt] = useState<number | null>(null);
  const segments = placed(editor.segments);
  const chosen = segments.find(({ id }) => id === chosenId) ?? null;

  /** Where a pointer is along the line (m); null while the ribbon is not drawn. */
  const alongM = ({ clientX, clientY }: { readonly clientX: number; readonly clientY: number }): number | null => {
    const box = over.current?.getBoundingClientRect();
    if (!box) return null;
    return scale.toLengthM((orientation === 'lying' ? clientX - box.left : clientY - box.top) - marginPx);
  };
  /** Places between segments, the hook's end and the arbor's among them: the number of segments before each. */
  const nearestGap = (lengthM: number): number =>
    [0, ...segments.map(({ toM }) => toM)]
      .map((atM, index) => ({ index, offPx: Math.abs(scale.toPx(atM) - scale.toPx(lengthM)) }))
      .reduce((best, each) => (each.offPx < best.offPx ? each : best)).index;
  const put = (lineId: string, gap: number): void => {
    setShelfAt(null);
    setRefused(editor.add(lineId, gap === 0 ? null : (segments[gap - 1]?.id ?? null)));
  };
  const isOver = (event: PointerEvent): boolean => {
    const box = over.current?.getBoundingClientRect();
    return (
      box !== undefined &&
      event.clientX >= box.left &&
      event.clientX <= box.right &&
      event.clientY >= box.top - 40 &&
      event.clientY <= box.bottom + 40
    );
  };
  return (
    <div>
      <div ref={over} className="pointer-events-none absolute inset-x-0 top-0" style={{ height: heightPx(on) }}>
        {segments.map((segment) => (
          <SegmentGrip
            key={`grip ${segment.id}`}
            on={on}
            segment={segment}
            isChosen={segment.id === chosenId}
            onChoose={() => choose(segment.id === chosenId ? null : segment.id)}
            onHover={(event) => moveCursor(alongM(event) ?? 0)}
            onDrop={(event) => {
              const atM = alongM(event);
              const target = segments.find(({ fromM, toM }) => atM !== null && atM >= fromM && atM <= toM);
              if (target && target.id !== segment.id) setRefused(editor.place(segment.id, target.id));
            }}
          />
        ))}
        {segments.map((segment, index) => (
          <LengthHandle
            key={`handle ${segment.id}`}
            {...on}
            segment={segment}
            isLast={index === segments.length - 1}
            alongM={alongM}
            onHold={onHold}
            onLength={(lengthM) => setRefused(editor.lengthen(segment.id, lengthM))}
          />
        ))}
        {shelfAt !== null && (
          <span
            aria-hidden
            className="bg-go"
            style={boxAlong(on, scale.toPx(shelfAt === 0 ? 0 : (segments[shelfAt - 1]?.toM ?? 0)) - 2, 4)}
          />
        )}
      </div>
      <EditorBar
        editor={editor}
        segments={segments}
        chosen={chosen}
        refused={refused}
        words={chosen && `${chosen.name}, ${format.length(chosen.lengthM)}`}
        onDone={setRefused}
        onLeave={() => choose(null)}
        onShelf={(event) => setShelfAt(event && isOver(event) ? nearestGap(alongM(event) ?? 0) : null)}
        onPut={(lineId, event) => put(lineId, event ? nearestGap(alongM(event) ?? 0) : 0)}
        isOver={isOver}
      />
    </div>
  );
}
