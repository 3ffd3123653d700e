'use client';

import type { RigRecord } from '@/core/record/record';
import { productOf } from '@/core/rig/line/planForRig';
import type { LoadedLine } from '@/core/spool/loadedLine';
import { MATERIAL_FILL } from '@/components/line/lineColours';
import { useWidth } from '@/components/line/useWidth';
import { useUnits } from '@/components/units/UnitsProvider';

const HEIGHT = 26;
/** Pixels that stand for a millimetre of line across the ribbon. */
const PX_PER_MM = 22;

/** One plan's line from hook to arbor, on a scale that all compared plans share. */
export function ComparedRibbon({
  name,
  record,
  line,
  longestM,
}: {
  name: string;
  record: RigRecord;
  line: LoadedLine;
  longestM: number;
}) {
  const { ref, width } = useWidth<HTMLDivElement>(900);
  const { format } = useUnits();
  const pxPerM = width / longestM;
  const bands = line.segments.toReversed().map((segment, index, all) => {
    const fromM = all.slice(0, index).reduce((sum, each) => sum + each.lengthM, 0);
    const productId = record.segments.find((candidate) => candidate.id === segment.id)?.productId ?? '';
    return { segment, fromM, material: productOf(record, productId).material };
  });
  const words = bands.map(({ segment }) => `${segment.name} ${format.length(segment.lengthM)}`).join(', ');
  return (
    <div ref={ref}>
      <p className="text-sm">
        <b>{name}</b> <span className="text-ink-soft">{words}</span>
      </p>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`${name}, from hook to arbor: ${words}`}
        className="block"
      >
        {bands.map(({ segment, fromM, material }) => {
          const across = Math.max(3, segment.lineDiameterM * 1000 * PX_PER_MM);
          return (
            <rect
              key={segment.id}
              x={fromM * pxPerM}
              y={(HEIGHT - across) / 2}
              width={Math.max(1, segment.lengthM * pxPerM - 1)}
              height={across}
              fill={MATERIAL_FILL[material]}
              className="stroke-ink/40"
              strokeWidth={0.5}
            />
          );
        })}
      </svg>
    </div>
  );
}
