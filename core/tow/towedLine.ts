/** A piece of line of one kind, in a stack that is told from the lure up. */
export interface TowedPiece {
  readonly lengthM: number;
  readonly diameterM: number;
  /** Weight of a metre in the water (N/m): negative where it floats. */
  readonly submergedWeightNPerM: number;
  /** Weight of a metre in air (N/m). */
  readonly dryWeightNPerM: number;
}

/** Forces at one place of the line, at the speed at hand (N): dragN backwards, downN downwards (negative where it lifts). */
export interface TowedForce {
  readonly dragN: number;
  readonly downN: number;
}

/** A bead, a lead or a swivel on the line, so far up from the lure (m). Its forces hold wherever it is. */
export interface PointLoad extends TowedForce {
  readonly sM: number;
}

/** Where the line is at a length up from the lure. Frame: x forwards from the lure, z up from it; the angle from the horizontal, up positive. */
export interface TowedPlace {
  readonly sM: number;
  readonly xM: number;
  readonly zM: number;
  readonly tensionN: number;
  readonly angleRad: number;
}

/**
 * How a solution ended. *Settled*: the line leaves the water and reaches the tip. *Lies on the surface*: it floats up before the tip lifts
 * it. *Lifted out*: the tip stands too high for what is out. *On the bottom*: it would hang deeper than the water is. *Slack*: somewhere nothing
 * pulls at it.
 */
export const TOW_STATUSES = ['settled', 'lies on the surface', 'lifted out', 'on the bottom', 'slack'] as const;
export type TowStatus = (typeof TOW_STATUSES)[number];
