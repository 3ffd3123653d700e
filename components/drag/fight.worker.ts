import { expose } from 'comlink';
import { startFight, stepFight, type FightSetup, type FightState, type Hands } from '@/core/drag/fight';
import { seededRandom } from '@/instruments/random';

const FRAMES_PER_S = 60;
/** Steps of the equations in one frame: line and rod are stiff against a light fish. */
const STEPS = 4;
/** A frame that comes late is made up for, up to so many. */
const MOST_FRAMES = 6;

let hands: Hands = { drag: 1, winding: false };
let timer: ReturnType<typeof setInterval> | null = null;

/** Runs a rehearsed fight away from the page, sixty frames a second. */
const worker = {
  start(setup: FightSetup, seed: number, show: (state: FightState) => void): void {
    worker.stop();
    hands = { drag: 1, winding: false };
    const chance = seededRandom(seed);
    let state = startFight(setup);
    let shownS = 0;
    const startedAt = performance.now();
    timer = setInterval(() => {
      const dueS = (performance.now() - startedAt) / 1000;
      const frames = Math.min(MOST_FRAMES, Math.floor((dueS - shownS) * FRAMES_PER_S));
      if (frames === 0) return;
      for (let step = 0; step < frames * STEPS; step += 1) {
        state = stepFight(setup, state, hands, 1 / (FRAMES_PER_S * STEPS), chance);
      }
      // What could not be made up for is let go: the fight slows down rather than jumps.
      shownS = frames === MOST_FRAMES ? dueS : shownS + frames / FRAMES_PER_S;
      show(state);
      if (state.end) worker.stop();
    }, 1000 / FRAMES_PER_S);
  },
  hold(now: Hands): void {
    hands = now;
  },
  stop(): void {
    if (timer !== null) clearInterval(timer);
    timer = null;
  },
};

export type FightWorker = typeof worker;

expose(worker);
