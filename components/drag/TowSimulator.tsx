'use client';

import { line as linePath } from 'd3-shape';
import { useMemo, useState } from 'react';
import { TOW_S, towPlaner, type TowResult, type TowSample } from '@/core/drag/planer/towPlaner';
import { fromSi, KNOT_MS } from '@/core/units/units';
import { useUnits } from '@/components/units/UnitsProvider';
import { seededRandom } from '@/instruments/random';
import { RightAxis, ValueAxis } from '@/components/chart/Axis';
import { linear } from '@/components/chart/scale';

const SEAS = [
  { text: 'calm', waveSpeedMS: 0.05, periodS: 4 },
  { text: 'into ordinary waves', waveSpeedMS: 0.22, periodS: 4 },
  { text: 'following sea', waveSpeedMS: 0.4, periodS: 9 },
  { text: 'rough', waveSpeedMS: 0.65, periodS: 6 },
] as const;

/** Pulls of planers at 6 kn by size, so that there is something to play with: guesses, and called so. */
const SIZES = [
  { text: 'small', pullN: 70 },
  { text: 'middle', pullN: 130 },
  { text: 'large', pullN: 220 },
] as const;

/** Ten minutes of a planer in tow, simulated: what speed, sea, size and drag come to, before gear is lost. */
export function TowSimulator({ pullAt6KnN }: { pullAt6KnN: number | null }) {
  const { units, format } = useUnits();
  const [knots, setKnots] = useState(6);
  const [current, setCurrent] = useState(0);
  const [sea, setSea] = useState(1);
  const [size, setSize] = useState(1);
  const [holds, setHolds] = useState(150);
  const pullN = pullAt6KnN ?? SIZES[size]?.pullN ?? 130;
  const result = useMemo((): TowResult => {
    const { waveSpeedMS, periodS } = SEAS[sea] ?? SEAS[1];
    const tow = {
      pullAt6KnN: pullN,
      speedMS: Math.max(0.5, (knots + current) * KNOT_MS),
      waveSpeedMS,
      wavePeriodS: periodS,
      holdsN: holds,
    };
    return towPlaner(tow, seededRandom(41));
  }, [pullN, knots, current, sea, holds]);
  return (
    <section aria-label="Simulator of a planer in tow" className="mt-4 border-t-2 border-edge pt-3">
      <h3 className="lettered">Try it dry: ten minutes in tow, simulated</h3>
      <div className="mt-2 grid gap-4 md:grid-cols-[2fr_3fr]">
        <div className="flex flex-col gap-2 text-sm">
          <Slider
            label={`Speed over the ground, ${knots.toFixed(1)} kn`}
            value={knots}
            from={3}
            to={9}
            onMove={setKnots}
          />
          <Slider
            label={`Current, ${Math.abs(current).toFixed(1)} kn ${current > 0 ? 'against you' : current < 0 ? 'with you' : ''}`}
            value={current}
            from={-2}
            to={2}
            onMove={setCurrent}
          />
          <Slider
            label={`Sea: ${SEAS[sea]?.text ?? ''}`}
            value={sea}
            from={0}
            to={SEAS.length - 1}
            step={1}
            onMove={setSea}
          />
          {pullAt6KnN === null ? (
            <Slider
              label={`Planer: ${SIZES[size]?.text ?? ''}, ${format.force(pullN)} at 6 kn (a guess)`}
              value={size}
              from={0}
              to={SIZES.length - 1}
              step={1}
              onMove={setSize}
            />
          ) : (
            <p>Planer as your looks have it: {format.force(pullN)} at 6 kn.</p>
          )}
          <Slider
            label={`The drag holds ${format.force(holds)}`}
            value={holds}
            from={20}
            to={500}
            step={5}
            onMove={setHolds}
          />
        </div>
        <div>
          <p className="text-lg font-semibold" aria-live="polite">
            {result.creptM < 0.5 ? 'It holds.' : `${format.length(result.creptM)} of line crept out: ${result.creep}.`}{' '}
            <span className="text-base font-normal">
              Pull up to {format.force(result.peakN)}, slipping {format.percent(result.slipping)} of the time.
            </span>
          </p>
          <TowDrawing samples={result.samples} unit={units.force} lengthUnit={units.length} />
        </div>
      </div>
    </section>
  );
}

function Slider({
  label,
  value,
  from,
  to,
  step = 0.1,
  onMove,
}: {
  label: string;
  value: number;
  from: number;
  to: number;
  step?: number;
  onMove: (value: number) => void;
}) {
  return (
    <label className="flex flex-col">
      {label}
      <input
        type="range"
        className="min-h-11 w-full accent-chalk"
        min={from}
        max={to}
        step={step}
        value={value}
        onChange={(event) => onMove(Number(event.target.value))}
      />
    </label>
  );
}

const WIDTH = 520;
const HEIGHT = 170;

/** Tension and crept line over the ten minutes. */
function TowDrawing({
  samples,
  unit,
  lengthUnit,
}: {
  samples: readonly TowSample[];
  unit: string;
  lengthUnit: string;
}) {
  const show = (lengthM: number): number => fromSi('length', lengthM, lengthUnit);
  const x = linear([0, TOW_S], [40, WIDTH - 46]);
  const most = Math.max(...samples.map((sample) => fromSi('force', sample.tensionN, unit)), 0.1);
  const y = linear([0, most * 1.1], [HEIGHT - 22, 8]);
  const mostCrept = Math.max(1, ...samples.map((sample) => show(sample.creptM)));
  const yCrept = linear([0, mostCrept * 1.1], [HEIGHT - 22, 8]);
  const tension = linePath<TowSample>(
    (sample) => x(sample.timeS),
    (sample) => y(fromSi('force', sample.tensionN, unit)),
  )(samples);
  const crept = linePath<TowSample>(
    (sample) => x(sample.timeS),
    (sample) => yCrept(show(sample.creptM)),
  )(samples);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full"
      role="img"
      aria-label={`Ten minutes: tension up to ${most.toFixed(1)} ${unit}, ${mostCrept.toFixed(0)} ${lengthUnit} crept`}
    >
      <ValueAxis y={y} ticks={3} fromPx={40} toPx={WIDTH - 46} look="fill-chalk" />
      <RightAxis y={yCrept} ticks={3} atPx={WIDTH - 42} unit={lengthUnit} look="fill-stop" />
      {[0, 120, 240, 360, 480, 600].map((atS) => (
        <text key={atS} x={x(atS)} y={HEIGHT - 6} textAnchor="middle" className="figures fill-ink-soft text-[12px]">
          {atS / 60} min
        </text>
      ))}
      <path d={tension ?? ''} fill="none" className="stroke-chalk" strokeWidth={1.2} />
      <path d={crept ?? ''} fill="none" className="stroke-stop" strokeWidth={2.4} />
      <text x={44} y={16} className="fill-chalk text-[12px] font-semibold">
        tension, {unit}
      </text>
      <text x={WIDTH - 50} y={16} textAnchor="end" className="fill-stop text-[12px] font-semibold">
        line crept out
      </text>
    </svg>
  );
}
