'use client';

import { useCallback, useMemo, useRef, useState } from 'react';
import {
  BEGIN,
  nextMove,
  stagesOf,
  takeStroke,
  type CadenceState,
  type Fault,
  type Stroke,
} from '@/core/joins/cadence';
import type { School } from '@/core/joins/schools';

export interface Cadence {
  readonly state: CadenceState;
  readonly passes: readonly ('over' | 'under')[];
  readonly fault: Fault | null;
  readonly words: string;
  readonly allowed: readonly Stroke[];
  readonly done: boolean;
  /** Seconds from the first stroke to the last so far. */
  readonly seconds: number;
  /** Takes a stroke and says what follows: its fault, or the next move. */
  stroke(stroke: Stroke): { readonly fault: Fault | null; readonly words: string; readonly done: boolean };
  /** Takes the stroke that the school asks for next; a stage ends as soon as its least count is reached. */
  goOn(): { readonly fault: Fault | null; readonly words: string; readonly done: boolean };
  restart(): void;
}

interface Run {
  readonly state: CadenceState;
  readonly passes: readonly ('over' | 'under')[];
  readonly fault: Fault | null;
  readonly seconds: number;
}

const FRESH: Run = { state: BEGIN, passes: [], fault: null, seconds: 0 };

/** One run through a school's cadence, by whatever gives the strokes: keys, taps or a timer. */
export function useCadence(school: School): Cadence {
  const stages = useMemo(() => stagesOf(school), [school]);
  const [run, setRun] = useState<Run>(FRESH);
  const begun = useRef<number | null>(null);
  // What a timer or a fast hand sees between two drawings of the page.
  const latest = useRef<Run>(FRESH);
  const stroke = useCallback(
    (made: Stroke) => {
      const now = performance.now();
      begun.current ??= now;
      const before = latest.current;
      const { state, fault } = takeStroke(stages, before.state, made);
      const passed = fault === null && (made === 'over' || made === 'under');
      latest.current = {
        state,
        fault,
        passes: passed ? [...before.passes, made] : before.passes,
        seconds: (now - begun.current) / 1000,
      };
      setRun(latest.current);
      const next = nextMove(stages, state);
      return { fault, words: next.words, done: next.done };
    },
    [stages],
  );
  const goOn = useCallback(() => {
    const { state } = latest.current;
    const { allowed } = nextMove(stages, state);
    const next = state.lastSide === null ? allowed[0] : allowed.at(-1);
    return next ? stroke(next) : { fault: null, words: 'Done.', done: true };
  }, [stages, stroke]);
  const restart = useCallback(() => {
    begun.current = null;
    latest.current = FRESH;
    setRun(FRESH);
  }, []);
  const next = nextMove(stages, run.state);
  return { ...run, words: next.words, allowed: next.allowed, done: next.done, stroke, goOn, restart };
}
