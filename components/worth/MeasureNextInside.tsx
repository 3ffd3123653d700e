'use client';

import { useState } from 'react';
import { useSearchParams } from 'next/navigation';
import type { NamedFigure } from '@/core/rig/worth/rigFigure';
import type { WeighedFigure } from '@/core/rig/worth/weighFigures';
import { NEARLY, type FigureKind } from '@/core/worth/enough';
import { keyOf } from '@/core/worth/measurement';
import type { MeasureOption } from '@/core/worth/measureNext';
import { ENOUGH_WORDS, figureWords, measurementWords, plusMinusWords } from '@/words/measuring';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { MeasureDialog } from './MeasureDialog';
import { useWeighed } from './useWeighed';
import { Weighing } from './Weighing';

export function MeasureNextInside({ kinds }: { kinds: readonly FigureKind[] }) {
  const { record, view } = useRig();
  const say = useSay();
  const { weighed, isCurrent } = useWeighed(view?.record ?? record, kinds);
  if (!weighed) return isCurrent ? null : <Weighing />;
  return (
    <div aria-busy={!isCurrent} className={isCurrent ? '' : 'opacity-50'}>
      {weighed.first ? (
        <p className="mt-3 border-l-4 border-warn pl-3 text-sm" role="note">
          <b>What to measure next:</b> {say(weighed.first)}.
        </p>
      ) : (
        weighed.figures.length > 0 && <MeasureFigures weighed={weighed.figures} />
      )}
    </div>
  );
}

/**
 * Figures side by side with what would narrow each, and the one measurement that was begun.
 *
 * @param isOpen the other ways are shown at once
 */
export function MeasureFigures({ weighed, isOpen = false }: { weighed: readonly WeighedFigure[]; isOpen?: boolean }) {
  const meant = useSearchParams().get('measure');
  // An address may name the measurement that is to be begun.
  const [begun, begin] = useState<Begun | null>(
    () =>
      weighed.flatMap(({ figure, options }) =>
        options.filter((each) => keyOf(each) === meant).map((option) => ({ figure, option })),
      )[0] ?? null,
  );
  return (
    <div className="mt-3 flex flex-col gap-3">
      {weighed.map((each) => (
        <OfFigure
          key={each.figure.id}
          {...each}
          isOpen={isOpen}
          onBegin={(option) => begin({ figure: each.figure, option })}
        />
      ))}
      {begun && <MeasureDialog {...begun} onLeave={() => begin(null)} />}
    </div>
  );
}

interface Begun {
  readonly figure: NamedFigure;
  readonly option: MeasureOption;
}

function OfFigure({
  figure,
  options,
  quickest,
  isOpen,
  onBegin,
}: {
  figure: NamedFigure;
  options: readonly MeasureOption[];
  quickest: readonly MeasureOption[] | null;
  isOpen: boolean;
  onBegin: (option: MeasureOption) => void;
}) {
  const { format } = useUnits();
  const [first, ...others] = options;
  const name = figureWords(figure, format);
  const now = plusMinusWords(figure.kind, figure.plusMinus, format);
  const why = ENOUGH_WORDS[figure.because];
  const isEnough = figure.plusMinus <= NEARLY * figure.enough;
  return (
    <section aria-label={`Measure next for ${name}`} className="border-l-4 border-go pl-3 text-sm">
      {isEnough || !first ? (
        <p className="first-letter:uppercase">
          <b>{name}:</b> {now}.{' '}
          {isEnough
            ? `Measuring more is not worth it: ${why}.`
            : 'Nothing that is left to measure would narrow it: what remains is how line packs and lies.'}
        </p>
      ) : (
        <>
          <p>
            <b>To know {name} better:</b>
          </p>
          <Option option={first} figure={figure} onStart={onBegin} isMain />
          {(others.length > 0 || (quickest && quickest.length > 1)) && (
            <details open={isOpen}>
              <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
                Other ways ({others.length})
              </summary>
              {quickest && quickest.length > 1 && <Quickest steps={quickest} figure={figure} />}
              {others.map((option) => (
                <Option key={keyOf(option)} option={option} figure={figure} onStart={onBegin} />
              ))}
            </details>
          )}
        </>
      )}
    </section>
  );
}

function Option({
  option,
  figure,
  onStart,
  isMain = false,
}: {
  option: MeasureOption;
  figure: NamedFigure;
  onStart: (option: MeasureOption) => void;
  isMain?: boolean;
}) {
  const { format } = useUnits();
  const [narrows] = option.narrows;
  if (!narrows) return null;
  return (
    <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 py-1">
      <span className="min-w-48 grow">
        {measurementWords(option, format)}:{' '}
        <b className="figures whitespace-nowrap">
          {plusMinusWords(figure.kind, narrows.plusMinus, format)} →{' '}
          {plusMinusWords(figure.kind, narrows.plusMinusAfter, format)}
        </b>
        , <span className="figures whitespace-nowrap">{Math.round(10 * option.minutes) / 10} min</span>
      </span>
      <Button weight={isMain ? 'main' : 'quiet'} onClick={() => onStart(option)}>
        Measure it
      </Button>
    </div>
  );
}

function Quickest({ steps, figure }: { steps: readonly MeasureOption[]; figure: NamedFigure }) {
  const { format } = useUnits();
  const minutes = steps.reduce((sum, step) => sum + step.minutes, 0);
  return (
    <p className="pb-1">
      Quickest to {plusMinusWords(figure.kind, figure.enough, format)}, where {ENOUGH_WORDS[figure.because]}:{' '}
      {steps.map((step) => measurementWords(step, format)).join('; ')}: {Math.round(10 * minutes) / 10} min together.
    </p>
  );
}
