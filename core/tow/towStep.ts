import type { LineForces } from './lineDrag';

/** Where an integration stands: tension (N), angle (rad), x and z (m). An object that is written to: thousands of steps are taken. */
export interface TowState {
  sM: number;
  tensionN: number;
  angleRad: number;
  xM: number;
  zM: number;
}

/** A piece of line in its medium: what a metre weighs (N/m), and what the medium does to it. */
export interface PieceInMedium {
  readonly weightNPerM: number;
  readonly drag: (sine: number, cosine: number) => LineForces;
}

/** What a step was off by, as an estimate: in each unknown. */
export interface StepError {
  tensionN: number;
  angleRad: number;
  xM: number;
  zM: number;
}

/** Dormand and Prince (1980): fifth order, with the fourth beside it. Rows of the tableau; the last is the step itself. */
const A: readonly (readonly number[])[] = [
  [],
  [1 / 5],
  [3 / 40, 9 / 40],
  [44 / 45, -56 / 15, 32 / 9],
  [19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729],
  [9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656],
  [35 / 384, 0, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84],
];
/** Fifth order less fourth. */
const E = [
  35 / 384 - 5179 / 57600,
  0,
  500 / 1113 - 7571 / 16695,
  125 / 192 - 393 / 640,
  -2187 / 6784 + 92097 / 339200,
  11 / 84 - 187 / 2100,
  -1 / 40,
] as const;
const STAGES = 7;

/**
 * One step of a line in steady tow, up from the lure: dT/ds = q·sin φ + Ft, T·dφ/ds = q·cos φ − Fn, dx/ds = cos φ, dz/ds = sin φ, by the
 * explicit pair of Dormand and Prince. The slopes do not hang on x, z and s.
 *
 * @returns steps for one piece of line: from a state by a length (m) to another state, with what it was off by; false where the tension
 * came to nothing on the way
 */
export function towSteps(piece: PieceInMedium) {
  const { weightNPerM, drag } = piece;
  const kT = new Float64Array(STAGES);
  const kA = new Float64Array(STAGES);
  const kX = new Float64Array(STAGES);
  const kZ = new Float64Array(STAGES);

  function slope(stage: number, tensionN: number, angleRad: number): void {
    const sine = Math.sin(angleRad);
    const cosine = Math.cos(angleRad);
    const { across, along } = drag(sine, cosine);
    kT[stage] = weightNPerM * sine + along;
    kA[stage] = (weightNPerM * cosine - across) / tensionN;
    kX[stage] = cosine;
    kZ[stage] = sine;
  }

  /** Sum of slopes by weights, over the first stages. */
  function sum(slopes: Float64Array, weights: readonly number[], stages: number): number {
    let total = 0;
    for (let each = 0; each < stages; each += 1) total += (weights[each] as number) * (slopes[each] as number);
    return total;
  }

  return function step(from: TowState, lengthM: number, to: TowState, off: StepError): boolean {
    slope(0, from.tensionN, from.angleRad);
    for (let stage = 1; stage < STAGES; stage += 1) {
      const row = A[stage] as readonly number[];
      const tensionN = from.tensionN + lengthM * sum(kT, row, stage);
      if (!(tensionN > 0)) return false;
      slope(stage, tensionN, from.angleRad + lengthM * sum(kA, row, stage));
    }
    const last = A[STAGES - 1] as readonly number[];
    off.tensionN = lengthM * sum(kT, E, STAGES);
    off.angleRad = lengthM * sum(kA, E, STAGES);
    off.xM = lengthM * sum(kX, E, STAGES);
    off.zM = lengthM * sum(kZ, E, STAGES);
    to.xM = from.xM + lengthM * sum(kX, last, STAGES - 1);
    to.zM = from.zM + lengthM * sum(kZ, last, STAGES - 1);
    const tensionN = from.tensionN + lengthM * sum(kT, last, STAGES - 1);
    const angleRad = from.angleRad + lengthM * sum(kA, last, STAGES - 1);
    to.sM = from.sM + lengthM;
    to.tensionN = tensionN;
    to.angleRad = angleRad;
    return tensionN > 0;
  };
}

/** A state of its own: others are written over. */
export const copyOf = (state: TowState): TowState => ({ ...state });
