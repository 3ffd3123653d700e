/** One sample of a force instrument. */
export interface ForceSample {
  /** Since the start of the trace (s). */
  readonly timeS: number;
  /** Tared (N). */
  readonly forceN: number;
}
