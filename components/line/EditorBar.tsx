'use client';

import { ArrowLeft, ArrowRight, Scissors, Trash2, X } from 'lucide-react';
import { useRef, type PointerEvent, type ReactNode } from 'react';
import { useReadCursor } from './cursor';
import { HOW_LONG, type LineEditor } from './lineEditor';
import { STIRRED_PX, type PlacedSegment } from './onRibbon';

/** Lines of the shelf that lie at hand, where there is room for them; all of them are in the list beside. */
const AT_HAND = 3;

/** What can be done with the segment that is chosen on the ribbon; else what is on the shelf. */
export function EditorBar({
  editor,
  segments,
  chosen,
  words,
  refused,
  onDone,
  onLeave,
  onShelf,
  onPut,
  isOver,
}: {
  editor: LineEditor;
  segments: readonly PlacedSegment[];
  chosen: PlacedSegment | null;
  words: string | null;
  refused: string | null;
  onDone: (refused: string | null) => void;
  onLeave: () => void;
  /** A line of the shelf is over the ribbon, or (null) no more. */
  onShelf: (event: PointerEvent | null) => void;
  /** A line of the shelf is put on: where it was dropped, or (null) outermost. */
  onPut: (lineId: string, event: PointerEvent | null) => void;
  isOver: (event: PointerEvent) => boolean;
}) {
  const readCursor = useReadCursor();
  const at = chosen ? segments.indexOf(chosen) : -1;
  const cutHere = (): void => {
    if (!chosen) return;
    const cursorM = readCursor();
    const isWithin = cursorM > chosen.fromM && cursorM < chosen.toM;
    onDone(editor.split(chosen.id, isWithin ? cursorM - chosen.fromM : chosen.lengthM / 2));
  };
  const beside = (by: 1 | -1): string | null => segments[at + by]?.id ?? null;
  return (
    <div className="flex min-h-11 flex-wrap items-center gap-x-3 gap-y-1 text-sm">
      {chosen ? (
        <>
          <b>{words}</b>
          <select
            aria-label={`${chosen.name}: whose word its length is`}
            value={chosen.howLong}
            onChange={({ target }) => {
              const how = HOW_LONG.find(({ value }) => value === target.value);
              if (how) onDone(editor.measureBy(chosen.id, how.value));
            }}
            className="min-h-11 max-w-56 rounded-sm border-2 border-edge-strong bg-card px-2 font-semibold"
          >
            {HOW_LONG.map(({ value, text }) => (
              <option key={value} value={value}>
                {text}
              </option>
            ))}
          </select>
          <Act
            label={`${chosen.name}: towards the hook`}
            isOff={beside(-1) === null}
            onAct={() => onDone(editor.place(chosen.id, beside(-1) ?? chosen.id))}
          >
            <ArrowLeft className="size-4" aria-hidden /> hook
          </Act>
          <Act
            label={`${chosen.name}: towards the arbor`}
            isOff={beside(1) === null}
            onAct={() => onDone(editor.place(chosen.id, beside(1) ?? chosen.id))}
          >
            arbor <ArrowRight className="size-4" aria-hidden />
          </Act>
          <Act label={`${chosen.name}: cut in two at the cursor`} onAct={cutHere}>
            <Scissors className="size-4" aria-hidden /> cut here
          </Act>
          <Act label={`${chosen.name}: take out`} onAct={() => onDone(editor.remove(chosen.id))}>
            <Trash2 className="size-4" aria-hidden /> take out
          </Act>
          <Act label="Choose nothing" onAct={onLeave}>
            <X className="size-4" aria-hidden />
          </Act>
        </>
      ) : (
        <>
          <span className="text-ink-soft">Drag a join, press a segment, or put a line on:</span>
          {editor.shelf.slice(0, AT_HAND).map((line) => (
            <Chip
              key={line.id}
              name={line.name}
              onShelf={onShelf}
              isOver={isOver}
              onPut={(event) => onPut(line.id, event)}
            />
          ))}
          {editor.shelf.length > 0 && (
            <select
              aria-label="Put another line on, outermost"
              value=""
              onChange={({ target }) => target.value !== '' && onPut(target.value, null)}
              className="min-h-11 max-w-44 rounded-sm border-2 border-edge-strong bg-card px-2 font-semibold"
            >
              <option value="">any line</option>
              {editor.shelf.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </>
      )}
      <p role="status" className={refused ? 'basis-full font-semibold text-warn' : 'sr-only'}>
        {refused ?? ''}
      </p>
    </div>
  );
}

function Act({
  label,
  isOff = false,
  onAct,
  children,
}: {
  label: string;
  isOff?: boolean;
  onAct: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={isOff}
      onClick={onAct}
      className="inline-flex min-h-11 items-center gap-1 rounded-sm border-2 border-edge-strong bg-card px-3 font-semibold disabled:opacity-40"
    >
      {children}
    </button>
  );
}

/** A line of the shelf: pressed it goes on outermost, dragged to where it is let go. */
function Chip({
  name,
  onShelf,
  onPut,
  isOver,
}: {
  name: string;
  onShelf: (event: PointerEvent | null) => void;
  onPut: (event: PointerEvent | null) => void;
  isOver: (event: PointerEvent) => boolean;
}) {
  const from = useRef<{ readonly x: number; readonly y: number } | null>(null);
  const wasDragged = useRef(false);
  const isStirred = (event: PointerEvent): boolean =>
    from.current !== null && Math.hypot(event.clientX - from.current.x, event.clientY - from.current.y) > STIRRED_PX;
  return (
    <button
      type="button"
      title={`Drag ${name} to a join, or press: it goes on outermost`}
      className="min-h-11 max-w-56 touch-none cursor-grab truncate max-sm:hidden rounded-sm border-2 border-dashed border-edge-strong bg-card px-3 font-semibold"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, y: event.clientY };
        wasDragged.current = false;
      }}
      onPointerMove={(event) => {
        if (isStirred(event)) onShelf(event);
      }}
      onPointerUp={(event) => {
        wasDragged.current = isStirred(event);
        if (wasDragged.current && isOver(event)) onPut(event);
        else onShelf(null);
        from.current = null;
      }}
      onPointerCancel={() => onShelf(null)}
      onClick={() => {
        if (!wasDragged.current) onPut(null);
        wasDragged.current = false;
      }}
    >
      {name}
    </button>
  );
}
