import { copyOf, type StepError, type TowState, type towSteps } from './towStep';

type Step = ReturnType<typeof towSteps>;

/** How closely a run keeps to the equations; what it has learned on its way is kept in it. */
export interface StepControl {
  /** Share of the tension, angle (rad) and, to a metre at least, share of x and z that a step may be off by. */
  readonly tolerance: number;
  /** Length that the next step tries (m). */
  stepM: number;
  /** What x and z are off by so far (m): of each step, and what its angle turns all line above it by. */
  offM: number;
}

/** A line of fishing needs some hundred steps; so many are a programming error. */
const STEPS = 200_000;
const GROWTH = { least: 0.2, most: 5, safety: 0.9 } as const;
/** First step tried (m). */
const FIRST_STEP_M = 0.2;

export const controlOf = (tolerance: number): StepControl => ({ tolerance, stepM: FIRST_STEP_M, offM: 0 });

/** How a stretch ended: at its end, where something was watched for, or where nothing pulls any more. */
export type Advanced = 'end' | 'watched' | 'slack';

function share(off: StepError, from: TowState, to: TowState, tolerance: number): number {
  const tension = off.tensionN / Math.max(from.tensionN, to.tensionN);
  const placed = Math.max(1, Math.abs(to.xM), Math.abs(to.zM));
  const largest = Math.max(
    Math.abs(tension),
    Math.abs(off.angleRad),
    Math.abs(off.xM / placed),
    Math.abs(off.zM / placed),
  );
  return largest / tolerance;
}

/**
 * Goes on along one stretch of line, with steps as long as the tolerance bears.
 *
 * @param state where it begins; moved to where it ends
 * @param toM where the stretch ends, from the lure (m)
 * @param reachM how far up what is turned at this place is carried (m): for what the run is off by
 * @param watched ends the run where it comes to 0 or above it; looked for after each step, and found within one
 * @param kept is told each state that a step ended in
 */
export function advance(
  step: Step,
  state: TowState,
  toM: number,
  control: StepControl,
  reachM: number,
  watched: (state: TowState) => number,
  kept: (state: TowState) => void,
): Advanced {
  const off: StepError = { tensionN: 0, angleRad: 0, xM: 0, zM: 0 };
  const next = copyOf(state);
  for (let count = 0; count < STEPS; count += 1) {
    const leftM = toM - state.sM;
    if (leftM <= Math.max(1e-12, 1e-14 * Math.abs(toM))) return 'end';
    const lengthM = Math.min(control.stepM, leftM);
    const pulled = step(state, lengthM, next, off);
    const ratio = pulled ? share(off, state, next, control.tolerance) : Infinity;
    if (!(ratio <= 1)) {
      if (lengthM < 1e-10) return 'slack';
      control.stepM = lengthM * (pulled ? Math.max(GROWTH.least, GROWTH.safety * ratio ** -0.2) : GROWTH.least);
      continue;
    }
    if (watched(next) >= 0) {
      land(step, state, lengthM, next, watched, LANDED * control.tolerance);
      Object.assign(state, next);
      kept(state);
      return 'watched';
    }
    control.offM += Math.hypot(off.xM, off.zM) + Math.abs(off.angleRad) * Math.max(reachM - next.sM, 0);
    const grown = ratio > 0 ? Math.min(GROWTH.most, GROWTH.safety * ratio ** -0.2) : GROWTH.most;
    // A step that was cut short by the end of the stretch says nothing against longer ones.
    control.stepM = lengthM < control.stepM ? Math.max(control.stepM, lengthM * grown) : lengthM * grown;
    if (lengthM === leftM) next.sM = toM;
    Object.assign(state, next);
    kept(state);
  }
  throw new RangeError('advance: the line needs more steps than any line does');
}

/** What is watched is close enough to 0 at this share of the tolerance (m, or rad). */
const LANDED = 0.05;

/** The state within a step where what is watched comes to 0: by secants, between places where it is under 0 and over it. */
function land(
  step: Step,
  from: TowState,
  lengthM: number,
  to: TowState,
  watched: (state: TowState) => number,
  near: number,
): void {
  const off: StepError = { tensionN: 0, angleRad: 0, xM: 0, zM: 0 };
  let [low, high] = [0, lengthM];
  let [before, atBefore, last, atLast] = [0, watched(from), lengthM, watched(to)];
  if (atBefore >= 0) {
    Object.assign(to, from);
    return;
  }
  for (let round = 0; round < 60 && Math.abs(atLast) > near && high - low > 1e-13 * lengthM; round += 1) {
    const secant = last - (atLast * (last - before)) / (atLast - atBefore);
    const tried = secant > low && secant < high ? secant : (low + high) / 2;
    [before, atBefore] = [last, atLast];
    step(from, tried, to, off);
    [last, atLast] = [tried, watched(to)];
    if (atLast >= 0) high = tried;
    else low = tried;
  }
}
