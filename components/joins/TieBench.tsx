'use client';

import { Dialog } from 'radix-ui';
import type { KeyboardEvent } from 'react';
import type { GuideStep, School } from '@/core/joins/schools';
import { BenchFooter } from '@/components/bench/BenchFooter';
import { BenchSheet } from '@/components/bench/BenchSheet';
import { Button } from '@/components/ui/Button';
import { Caution } from '@/components/ui/Card';
import { CAUTIONS } from '@/words/guide';
import { SCHOOL_NAMES } from '@/words/hands';
import { GuideDrawing } from './drawing/GuideDrawing';

/**
 * Tying at arm's length: the one step that matters now, huge. Space goes on, U goes back, Escape leaves.
 */
export function TieBench({
  school,
  title,
  wordsOf,
  hand,
  done,
  onDone,
  onLeave,
}: {
  school: School;
  title: string;
  wordsOf: (step: GuideStep) => string;
  hand: 'left' | 'right';
  done: readonly string[];
  onDone: (done: readonly string[]) => void;
  onLeave: () => void;
}) {
  const step = school.steps[done.length];
  const forth = (): void => {
    if (step) onDone([...done, step.id]);
  };
  const back = (): void => onDone(done.slice(0, -1));
  const onKey = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') onLeave();
    else if (event.key === ' ' || event.key === 'Enter') {
      event.preventDefault();
      forth();
    } else if (event.key.toLowerCase() === 'u') back();
  };
  return (
    <BenchSheet onKey={onKey} onLeave={onLeave}>
      <Dialog.Title className="lettered text-2xl">{title}</Dialog.Title>
      <p className="text-lg text-ink-soft">
        {SCHOOL_NAMES[school.id]}; step {Math.min(done.length + 1, school.steps.length)} of {school.steps.length}
      </p>
      <div className="mx-auto w-full max-w-3xl">
        <GuideDrawing school={school} done={done} hand={hand} wordsOf={wordsOf} />
      </div>
      <p className="grow content-center py-4 text-2xl font-semibold sm:text-4xl" aria-live="polite">
        {step ? wordsOf(step) : 'All done. Leave bench mode and note it as tied.'}
      </p>
      {step?.caution && <Caution>{CAUTIONS[step.caution]}</Caution>}
      <div className="mt-4 grid gap-3">
        <Button weight="main" className="min-h-24 text-2xl" disabled={!step} onClick={forth}>
          {step?.kind === 'seat' ? 'Seated' : 'Done, next'} <kbd className="figures text-base">space</kbd>
        </Button>
        <BenchFooter back="Back" disabled={done.length === 0} onBack={back} />
      </div>
    </BenchSheet>
  );
}
