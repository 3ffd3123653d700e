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

/**
 * One step of a line in steady tow, up from the lure: dT/ds = q·sin φ + Ft, T·dφ/ds = q·cos φ − Fn, dx/ds = cos φ, dz/ds = sin φ, by the
 * explicit pair of Dormand and Prince (1980), fifth order with the fourth beside it. The slopes do not hang on x, z and s. The sums of
 * its tableau are spelled out, stage by stage: a map of depths takes a hundred thousand steps, and loops over them took twice as long.
 *
 * @returns steps for one piece of line: from a state by a length (m) to another state, with what it was off by; false where the tension
 * came to nothing on the way
 */
export function towSteps({ weightNPerM: weight, drag }: PieceInMedium) {
  let slopeT = 0;
  let slopeA = 0;
  let slopeX = 0;
  let slopeZ = 0;

  function slope(tensionN: number, angleRad: number): void {
    slopeZ = Math.sin(angleRad);
    slopeX = Math.cos(angleRad);
    const { across, along } = drag(slopeZ, slopeX);
    slopeT = weight * slopeZ + along;
    slopeA = (weight * slopeX - across) / tensionN;
  }

  return function step(from: TowState, h: number, to: TowState, off: StepError): boolean {
    const t0 = from.tensionN;
    const a0 = from.angleRad;
    slope(t0, a0);
    const t1 = slopeT;
    const a1 = slopeA;
    const x1 = slopeX;
    const z1 = slopeZ;
    const tension2 = t0 + h * ((1 / 5) * t1);
    if (!(tension2 > 0)) return false;
    slope(tension2, a0 + h * ((1 / 5) * a1));
    const t2 = slopeT;
    const a2 = slopeA;
    const tension3 = t0 + h * ((3 / 40) * t1 + (9 / 40) * t2);
    if (!(tension3 > 0)) return false;
    slope(tension3, a0 + h * ((3 / 40) * a1 + (9 / 40) * a2));
    const t3 = slopeT;
    const a3 = slopeA;
    const x3 = slopeX;
    const z3 = slopeZ;
    const tension4 = t0 + h * ((44 / 45) * t1 - (56 / 15) * t2 + (32 / 9) * t3);
    if (!(tension4 > 0)) return false;
    slope(tension4, a0 + h * ((44 / 45) * a1 - (56 / 15) * a2 + (32 / 9) * a3));
    const t4 = slopeT;
    const a4 = slopeA;
    const x4 = slopeX;
    const z4 = slopeZ;
    const tension5 = t0 + h * ((19372 / 6561) * t1 - (25360 / 2187) * t2 + (64448 / 6561) * t3 - (212 / 729) * t4);
    if (!(tension5 > 0)) return false;
    slope(tension5, a0 + h * ((19372 / 6561) * a1 - (25360 / 2187) * a2 + (64448 / 6561) * a3 - (212 / 729) * a4));
    const t5 = slopeT;
    const a5 = slopeA;
    const x5 = slopeX;
    const z5 = slopeZ;
    const tension6 =
      t0 + h * ((9017 / 3168) * t1 - (355 / 33) * t2 + (46732 / 5247) * t3 + (49 / 176) * t4 - (5103 / 18656) * t5);
    if (!(tension6 > 0)) return false;
    slope(
      tension6,
      a0 + h * ((9017 / 3168) * a1 - (355 / 33) * a2 + (46732 / 5247) * a3 + (49 / 176) * a4 - (5103 / 18656) * a5),
    );
    const t6 = slopeT;
    const a6 = slopeA;
    const x6 = slopeX;
    const z6 = slopeZ;
    to.tensionN =
      t0 + h * ((35 / 384) * t1 + (500 / 1113) * t3 + (125 / 192) * t4 - (2187 / 6784) * t5 + (11 / 84) * t6);
    to.angleRad =
      a0 + h * ((35 / 384) * a1 + (500 / 1113) * a3 + (125 / 192) * a4 - (2187 / 6784) * a5 + (11 / 84) * a6);
    to.xM =
      from.xM + h * ((35 / 384) * x1 + (500 / 1113) * x3 + (125 / 192) * x4 - (2187 / 6784) * x5 + (11 / 84) * x6);
    to.zM =
      from.zM + h * ((35 / 384) * z1 + (500 / 1113) * z3 + (125 / 192) * z4 - (2187 / 6784) * z5 + (11 / 84) * z6);
    to.sM = from.sM + h;
    if (!(to.tensionN > 0)) return false;
    slope(to.tensionN, to.angleRad);
    off.tensionN =
      h *
      ((71 / 57600) * t1 -
        (71 / 16695) * t3 +
        (71 / 1920) * t4 -
        (17253 / 339200) * t5 +
        (22 / 525) * t6 -
        slopeT / 40);
    off.angleRad =
      h *
      ((71 / 57600) * a1 -
        (71 / 16695) * a3 +
        (71 / 1920) * a4 -
        (17253 / 339200) * a5 +
        (22 / 525) * a6 -
        slopeA / 40);
    off.xM =
      h *
      ((71 / 57600) * x1 -
        (71 / 16695) * x3 +
        (71 / 1920) * x4 -
        (17253 / 339200) * x5 +
        (22 / 525) * x6 -
        slopeX / 40);
    off.zM =
      h *
      ((71 / 57600) * z1 -
        (71 / 16695) * z3 +
        (71 / 1920) * z4 -
        (17253 / 339200) * z5 +
        (22 / 525) * z6 -
        slopeZ / 40);
    return true;
  };
}

/** A state of its own: others are written over. */
export const copyOf = (state: TowState): TowState => ({ ...state });
