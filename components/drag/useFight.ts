'use client';

import { proxy, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { FightSetup, FightState, Hands } from '@/core/drag/fight';
import { useThrow, workedOut, type Working } from '@/components/ui/workedOut';
import type { FightWorker } from './fight.worker';

/** A moment of a fight that the drawing keeps. */
export interface FightMoment {
  readonly timeS: number;
  readonly lineOutM: number;
  readonly tipForceN: number;
}

/** Seconds between two moments of the drawing. */
const EVERY_S = 0.2;

/** A fight rehearsed in a worker: its newest state, its course, and the hands on it. */
export function useFight() {
  const [state, setState] = useState<FightState | null>(null);
  const [course, setCourse] = useState<readonly FightMoment[]>([]);
  const work = useRef<Working<never> | null>(null);
  const worker = useRef<Remote<FightWorker> | null>(null);
  const fail = useThrow();
  const stop = (): void => {
    work.current?.stop();
    work.current = null;
    worker.current = null;
  };
  useEffect(() => stop, []);
  return {
    state,
    course,
    start(setup: FightSetup, seed: number): void {
      stop();
      setCourse([]);
      let keptS = -1;
      const show = (now: FightState): void => {
        setState(now);
        if (now.timeS - keptS < EVERY_S) return;
        keptS = now.timeS;
        const { timeS, lineOutM, tipForceN } = now;
        setCourse((before) => [...before, { timeS, lineOutM, tipForceN }]);
      };
      work.current = workedOut(
        () => new Worker(new URL('./fight.worker.ts', import.meta.url)),
        async (fight: Remote<FightWorker>): Promise<never> => {
          worker.current = fight;
          await fight.start(setup, seed, proxy(show));
          // It goes on until it is stopped.
          return new Promise(() => undefined);
        },
      );
      void work.current.found.catch(fail);
    },
    hold(hands: Hands): void {
      void worker.current?.hold(hands);
    },
    leave(): void {
      stop();
      setState(null);
    },
  };
}
