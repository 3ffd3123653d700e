'use client';

import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { LineProductRecord } from '@/core/record/record';
import { More } from '@/components/keeping/More';
import { MATERIAL_FILL, SHEATH_FILL, UNKNOWN_SHEATH } from '@/components/line/lineColours';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { lineScale } from './rackScale';
import { ScaleBar } from './ScaleBar';

/** The boat's lines under one another, all thicknesses to one scale. */
export function LineRack({
  boatId,
  lines,
  onChange,
}: {
  boatId: string;
  lines: readonly LineProductRecord[];
  onChange: (lineId: string) => void;
}) {
  const { format } = useUnits();
  if (lines.length === 0) return null;
  const pxPerM = lineScale(lines.map(({ diameterM }) => diameterM.value));
  return (
    <>
      <ul aria-label="Lines of this boat" className="grid gap-x-6 lg:grid-cols-2">
        {lines.map((line) => (
          <li
            key={line.id}
            className="grid grid-cols-[5rem_1fr] items-center gap-x-3 border-b border-edge py-1 sm:grid-cols-[5rem_1fr_auto]"
          >
            <Strand line={line} pxPerM={pxPerM} />
            <span className="min-w-0 text-sm">
              <b className="text-base">{line.name}</b>
              <span className="block">
                {line.material}, {format.thickness(line.diameterM.value)} ±{' '}
                {format.thickness(PLUS_MINUS_SDS * line.diameterM.sd)} ({line.diameterM.source})
              </span>
              <span className="block">
                {line.labelStrengthN === null ? 'no label' : `label ${format.force(line.labelStrengthN)}`}; packs{' '}
                {line.packing.value.toFixed(2)} ± {(PLUS_MINUS_SDS * line.packing.sd).toFixed(2)} ({line.packing.source}
                )
              </span>
            </span>
            <span className="col-start-2 -ml-4 flex sm:col-start-3">
              <Button weight="quiet" onClick={() => onChange(line.id)} aria-label={`Change ${line.name}`}>
                Change
              </Button>
              <More
                boatId={boatId}
                thing="line"
                id={line.id}
                name={line.name}
                stays="Put away, it is not offered for a new plan. Rigs that carry it keep it, with all its pulls."
              />
            </span>
          </li>
        ))}
      </ul>
      <ScaleBar lengthM={0.001} pxPerM={pxPerM} words={`${format.small(0.001)}: all thicknesses to one scale`} />
    </>
  );
}

const STRAND = { width: 80, height: 26 } as const;

/** A piece of the line, as thick as it is; a sheath in the order of its colours. */
function Strand({ line, pxPerM }: { line: LineProductRecord; pxPerM: number }) {
  const thickPx = line.diameterM.value * pxPerM;
  const colours = line.colours.length > 0 ? line.colours : [null];
  const eachPx = STRAND.width / colours.length;
  const dashed = line.diameterM.source === 'default' ? '4 3' : undefined;
  return (
    <svg viewBox={`0 0 ${STRAND.width} ${STRAND.height}`} width={STRAND.width} height={STRAND.height} aria-hidden>
      {colours.map((colour, index) => (
        <rect
          key={index}
          x={index * eachPx}
          y={(STRAND.height - thickPx) / 2}
          width={eachPx}
          height={thickPx}
          fill={colour === null ? MATERIAL_FILL[line.material] : (SHEATH_FILL[colour.toLowerCase()] ?? UNKNOWN_SHEATH)}
          className="stroke-ink"
          strokeWidth={0.5}
          strokeDasharray={dashed}
        />
      ))}
    </svg>
  );
}
