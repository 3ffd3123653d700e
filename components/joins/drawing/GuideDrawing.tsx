'use client';

import { useState } from 'react';
import type { GuideStep, School } from '@/core/joins/schools';
import { Button } from '@/components/ui/Button';
import { StepDrawing } from './StepDrawing';

/** The drawing of the step that is next, or of the last one once all are done; it can be run again. */
export function GuideDrawing({
  school,
  done,
  hand,
  wordsOf,
}: {
  school: School;
  done: readonly string[];
  hand: 'left' | 'right';
  wordsOf: (step: GuideStep) => string;
}) {
  const [run, setRun] = useState(0);
  const step = school.steps[Math.min(done.length, school.steps.length - 1)];
  if (!step) return null;
  return (
    <figure className="mb-3">
      <StepDrawing key={`${step.id} ${run}`} school={school} step={step} hand={hand} words={wordsOf(step)} />
      <figcaption className="flex flex-wrap items-center justify-between gap-2 text-sm text-ink-soft">
        <span>
          Step {school.steps.indexOf(step) + 1}, for a {hand} hand. At most five turns are drawn.
        </span>
        <Button weight="quiet" className="motion-reduce:hidden" onClick={() => setRun(run + 1)}>
          Show again
        </Button>
      </figcaption>
    </figure>
  );
}
