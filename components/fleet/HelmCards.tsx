'use client';

import { ticks } from 'd3-array';
import { useMemo, useRef } from 'react';
import { correctionTable } from '@/core/calibration/correctionTable';
import { stationStates } from '@/core/rig/stationStates';
import type { RigView } from '@/core/rig/view/rigView';
import { fromSi, toSi } from '@/core/units/units';
import { CardActions } from '@/components/cards/CardActions';
import { CardRows, CardSheet } from '@/components/cards/CardSheet';
import { useUnits } from '@/components/units/UnitsProvider';
import { cardsOfRods, helmHead } from './helmRods';

/** Where the first rod's column begins, and how much of the sheet all of them have (mm). */
const FIRST_MM = 22;
const ALL_MM = 78;
/** Width of a letter of a head, with some air (mm). */
const HEAD_LETTER_MM = 1.45;

/** Cards for the helm: for each true length, what every rod has to read. */
export function HelmCards({ boatName, views }: { boatName: string; views: readonly RigView[] }) {
  const cards = useMemo(() => cardsOfRods(views), [views]);
  if (cards.length === 0) return null;
  return (
    <section aria-label="Card for the helm" className="flex flex-col gap-3">
      <h2 className="lettered no-print text-lg">Card for the helm</h2>
      {cards.map((rods, index) => (
        <HelmCard
          key={rods[0]?.record.id}
          title={`Helm of ${boatName}${cards.length > 1 ? `, ${index + 1} of ${cards.length}` : ''}`}
          rods={rods}
        />
      ))}
    </section>
  );
}

function HelmCard({ title, rods }: { title: string; rods: readonly RigView[] }) {
  const { units, format } = useUnits();
  const sheet = useRef<SVGSVGElement>(null);
  const rows = useMemo(() => {
    const longestM = Math.max(0, ...rods.map((view) => view.current.line.totalLengthM));
    const end = fromSi('length', Math.min(longestM, 120), units.length);
    return ticks(0, end, 14)
      .filter((value) => value > 0)
      .map((value) => {
        const lengthM = toSi('length', value, units.length);
        return { strong: false, cells: [format.length(lengthM), ...rods.map((rod) => readingAt(rod, lengthM)), ''] };
      });
  }, [rods, units.length, format]);
  // What nobody has confirmed is struck through, as on the rod's own card.
  const unconfirmed = useMemo(
    () => rods.map(({ record }) => stationStates(record).count.state).map((state) => (state === 'done' ? null : state)),
    [rods],
  );
  const struck = unconfirmed.flatMap((state, index) => (state === null ? [] : [index + 1]));
  const step = ALL_MM / rods.length;
  const day = rods[0]?.record.readAt.slice(0, 10);
  return (
    <>
      <CardActions
        sheet={sheet}
        name={title}
        heads={['true', ...rods.flatMap(({ record }, index) => fileHeads(record.name, unconfirmed[index] !== null))]}
        rows={rows.map(({ cells: [lengthOut = '', ...readings] }) => [
          lengthOut,
          ...readings.slice(0, rods.length).flatMap(inFile),
        ])}
      />
      <CardSheet
        ref={sheet}
        title={title}
        line="what each counter has to read for the same true length out"
        label={`Card for the helm: ${rods.length} rods, ${rows.length} lengths${struck.length > 0 ? `; not confirmed: ${struck.map((column) => rods[column - 1]?.record.name).join(', ')}` : ''}`}
      >
        <CardRows
          heads={['true', ...rods.map(({ record }) => helmHead(record.name, Math.floor(step / HEAD_LETTER_MM)))]}
          at={[5, ...rods.map((_, index) => FIRST_MM + index * step)]}
          rows={rows}
          headSize={2.4}
          boldTo={rods.length}
          struck={struck}
          foot={[
            `${day}. From the hook; ± 95 %.`,
            ...(struck.length > 0 ? ['Struck through: its counter is not confirmed for the line as it is.'] : []),
          ]}
        />
      </CardSheet>
    </>
  );
}

const fileHeads = (name: string, isOpen: boolean): readonly string[] => [
  `${name}${isOpen ? ', not confirmed' : ''}`,
  `± of ${name}`,
];

/** In a file a figure and its ± stand in columns of their own, so that a spreadsheet can reckon with both. */
function inFile(reading: string): readonly string[] {
  const [value = '', plusMinus = ''] = reading.split(' ±');
  return [value, plusMinus];
}

/** What a rod's counter reads with a true length out, with its ±; a dash where it cannot be out. */
function readingAt({ counter, current, record }: RigView, lengthM: number): string {
  const paidOutM = lengthM - current.line.handLinedLengthM - (record.hangM ?? 0);
  if (!counter || paidOutM < 0 || paidOutM > current.line.woundLengthM) return '–';
  const [reading] = correctionTable(counter, [paidOutM]);
  if (!reading) return '–';
  return `${Math.round(reading.value)} ±${reading.plusMinus.toFixed(reading.plusMinus < 10 ? 1 : 0)}`;
}
