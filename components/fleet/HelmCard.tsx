'use client';

import { ticks } from 'd3-array';
import { useMemo, useRef } from 'react';
import { correctionTable } from '@/core/calibration/correctionTable';
import type { RigView } from '@/core/rig/view/rigView';
import { fromSi, toSi } from '@/core/units/units';
import { CardActions } from '@/components/cards/CardActions';
import { CardRows, CardSheet } from '@/components/cards/CardSheet';
import { useUnits } from '@/components/units/UnitsProvider';

/** Rods on one helm card: more would be too small to read at the wheel. */
const MOST_RODS = 6;

/** One card for the helm: for each true length, what every rod has to read. */
export function HelmCard({ boatName, views }: { boatName: string; views: readonly RigView[] }) {
  const { units, format } = useUnits();
  const sheet = useRef<SVGSVGElement>(null);
  const rods = useMemo(
    () => views.filter((view) => view.counter && view.current.state === 'wound').slice(0, MOST_RODS),
    [views],
  );
  const rows = useMemo(() => {
    const longestM = Math.max(0, ...rods.map((view) => view.current.line.totalLengthM));
    const end = fromSi('length', Math.min(longestM, 120), units.length);
    return ticks(0, end, 14)
      .filter((value) => value > 0)
      .map((value) => {
        const lengthM = toSi('length', value, units.length);
        const readings = rods.map(({ counter, current, record }) => {
          const paidOutM = lengthM - current.line.handLinedLengthM - (record.hangM ?? 0);
          if (!counter || paidOutM < 0 || paidOutM > current.line.woundLengthM) return '–';
          return String(Math.round(correctionTable(counter, [paidOutM])[0]?.value ?? NaN));
        });
        return { strong: false, cells: [format.length(lengthM), ...readings, ''] };
      });
  }, [rods, units.length, format]);
  if (rods.length === 0) return null;
  const step = 78 / rods.length;
  // The place of a rod on the boat stands at the end of its name.
  const letters = Math.floor(step / 1.5);
  const short = (name: string): string =>
    name
      .slice(name.lastIndexOf(',') + 1)
      .trim()
      .slice(0, letters);
  const heads = ['true', ...rods.map((view) => short(view.record.name))];
  return (
    <section aria-label="Card for the helm" className="flex flex-col gap-3">
      <h2 className="lettered no-print text-lg">Card for the helm</h2>
      <CardActions
        sheet={sheet}
        name={`${boatName} helm`}
        heads={['true', ...rods.map((view) => view.record.name)]}
        rows={rows.map((row) => row.cells.slice(0, -1))}
      />
      <CardSheet
        ref={sheet}
        title={`Helm of ${boatName}`}
        line="what each counter has to read for the same true length out"
        label={`Card for the helm: ${rods.length} rods, ${rows.length} lengths`}
      >
        <CardRows
          heads={heads}
          at={[5, ...rods.map((_, index) => 22 + index * step)]}
          rows={rows}
          headSize={2.4}
          boldTo={rods.length}
          foot={[
            "From the hook. The ± stands on each rod's own card.",
            ...(views.length > MOST_RODS ? [`The first ${MOST_RODS} of ${views.length} rods.`] : []),
          ]}
        />
      </CardSheet>
    </section>
  );
}
