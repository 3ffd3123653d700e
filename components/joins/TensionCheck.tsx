'use client';

import { useState } from 'react';
import { median } from '@/core/numerics/median';
import type { ForceSample } from '@/core/force/forceSample';
import type { PrepFigure } from '@/core/joins/prepFigures';
import { judgeTension, type TensionVerdict } from '@/core/joins/readSeating';
import { TracePlot } from '@/components/bench/TracePlot';
import { useVirtualReel } from '@/components/bench/useVirtualReel';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';

const WORDS: Readonly<Record<TensionVerdict, string>> = {
  'too loose': 'Too loose: the braid sags between passes, and the plait bulges. Tighten the drag a click or two.',
  right: 'Right: taut enough to lie close, loose enough to bed when it is pulled.',
  'too tight': 'Too tight: passes lie hard before they can bed, and the plait will not lock. Ease the drag.',
};

const AIMS = [0.5, 1, 1.6, 2.6, 4] as const;

/** The tension while plaiting against its band: read from a scale, or shown by the virtual one. */
export function TensionCheck({ joinId, band }: { joinId: string; band: PrepFigure }) {
  const { record } = useRig();
  const { format } = useUnits();
  const say = useSay();
  const bench = useVirtualReel();
  const [samples, setSamples] = useState<readonly ForceSample[]>([]);
  const tension = useQuantity(`tension:${joinId}`, 'force', null, LIMITS.forceN);
  const hold = async (aimN: number): Promise<void> => {
    const shown = await bench.work({ act: 'hold-braid', aimN });
    if (!shown) return;
    setSamples(shown.samples);
    const held = shown.samples.filter((sample) => sample.timeS > 2.2).map((sample) => sample.forceN);
    if (held.length > 0) tension.set({ text: median(held).toFixed(1), unit: 'N' });
  };
  const verdict = tension.value === null ? null : judgeTension(tension.value, band);
  return (
    <div className="flex flex-col gap-3 border-l-4 border-rule pl-3">
      <p className="text-sm">
        The band for this braid is a guess from its strength: {format.force(band.least)} to {format.force(band.most)},{' '}
        {say(band.why)}.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-44">
          <QuantityField label="Tension by the scale" {...tension.field} />
        </div>
        <Band band={band} tensionN={tension.value} />
      </div>
      <p role="status" className={`min-h-6 text-sm font-semibold ${verdict === 'right' ? 'text-go' : 'text-warn'}`}>
        {verdict && WORDS[verdict]}
      </p>
      {record.hasVirtualReel && (
        <VirtualBench instrument="scale in the braid">
          {AIMS.map((share) => (
            <Button key={share} disabled={bench.busy} onClick={() => void hold(share * band.least)}>
              Drag at {format.force(share * band.least)}
            </Button>
          ))}
          <TracePlot samples={samples} label="Tension of the braid" />
        </VirtualBench>
      )}
    </div>
  );
}

/** A ruler from nothing to well beyond the band, with the band marked and a pointer where the scale stands. */
function Band({ band, tensionN }: { band: PrepFigure; tensionN: number | null }) {
  const { format } = useUnits();
  const end = 1.6 * band.most;
  const x = (forceN: number): number => 4 + (232 * Math.min(forceN, end)) / end;
  return (
    <svg
      viewBox="0 0 240 44"
      className="block w-60"
      role="img"
      aria-label={`Band from ${format.force(band.least)} to ${format.force(band.most)}${tensionN === null ? '' : `; the scale shows ${format.force(tensionN)}`}`}
    >
      <rect x={x(0)} y={16} width={232} height={12} className="fill-edge" />
      <rect x={x(band.least)} y={16} width={x(band.most) - x(band.least)} height={12} className="fill-rule" />
      <text x={x(0)} y={42} className="fill-ink-soft text-[11px]">
        loose
      </text>
      <text x={x(end)} y={42} textAnchor="end" className="fill-ink-soft text-[11px]">
        tight
      </text>
      {tensionN !== null && <path d={`M${x(tensionN)} 30l-6 -18h12z`} className="fill-ink" />}
    </svg>
  );
}
