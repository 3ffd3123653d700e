'use client';

import { Dialog } from 'radix-ui';
import { useContext } from 'react';
import type { NamedFigure } from '@/core/rig/worth/rigFigure';
import { productOf } from '@/core/rig/line/planForRig';
import { wrapsFor } from '@/core/worth/measurement';
import type { MeasureOption } from '@/core/worth/measureNext';
import { figureWords, howToMeasure, measurementWords, MEASURING_CAUTIONS, plusMinusWords } from '@/words/measuring';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { EntryContext } from './entry';
import { useUnits } from '@/components/units/UnitsProvider';

/** One measurement begun: how to do it well, and its entry beside it. */
export function MeasureDialog({
  option,
  figure,
  onLeave,
}: {
  option: MeasureOption;
  figure: NamedFigure;
  onLeave: () => void;
}) {
  const { record } = useRig();
  const entry = useContext(EntryContext);
  const { format } = useUnits();
  const isLine = option.kind === 'wraps' || option.kind === 'line-caliper';
  const wraps = isLine ? wrapsFor(productOf(record, option.of).diameterM.value) : 0;
  const caution = MEASURING_CAUTIONS[option.kind];
  const [narrows] = option.narrows;
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onLeave()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-ink/40" />
        <Dialog.Content className="fixed top-1/2 left-1/2 z-50 flex max-h-[calc(100dvh-2rem)] w-[min(54rem,calc(100vw-1.5rem))] -translate-x-1/2 -translate-y-1/2 flex-col gap-3 overflow-y-auto rounded-sm border-2 border-edge-strong bg-card p-5 text-ink shadow-lg">
          <Dialog.Title className="lettered text-xl first-letter:uppercase">
            {measurementWords(option, format)}
          </Dialog.Title>
          <Dialog.Description className="text-sm text-ink-soft">
            About {Math.round(10 * option.minutes) / 10} min
            {narrows &&
              `; it should bring ${figureWords(figure, format)} from ${plusMinusWords(figure.kind, narrows.plusMinus, format)} to ${plusMinusWords(figure.kind, narrows.plusMinusAfter, format)}`}
            .
          </Dialog.Description>
          <div className="grid gap-5 sm:grid-cols-2">
            <div className="flex flex-col gap-3">
              <ol className="list-decimal space-y-2 pl-5">
                {howToMeasure(option.kind, wraps).map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
              {caution && <Caution>{caution}</Caution>}
            </div>
            <div className="min-w-0">{entry({ option, wraps, onDone: onLeave })}</div>
          </div>
          <div>
            <Dialog.Close asChild>
              <Button>Back</Button>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
