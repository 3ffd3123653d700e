'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/components/ui/Link';
import { useMemo } from 'react';
import { correctionTable } from '@/core/calibration/correctionTable';
import type { CounterEstimate } from '@/core/calibration/estimateCounter';
import { validTrial } from '@/core/rig/line/currentLine';
import { workingRangeOf } from '@/core/rig/line/workingRange';
import type { LoadRecord } from '@/core/record/record';
import type { RigView } from '@/core/rig/view/rigView';
import { fromSi } from '@/core/units/units';
import type { Formatter } from '@/words/format';
import { LensChart, type LensPoint } from '@/components/line/LensChart';
import { useRig } from '@/components/rig/RigProvider';
import { stationPath } from '@/components/shell/paths';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { Sketch } from '@/components/ui/Sketch';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { showFold } from '@/components/ui/folds';
import { useUnits } from '@/components/units/UnitsProvider';
import { fetched } from '@/components/ui/fetched';
import { AskTable } from './AskTable';
import { CountAdvice } from './CountAdvice';
import { CardLink } from './CardLink';
import { Practice } from './Practice';
import { OpenTrials } from './OpenTrials';

// What is folded is loaded when it is opened.
const CountWays = dynamic(() => fetched(() => import('./CountWays')).then(({ CountWays: loaded }) => loaded));
const DisplayQuiz = dynamic(() => fetched(() => import('./DisplayQuiz')).then(({ DisplayQuiz: loaded }) => loaded));
const Evidence = dynamic(() => fetched(() => import('./Evidence')).then(({ Evidence: loaded }) => loaded));
const Hang = dynamic(() => fetched(() => import('./Hang')).then(({ Hang: loaded }) => loaded));
const WorkingRange = dynamic(() => fetched(() => import('./WorkingRange')).then(({ WorkingRange: loaded }) => loaded));
const LineMarks = dynamic(() => fetched(() => import('./LineMarks')).then(({ LineMarks: loaded }) => loaded));
const MarksTable = dynamic(() => fetched(() => import('./MarksTable')).then(({ MarksTable: loaded }) => loaded));
const TrialChart = dynamic(() => fetched(() => import('./TrialChart')).then(({ TrialChart: loaded }) => loaded));
const WalkForm = dynamic(() => fetched(() => import('./WalkForm')).then(({ WalkForm: loaded }) => loaded));

/** The Count station: make the counter true, or know how it lies. */
export function CountStation() {
  const { record, view } = useRig();
  const { load } = record;
  if (!view || load?.status !== 'wound') {
    return (
      <Card title="Nothing to test yet">
        <Sketch of="counter">
          <p>
            A counter is tested with its line on: how full the spool is decides what a turn takes.{' '}
            <Link className="text-chalk underline" href={stationPath(record.boat.id, record.id, 'load')}>
              Load the reel first
            </Link>
            .
          </p>
        </Sketch>
      </Card>
    );
  }
  if (!view.counter) return <WithoutCounter view={view} load={load} />;
  return (
    <div className="flex flex-col gap-4">
      <Card title="What the counter does" aside={<CardLink />}>
        <OpenTrials view={view} />
        <CountAdvice load={load} />
      </Card>
      <DriftLens view={view} />
      <CountFolds view={view} load={load} estimate={view.counter} />
    </div>
  );
}

/** All else of the counter, folded by what a person asks next. */
function CountFolds({ view, load, estimate }: { view: RigView; load: LoadRecord; estimate: CounterEstimate }) {
  const { record } = useRig();
  const { format } = useUnits();
  const isTested = validTrial(record) !== null;
  const { trials, lineMarks, hangM } = record;
  const range = workingRangeOf(record, view.current.line.woundLengthM);
  return (
    <div className="grid items-start gap-4 lg:grid-cols-2">
      <CollapsibleCard
        id="test"
        title="Test it along a tape"
        line={
          trials.length === 0
            ? 'not tested yet'
            : `${trials.length} on record${isTested ? '' : ', none of the line as it is now'}`
        }
      >
        <WalkForm load={load} />
      </CollapsibleCard>
      <CollapsibleCard
        id="make-true"
        title="Make it true, or leave it"
        line="what to strip or add, at the top or in a reload"
      >
        <CountWays load={load} />
      </CollapsibleCard>
      <CollapsibleCard
        id="rests-on"
        title="What it rests on"
        line={`${estimate.observations.length} measurements, and how each fits`}
      >
        <TrialChart trials={record.trials} unitM={estimate.counter.unitM} />
        <Evidence estimate={estimate} />
      </CollapsibleCard>
      <CollapsibleCard
        id="zero"
        title="Zero, range and display"
        line={`${hangWords(hangM, format)}; fished from ${format.length(range.fromM)} to ${format.length(range.toM)}`}
      >
        <div className="flex flex-col gap-4">
          <DisplayQuiz />
          <Hang />
          <WorkingRange />
        </div>
      </CollapsibleCard>
      <LineMarksFold view={view} load={load} marks={lineMarks.length} />
      <Practice />
      <div className="min-w-0 lg:col-span-2">
        <CollapsibleCard id="table" title="The whole table" line="true length against reading, every join and colour">
          <MarksTable view={view} />
        </CollapsibleCard>
      </div>
    </div>
  );
}

/** A reel without a counter: turns of the spool, colours, and marks on the line itself tell what is out. */
function WithoutCounter({ view, load }: { view: RigView; load: LoadRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { trials, lineMarks, hangM } = record;
  return (
    <div className="flex flex-col gap-4">
      <Card title="Turns of the spool against true length" aside={<CardLink />}>
        <OpenTrials view={view} />
        <AskTable view={view} />
        <p>
          This reel has no counter. Count the turns of the spool, watch the colours, or tie and ink marks on the line:
          the table says what each of them means.
        </p>
        <div className="mt-3">
          <Button weight="main" onClick={() => showFold('table')}>
            The whole table
          </Button>
        </div>
      </Card>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <LineMarksFold view={view} load={load} marks={lineMarks.length} />
        <CollapsibleCard
          id="test"
          title="Test it"
          line={trials.length === 0 ? 'not tested yet' : `${trials.length} on record`}
        >
          <WalkForm load={load} />
        </CollapsibleCard>
        {trials.length > 0 && (
          <CollapsibleCard
            id="rests-on"
            title="What it rests on"
            line={`${view.ruler.observations.length} measurements, and how each fits`}
          >
            <Evidence estimate={view.ruler} />
          </CollapsibleCard>
        )}
        <CollapsibleCard id="zero" title="What hangs at zero" line={hangWords(hangM, format)}>
          <Hang />
        </CollapsibleCard>
        <div className="min-w-0 lg:col-span-2">
          <CollapsibleCard id="table" title="The whole table" line="true length against turns, every join and colour">
            <MarksTable view={view} />
          </CollapsibleCard>
        </div>
      </div>
    </div>
  );
}

function LineMarksFold({ view, load, marks }: { view: RigView; load: LoadRecord; marks: number }) {
  return (
    <CollapsibleCard
      id="line-marks"
      title="Marks on the line"
      line={marks === 0 ? 'none tied or inked' : `${marks} tied or inked`}
    >
      <LineMarks view={view} load={load} />
    </CollapsibleCard>
  );
}

const hangWords = (hangM: number | null, format: Formatter): string =>
  hangM === null ? 'what hangs at zero is not told' : `${format.length(hangM)} hang at zero`;

const STATIONS_ALONG = 80;

/** How far the counter drifts from true, over the whole line. */
function DriftLens({ view }: { view: RigView }) {
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
      curves={[{ name: 'drift', look: 'stroke-chalk text-chalk', points }]}
      describe={`The counter's drift from true length along the line, ending at ${(last?.value ?? 0).toFixed(0)} ${units.length} with everything out.`}
    />
  );
}
