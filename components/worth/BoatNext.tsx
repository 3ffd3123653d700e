'use client';

import { Link } from '@/components/ui/Link';
import type { NamedFigure } from '@/core/rig/worth/rigFigure';
import type { FigureKind } from '@/core/worth/enough';
import type { Station } from '@/core/record/stations';
import { keyOf, ON_THE_WATER } from '@/core/worth/measurement';
import { NEARLY } from '@/core/worth/enough';
import type { MeasureOption } from '@/core/worth/measureNext';
import type { MeasuringPage } from '@/usecases/rigs/measuring';
import { figureWords, measurementWords, plusMinusWords } from '@/words/measuring';
import { measuringPath, rigPath, stationPath } from '@/components/shell/paths';
import { Card } from '@/components/ui/Card';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { MinutesTable } from './MinutesTable';

const TIMES = [10, 30, 60, 120] as const;

/** Where a figure stands, and a measurement for it is begun. */
const STATION_OF: Readonly<Record<FigureKind, Station>> = {
  length: 'load',
  level: 'load',
  counter: 'count',
  strength: 'strength',
  target: 'drag',
  straight: 'drag',
  lever: 'drag',
  depth: 'depth',
};

const minutesWords = (minutes: number): string => `${Math.round(10 * minutes) / 10} min`;

/** One list for a boat: what narrows most for its minutes, and a set that fits the time at the bench. */
export function BoatNext({
  boatId,
  measuring,
  timeMinutes,
}: {
  boatId: string;
  measuring: MeasuringPage;
  timeMinutes: number;
}) {
  const { options, set, first, figures, minutes } = measuring;
  const say = useSay();
  const { format } = useUnits();
  const afloat = options.filter(({ kind }) => ON_THE_WATER.includes(kind));
  const ashore = options.filter(({ kind }) => !ON_THE_WATER.includes(kind));
  const open = figures.filter((figure) => figure.plusMinus > NEARLY * figure.enough).length;
  const times = TIMES.some((each) => each === timeMinutes) ? TIMES : [...TIMES, timeMinutes];
  return (
    <div className="flex flex-col gap-4">
      {measuring.pages > 1 && (
        <p role="note">
          This list is of the rods on this page, {measuring.page} of {measuring.pages}: what teaches rods on other pages
          too is worth more than is said here.
        </p>
      )}
      {first.length > 0 && (
        <Card title="Answer these first">
          <ul className="flex flex-col gap-1">
            {first.map(({ rigId, rigName, why }) => (
              <li key={rigId}>
                <Link href={stationPath(boatId, rigId, 'count')} className="text-chalk underline">
                  {rigName}
                </Link>
                : {say(why)}.
              </li>
            ))}
          </ul>
        </Card>
      )}
      <Card
        title={`${minutesWords(timeMinutes)} at the bench`}
        aside={
          <nav aria-label="Time at the bench" className="flex flex-wrap gap-1">
            {times.map((each) => (
              <Link
                key={each}
                href={measuringPath(boatId, each, measuring.page)}
                aria-current={each === timeMinutes ? 'true' : undefined}
                className={`inline-flex min-h-11 items-center px-3 font-semibold ${each === timeMinutes ? 'bg-ink text-card' : 'text-chalk underline'}`}
              >
                {each} min
              </Link>
            ))}
          </nav>
        }
      >
        {set.steps.length > 0 ? (
          <>
            <p className="mb-2">
              In this order, {minutesWords(set.minutes)} together. Each is the best for its minutes after those before
              it.
            </p>
            <ol className="flex list-decimal flex-col gap-3 pl-6">
              {set.steps.map((step, index) => (
                <li key={`${index} ${keyOf(step)}`}>
                  <Step boatId={boatId} step={step} figures={figures} />
                </li>
              ))}
            </ol>
          </>
        ) : (
          <p>
            {open === 0
              ? `Every figure of ${figures.length} is known well enough: measuring more is not worth it.`
              : options.length > 0
                ? 'Nothing that fits this time narrows anything enough. Take more time.'
                : 'Nothing that is left to measure narrows what is open.'}
          </p>
        )}
      </Card>
      {afloat.length > 0 && (
        <Card title="Next time on the water">
          <Options options={afloat} boatId={boatId} figures={figures} />
        </Card>
      )}
      {ashore[0] && (
        <CollapsibleCard
          id="ashore"
          title="All that is worth measuring ashore"
          line={`${ashore.length}, the best for its minutes first: ${measurementWords(ashore[0], format)}`}
        >
          <Options options={ashore} boatId={boatId} figures={figures} />
        </CollapsibleCard>
      )}
      <MinutesTable boatId={boatId} known={minutes} />
    </div>
  );
}

/** Measurements, one under the other. */
function Options({ options, ...rest }: { options: readonly MeasureOption[] } & Omit<StepProps, 'step'>) {
  return (
    <ul className="flex flex-col gap-3">
      {options.map((option) => (
        <li key={keyOf(option)} className="border-b border-edge pb-2">
          <Step {...rest} step={option} />
        </li>
      ))}
    </ul>
  );
}

interface StepProps {
  readonly boatId: string;
  readonly step: MeasureOption;
  readonly figures: readonly NamedFigure[];
}

/** One measurement, with every rod that it teaches. */
function Step({ boatId, step, figures }: StepProps) {
  const { format } = useUnits();
  const narrowed = step.narrows.flatMap((narrows) => {
    const figure = figures.find((each) => each.id === narrows.figureId);
    return figure ? [{ ...narrows, figure }] : [];
  });
  const [one] = narrowed;
  const rods = new Set(narrowed.map(({ figure }) => figure.rigId)).size;
  return (
    <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-1">
      <div className="min-w-64 grow">
        <p className="font-semibold first-letter:uppercase">
          {measurementWords(step, format)}{' '}
          <span className="figures font-normal whitespace-nowrap text-ink-soft">
            {minutesWords(step.minutes)}
            {rods > 1 && `, teaches ${rods} rods`}
          </span>
        </p>
        <ul className="text-sm">
          {narrowed.map(({ figure, plusMinus, plusMinusAfter }) => (
            <li key={figure.id}>
              <Link href={rigPath(boatId, figure.rigId)} className="text-chalk underline">
                {figure.rigName}
              </Link>
              , {figureWords(figure, format)}:{' '}
              <span className="figures whitespace-nowrap">
                {plusMinusWords(figure.kind, plusMinus, format)} → {plusMinusWords(figure.kind, plusMinusAfter, format)}
              </span>
            </li>
          ))}
        </ul>
      </div>
      {one && (
        <Link
          href={`${stationPath(boatId, one.figure.rigId, STATION_OF[one.figure.kind])}?measure=${encodeURIComponent(keyOf(step))}`}
          className="inline-flex min-h-11 items-center rounded-sm border-2 border-edge-strong bg-card px-4 font-semibold"
        >
          Measure it
        </Link>
      )}
    </div>
  );
}
