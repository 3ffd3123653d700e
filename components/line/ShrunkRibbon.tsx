'use client';

import { bandsOfLine } from '@/core/rig/view/bandsOfLine';
import { readCursor, type RigView } from '@/core/rig/view/rigView';
import { useUnits } from '@/components/units/UnitsProvider';
import { useCursor, useMoveCursor } from './cursor';
import { lineScale, type LineScale } from './lineScale';
import { Plane } from './plane';
import { RibbonBands } from './RibbonBands';
import { useWidth } from './useWidth';

const MARGIN_PX = 14;
const HEIGHT_PX = 30;

/**
 * The ribbon without its rulers, along the top edge, while the ribbon itself is scrolled away: the cursor can still be moved, and read. It says
 * again what the ribbon says, so screen readers and keys are left to that one.
 */
export function ShrunkRibbon({ view }: { view: RigView }) {
  const { ref, width } = useWidth<HTMLDivElement>(960);
  const { format } = useUnits();
  const moveCursor = useMoveCursor();
  const plane = new Plane('lying', MARGIN_PX);
  const scale = lineScale(view.current.line, Math.max(width - 2 * MARGIN_PX, 100));
  return (
    <div
      aria-hidden
      data-testid="shrunk-ribbon"
      className="shrunk-ribbon no-print fixed inset-x-0 top-0 z-20 border-b-2 border-ink bg-card"
    >
      <div className="mx-auto max-w-[84rem] px-4 py-1">
        <div ref={ref}>
          <svg
            width="100%"
            height={HEIGHT_PX}
            viewBox={`0 0 ${width} ${HEIGHT_PX}`}
            className="block touch-pan-y select-none"
            onPointerMove={(event) =>
              moveCursor(scale.toLengthM(event.clientX - event.currentTarget.getBoundingClientRect().left - MARGIN_PX))
            }
          >
            <RibbonBands
              plane={plane}
              scale={scale}
              bands={bandsOfLine(view.record, view.current.line)}
              joins={view.record.joins}
              marks={[]}
              across={HEIGHT_PX / 2}
              format={format}
              named={false}
            />
            <Cursor plane={plane} scale={scale} />
          </svg>
        </div>
        <ReadOut view={view} />
      </div>
    </div>
  );
}

function Cursor({ plane, scale }: { plane: Plane; scale: LineScale }) {
  const lengthM = useCursor();
  return <line {...plane.acrossLine(scale.toPx(lengthM), 0, HEIGHT_PX)} className="stroke-stop" strokeWidth={2} />;
}

/** The cursor in one row: length out, what the counter shows, what is at the tip. */
function ReadOut({ view }: { view: RigView }) {
  const lengthM = useCursor();
  const { format } = useUnits();
  const { lengthOutM, reading, segmentAtTip, colourAtTip } = readCursor(view, lengthM);
  return (
    <p className="figures truncate text-sm">
      <b>{format.length(lengthOutM)} out</b>, {view.counter ? 'counter' : 'turns'}{' '}
      <b>{format.counts(reading.value, reading.plusMinus)}</b>, {segmentAtTip}
      {colourAtTip && `, ${colourAtTip}`}
    </p>
  );
}
