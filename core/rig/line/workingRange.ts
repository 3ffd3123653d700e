import type { RigRecord } from '../../record/record';

/** Lengths of line out that a rig is fished with (m). */
export interface WorkingRange {
  readonly fromM: number;
  readonly toM: number;
}

/** The working range that usually matters: 60 to 250 ft of line out (common practice). */
export const USUAL_RANGE: WorkingRange = { fromM: 18.288, toM: 76.2 };

/**
 * The rig's own working range, else the usual one, as far as there is line for it.
 *
 * @param woundLengthM line on the spool (m)
 */
export function workingRangeOf({ workingRange }: Pick<RigRecord, 'workingRange'>, woundLengthM: number): WorkingRange {
  const range = workingRange ?? USUAL_RANGE;
  const toM = Math.min(range.toM, woundLengthM);
  return { fromM: Math.min(range.fromM, toM), toM };
}
