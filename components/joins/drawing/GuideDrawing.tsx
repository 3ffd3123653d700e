'use client';

import { useState } from 'react';
import type { GuideStep, School } from '@/core/joins/schools';
import { Button } from '@/components/ui/Button';
import { StepDrawing, USUAL_VIEWING, type Viewing } from './StepDrawing';

/** The drawing of the step that is next, or of the last one once all are done: run again, stopped, slower, mirrored, from its end. */
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
  const [viewing, setViewing] = useState<Viewing>(USUAL_VIEWING);
  const [isMirrored, setMirrored] = useState(false);
  const [isLarge, setLarge] = useState(false);
  const step = school.steps[Math.min(done.length, school.steps.length - 1)];
  if (!step) return null;
  const shown = isMirrored === (hand === 'right') ? 'left' : 'right';
  const change = (part: Partial<Viewing>): void => setViewing({ ...viewing, ...part });
  return (
    <figure className="mb-3">
      <div className="overflow-x-auto">
        <div className={isLarge ? 'w-[220%] sm:w-[150%]' : ''}>
          <StepDrawing
            key={`${step.id} ${run} ${viewing.pace} ${viewing.side}`}
            {...{ school, step, viewing }}
            hand={shown}
            words={wordsOf(step)}
          />
        </div>
      </div>
      <figcaption className="flex flex-wrap items-center gap-x-1 text-sm text-ink-soft">
        <span className="mr-auto">
          Step {school.steps.indexOf(step) + 1}, for a {shown} hand. At most five turns are drawn.
        </span>
        <Button weight="quiet" className="px-2! motion-reduce:hidden" onClick={() => setRun(run + 1)}>
          Again
        </Button>
        <Toggle name="Stop" isOn={viewing.isPaused} onToggle={(isPaused) => change({ isPaused })} moves />
        <Toggle
          name="Slower"
          isOn={viewing.pace === 'slow'}
          onToggle={(on) => change({ pace: on ? 'slow' : 'usual' })}
          moves
        />
        <Toggle
          name="From its end"
          isOn={viewing.side === 'end'}
          onToggle={(on) => change({ side: on ? 'end' : 'side' })}
        />
        <Toggle name="Mirror" isOn={isMirrored} onToggle={setMirrored} />
        <Toggle name="Larger" isOn={isLarge} onToggle={setLarge} />
      </figcaption>
    </figure>
  );
}

/** @param moves of no use where nothing moves */
function Toggle({
  name,
  isOn,
  onToggle,
  moves = false,
}: {
  name: string;
  isOn: boolean;
  onToggle: (on: boolean) => void;
  moves?: boolean;
}) {
  return (
    <Button
      weight="quiet"
      aria-pressed={isOn}
      className={`px-2! ${moves ? 'motion-reduce:hidden' : ''}`}
      onClick={() => onToggle(!isOn)}
    >
      {name}
    </Button>
  );
}
