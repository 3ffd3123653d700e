'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { correctionTable } from '@/core/calibration/correctionTable';
import type { RigView } from '@/core/rig/rigView';
import { fromSi } from '@/core/units/units';
import { LensChart, type LensPoint } from '@/components/line/LensChart';
import { useRig } from '@/components/rig/RigProvider';
import { stationPath } from '@/components/shell/places';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { CountAdvice } from './CountAdvice';
import { CardLink } from './CardLink';
import { DisplayQuiz } from './DisplayQuiz';
import { Evidence } from './Evidence';
import { Hang } from './Hang';
import { MarksTable } from './MarksTable';
import { Practice } from './Practice';
import { TrialChart } from './TrialChart';
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
        <div className="flex min-w-0 flex-col gap-4">
          <Card title="What the counter does">
            <CountAdvice load={load} />
          </Card>
          {view.counter && (
            <Card title="What it rests on">
              <TrialChart trials={record.trials} unitM={view.counter.counter.unitM} />
              <Evidence fused={view.counter} />
            </Card>
          )}
        </div>
        <div className="flex min-w-0 flex-col gap-4">
          <Card title="Test it">
            <WalkForm load={load} />
          </Card>
          <DisplayQuiz />
          <Hang />
          <Practice />
        </div>
      </div>
      <Card title="True length against reading, over the whole line" aside={<CardLink />}>
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
    const { counter } = view;
    if (!counter) return [];
    const lengthsM = Array.from({ length: STATIONS_ALONG + 1 }, (_, i) => (line.totalLengthM * i) / STATIONS_ALONG);
    const paidOutsM = lengthsM.map((m) => Math.min(Math.max(m - line.handLinedLengthM, 0), line.woundLengthM));
    return correctionTable(counter, paidOutsM).map((reading, index) => {
      const show = (counts: number): number => fromSi('length', counts * counter.counter.unitM, units.length);
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
