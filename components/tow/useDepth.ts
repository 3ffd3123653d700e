'use client';

import { startTransition, useEffect, useMemo, useState } from 'react';
import { towedRig, type TowedRig } from '@/core/rig/tow/towedRig';
import type { RigView } from '@/core/rig/view/rigView';
import type { DepthAnswer, DepthCurves, DepthQuestion } from '@/core/tow/answerDepth';
import type { TowGoal } from '@/core/tow/lineForDepth';
import { useThrow, workedOut } from '@/components/ui/workedOut';
import type { TowWorker } from './tow.worker';

/** Lengths at which a curve of depth is worked out. */
const STATIONS = 32;

export interface Depth {
  readonly rig: TowedRig;
  /** What the answer answers. */
  readonly question: DepthQuestion;
  /** The newest answer; null until there is one. While another is worked out, the one before it stands. */
  readonly answer: DepthAnswer | null;
  /** The curves behind that answer, a moment after it. */
  readonly curves: DepthCurves | null;
  /** False while what is asked now is worked out: question and answer are then those before it, and belong together. */
  readonly isCurrent: boolean;
}

/** Where the lure of a rig swims, worked out away from the page. */
export function useDepth(view: RigView, goal: TowGoal | null, speedMS: number | null): Depth {
  const rig = useMemo(() => towedRig(view), [view]);
  const key = goal && JSON.stringify(goal);
  const question = useMemo((): DepthQuestion => {
    const { belief, marks, rangeM, mostM } = rig;
    const lengthsM = Array.from({ length: STATIONS }, (_, index) => (mostM * (index + 1)) / STATIONS);
    const asked = key === null ? null : (JSON.parse(key) as TowGoal);
    const { id, name } = view.record;
    return {
      rig: { id, name },
      belief,
      marks,
      speedMS: speedMS ?? rig.speedMS,
      lengthsM,
      goal: asked,
      usualM: rangeM.toM,
      mostM,
    };
  }, [view, rig, key, speedMS]);
  const [found, setFound] = useState<Found | null>(null);
  const fail = useThrow();
  useEffect(() => {
    if (typeof Worker === 'undefined') return;
    let isWanted = true;
    // Much is drawn when it comes: a piece at a time, so that what is typed meanwhile is heard.
    const tell = (now: Found): void => startTransition(() => (isWanted ? setFound(now) : undefined));
    const depth = workedOut<TowWorker, null>(
      () => new Worker(new URL('./tow.worker.ts', import.meta.url)),
      async (worker) => {
        const answer = await worker.answer(question);
        tell({ of: question, answer, curves: null });
        tell({ of: question, answer, curves: await worker.curves(question, answer) });
        return null;
      },
    );
    void depth.found.catch(fail);
    return () => {
      isWanted = false;
      depth.stop();
    };
  }, [question, fail]);
  // Of another line nothing is shown; of another goal or speed only with that goal and speed beside it.
  const isOfLine = found?.of.belief === question.belief;
  return isOfLine
    ? { rig, question: found.of, answer: found.answer, curves: found.curves, isCurrent: found.of === question }
    : { rig, question, answer: null, curves: null, isCurrent: false };
}

interface Found {
  readonly of: DepthQuestion;
  readonly answer: DepthAnswer;
  readonly curves: DepthCurves | null;
}
