'use client';

import { useCallback, useMemo, useRef } from 'react';
import { useDraft } from '@/components/fields/useDraft';
import {
  BEGIN,
  nextMove,
  stagesOf,
  takeStroke,
  type CadenceState,
  type Fault,
  type NextMove,
  type Stroke,
} from '@/core/joins/cadence';
import type { School } from '@/core/joins/schools';

export interface Cadence {
  readonly state: CadenceState;
  readonly passes: readonly ('over' | 'under')[];
  readonly fault: Fault | null;
  readonly next: NextMove;
  readonly allowed: readonly Stroke[];
  readonly done: boolean;
  /** Seconds from the first stroke to the last so far. */
  readonly seconds: number;
  /** Takes a stroke and says what follows: its fault, or the next move. */
  stroke(stroke: Stroke): Answer;
  /** Takes the stroke that the school asks for next; a stage ends as soon as its least count is reached. */
  goOn(): Answer;
  restart(): void;
}

/** What follows a stroke: its fault, or the next move. */
interface Answer {
  readonly fault: Fault | null;
  readonly next: NextMove;
}

interface Run {
  readonly state: CadenceState;
  readonly passes: readonly ('over' | 'under')[];
  readonly fault: Fault | null;
  readonly seconds: number;
}

const FRESH: Run = { state: BEGIN, passes: [], fault: null, seconds: 0 };

/** True for a run as it is kept here. */
function isRun(kept: unknown): kept is Run {
  return (
    typeof kept === 'object' &&
    kept !== null &&
    'state' in kept &&
    typeof kept.state === 'object' &&
    'passes' in kept &&
    Array.isArray(kept.passes) &&
    'seconds' in kept &&
    typeof kept.seconds === 'number'
  );
}

/** One run through a school's cadence, by whatever gives the strokes: keys, taps or a timer. */
export function useCadence(school: School): Cadence {
  const stages = useMemo(() => stagesOf(school), [school]);
  // An interruption loses no count: what was reached is kept on this device until it is begun again.
  const [kept, keep] = useDraft<Run>(`cadence:${school.id}`, isRun);
  const run = kept ?? FRESH;
  const begun = useRef<number | null>(null);
  // What a timer or a fast hand sees between two drawings of the page.
  const latest = useRef<Run | null>(null);
  latest.current ??= kept;
  const stroke = useCallback(
    (made: Stroke): Answer => {
      const now = performance.now();
      const before = latest.current ?? FRESH;
      // The time of an interruption is none of the drill's.
      begun.current ??= now - 1000 * before.seconds;
      const { state, fault } = takeStroke(stages, before.state, made);
      const passed = fault === null && (made === 'over' || made === 'under');
      latest.current = {
        state,
        fault,
        passes: passed ? [...before.passes, made] : before.passes,
        seconds: (now - begun.current) / 1000,
      };
      keep(latest.current);
      return { fault, next: nextMove(stages, state) };
    },
    [stages, keep],
  );
  const goOn = useCallback((): Answer => {
    const { state } = latest.current ?? FRESH;
    const next = nextMove(stages, state);
    const made = state.lastSide === null ? next.allowed[0] : next.allowed.at(-1);
    return made ? stroke(made) : { fault: null, next };
  }, [stages, stroke]);
  const restart = useCallback(() => {
    begun.current = null;
    latest.current = FRESH;
    keep(null);
  }, [keep]);
  const next = nextMove(stages, run.state);
  return { ...run, next, allowed: next.allowed, done: next.stage === null, stroke, goOn, restart };
}
