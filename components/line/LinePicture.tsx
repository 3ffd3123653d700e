'use client';

import type { LineBand } from '@/core/rig/view/bandsOfLine';
import type { JoinRecord } from '@/core/record/record';
import type { LoadedLine } from '@/core/spool/loadedLine';
import { useUnits } from '@/components/units/UnitsProvider';
import { describeLine } from './describeLine';
import { lineScale } from './lineScale';
import { Plane } from './plane';
import { RibbonBands } from './RibbonBands';
import { useWidth } from './useWidth';

const MARGIN = 14;
const ACROSS = 46;

/** A line as a picture, from hook (left) to arbor: bands and joins to its own scale, without rulers or cursor. */
export function LinePicture({
  line,
  bands,
  joins,
}: {
  line: LoadedLine;
  bands: readonly LineBand[];
  joins: readonly JoinRecord[];
}) {
  const { ref, width } = useWidth<HTMLDivElement>(960);
  const { format } = useUnits();
  const lengthPx = Math.max(width - 2 * MARGIN, 100);
  const plane = new Plane('lying', MARGIN);
  const size = plane.size(lengthPx + 2 * MARGIN, ACROSS);
  return (
    <div ref={ref}>
      <svg
        width="100%"
        height={size.height}
        viewBox={`0 0 ${size.width} ${size.height}`}
        role="img"
        aria-label={describeLine(line, format)}
        className="block select-none"
      >
        <RibbonBands
          plane={plane}
          scale={lineScale(line, lengthPx)}
          bands={bands}
          joins={joins}
          marks={[]}
          across={ACROSS / 2}
          format={format}
          named={false}
        />
      </svg>
    </div>
  );
}
