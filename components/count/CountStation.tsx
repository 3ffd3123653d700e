'use client';

import { ticks } from 'd3-array';
import Link from 'next/link';
import { useMemo } from 'react';
import { correctionTable } from '@/core/calibration/correctionTable';
import { countMarks } from '@/core/rig/countMarks';
import type { RigView } from '@/core/rig/rigView';
import { fromSi, toSi } from '@/core/units/units';
import { LensChart, type LensPoint } from '@/components/line/LensChart';
import { useRig } from '@/components/rig/RigProvider';
import { stationPath } from '@/components/shell/places';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { CountAdvice } from './CountAdvice';
import { WalkForm } from './WalkForm';

/** The Count station: make the counter true, or know how it lies. */
export function CountStation() {
  const { record, view } = useRig();
  const { load } = record;
  if (!record.reel.counter) {
    return (
      <Card title="No counter">
        <p>
          This reel has no counter: the lower ruler of the line shows spool turns instead, and lead core&apos;s own
          colours or inked marks tell what is out.
        </p>
      </Card>
    );
  }
  if (!view || load?.status !== 'wound') {
    return (
      <Card title="Nothing to test yet">
        <p>
          A counter is tested with its line on: how full the spool is decides what a turn takes.{' '}
          <Link className="text-chalk underline" href={stationPath(record.boat.id, record.id, 'load')}>
            Load the reel first
          </Link>
          .
        </p>
      </Card>
    );
  }
  return (
    <div className="flex flex-col gap-4">
      <DriftLens view={view} />
      <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
        <Card title="What the counter does">
          <CountAdvice load={load} />
        </Card>
        <Card title="Walk the tape">
          <WalkForm load={load} />
        </Card>
      </div>
      <Card title="True length against reading, over the whole line">
        <MarksTable view={view} />
      </Card>
    </div>
  );
}

const STATIONS_ALONG = 80;

/** How far the counter drifts from true, over the whole line. */
function DriftLens({ view }: { view: RigView }) {
  const { cursorM } = useRig();
  const { units } = useUnits();
  const points = useMemo((): readonly LensPoint[] => {
    const { line } = view.current;
    const { evidence, correction } = view;
    if (!evidence || !correction) return [];
    const lengthsM = Array.from({ length: STATIONS_ALONG + 1 }, (_, i) => (line.totalLengthM * i) / STATIONS_ALONG);
    const paidOutsM = lengthsM.map((m) => Math.min(Math.max(m - line.handLinedLengthM, 0), line.woundLengthM));
    return correctionTable(line, evidence, correction, paidOutsM).map((reading, index) => {
      const show = (counts: number): number => fromSi('length', counts * correction.unitM, units.length);
      return {
        lengthM: lengthsM[index] ?? 0,
        value: show(reading.value) - fromSi('length', paidOutsM[index] ?? 0, units.length),
        plusMinus: show(reading.plusMinus),
      };
    });
  }, [view, units.length]);
  const last = points.at(-1);
  return (
    <LensChart
      view={view}
      title="Counter less true length"
      axis={`${units.length}, band ± 95 %`}
      cursorM={cursorM}
      curves={[{ name: 'drift', look: 'stroke-chalk text-chalk', points }]}
      describe={`The counter's drift from true length along the line, ending at ${last ? last.value.toFixed(0) : '0'} ${units.length} with everything out.`}
    />
  );
}

function MarksTable({ view }: { view: RigView }) {
  const { units, format } = useUnits();
  const marks = useMemo(() => {
    const end = fromSi('length', view.current.line.totalLengthM, units.length);
    const rounds = ticks(0, end, 14).filter((value) => value > 0);
    return countMarks(
      view,
      rounds.map((value) => toSi('length', value, units.length)),
    );
  }, [view, units.length]);
  const unitM = view.correction?.unitM ?? 1;
  return (
    <>
      <p className="mb-2 text-sm text-ink-soft">
        True length is from the hook; the counter is zeroed with all wound line on
        {view.current.line.handLinedLengthM > 0 && ' and what is let out by hand already out'}.{' '}
        {view.evidence?.kind === 'tape'
          ? 'Bound to your tape test of this load.'
          : 'Not tested as it is now: see the ±.'}{' '}
        The winding log gives a second, independent figure at each join.
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Correction table">
        <table className="w-full text-sm">
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th className="py-1 pr-3">true length out</th>
              <th className="py-1 pr-3">counter shows</th>
              <th className="py-1 pr-3">by the winding log</th>
              <th className="py-1 pr-3">error</th>
              <th className="py-1">mark</th>
            </tr>
          </thead>
          <tbody>
            {marks.map((mark) => {
              const paidOutM = Math.max(mark.lengthOutM - view.current.line.handLinedLengthM, 0);
              return (
                <tr
                  key={`${mark.kind}${mark.lengthOutM}`}
                  className={`border-b border-edge ${mark.kind === 'join' ? 'font-semibold' : ''}`}
                >
                  <td className="figures py-1 pr-3 whitespace-nowrap">{format.length(mark.lengthOutM)}</td>
                  <td className="figures py-1 pr-3 whitespace-nowrap">
                    {format.counts(mark.reading.value, mark.reading.plusMinus)}
                  </td>
                  <td className="figures py-1 pr-3">
                    {mark.loggedReading === null ? '' : format.counts(mark.loggedReading)}
                  </td>
                  <td className="figures py-1 pr-3">
                    {paidOutM > 1
                      ? `${((100 * mark.reading.value * unitM) / paidOutM - 100).toFixed(1).replace('-', '−')} %`
                      : ''}
                  </td>
                  <td className="py-1">{mark.name}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </>
  );
}
