'use client';

import { useMemo } from 'react';
import type { Figure } from '@/core/provenance/figure';
import type { RigView } from '@/core/rig/view/rigView';
import type { DepthCurves } from '@/core/tow/answerDepth';
import { fromSi } from '@/core/units/units';
import { LensChart, type LensCurve } from '@/components/line/LensChart';
import { useUnits } from '@/components/units/UnitsProvider';
import { knots } from './towedWords';
import type { Depth } from './useDepth';

/** Depth over length out, on the ribbon's own axis: downwards, as the water has it. */
export function DepthLens({ view, depth, curves }: { view: RigView; depth: Depth; curves: DepthCurves }) {
  const { units, format } = useUnits();
  const { lengthsM, speedMS, mostM } = depth.question;
  const drawn = useMemo((): readonly LensCurve[] => {
    const shown = (depthM: number): number => -fromSi('length', depthM, units.length);
    const start = { lengthM: 0, value: 0 };
    const [slower, faster] = curves.beside;
    const plain = (name: string, look: string, along: readonly Figure[]): LensCurve => ({
      ...{ name, look, dashed: true },
      points: [start, ...lengthsM.map((lengthM, index) => ({ lengthM, value: shown(along[index]?.value ?? 0) }))],
    });
    return [
      {
        name: `at ${knots(speedMS)}`,
        look: 'stroke-chalk text-chalk',
        points: [
          { ...start, plusMinus: 0 },
          ...lengthsM.map((lengthM, index) => ({
            lengthM,
            value: shown(curves.along[index]?.value ?? 0),
            plusMinus: -shown(curves.along[index]?.plusMinus ?? 0),
          })),
        ],
      },
      ...(slower ? [plain(`at ${knots(slower.speedMS)}`, 'stroke-go text-go', slower.along)] : []),
      ...(faster ? [plain(`at ${knots(faster.speedMS)}`, 'stroke-warn text-warn', faster.along)] : []),
    ];
  }, [curves, lengthsM, speedMS, units.length]);
  const last = curves.along.at(-1);
  return (
    <LensChart
      view={view}
      title="Depth, as line goes out"
      axis={`${units.length} below the surface, band ± 95 %`}
      curves={drawn}
      isDown
      describe={
        last
          ? `With ${format.length(mostM)} out, all that may be, it swims ${format.length(last.value, last.plusMinus)} deep at ${knots(speedMS)}.`
          : 'Depth over length out.'
      }
    />
  );
}
