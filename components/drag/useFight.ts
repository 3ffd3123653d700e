'use client';

import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { FightSetup, FightState, Hands } from '@/core/drag/fight';
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
  const worker = useRef<{ thread: Worker; fight: Remote<FightWorker> } | null>(null);
  const stop = (): void => {
    worker.current?.thread.terminate();
    worker.current = null;
  };
  useEffect(() => stop, []);
  return {
    state,
    course,
    start(setup: FightSetup, seed: number): void {
      stop();
      const thread = new Worker(new URL('./fight.worker.ts', import.meta.url));
      const fight = wrap<FightWorker>(thread);
      worker.current = { thread, fight };
      setCourse([]);
      let keptS = -1;
      const show = (now: FightState): void => {
        setState(now);
        if (now.timeS - keptS < EVERY_S) return;
        keptS = now.timeS;
        const { timeS, lineOutM, tipForceN } = now;
        setCourse((before) => [...before, { timeS, lineOutM, tipForceN }]);
      };
      void fight.start(setup, seed, proxy(show));
    },
    hold(hands: Hands): void {
      void worker.current?.fight.hold(hands);
    },
    leave(): void {
      stop();
      setState(null);
    },
  };
}
