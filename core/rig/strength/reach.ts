import type { LoadedLine } from '../../spool/loadedLine';
import { withinReach, type RigStrength } from '../../strength/rigStrength';
import { USUAL_RANGE } from '../line/workingRange';
import { strengthOfRig } from './strengthOfRig';
import type { ReachKind } from '../../record/reach';
import type { RigRecord } from '../../record/record';

export interface Reach {
  readonly kind: ReachKind;
  /** Length from the hook to which line may be out (m). */
  readonly outM: number;
  /** How far a run goes beyond what is in use (m), and whether that is a default. */
  readonly runM: number;
  readonly isUsual: boolean;
}

/** How far a fish may run beyond what is fished with, while nobody has said (from memory). */
export const USUAL_RUN_M = 150;

/**
 * How much of a rig's line may be out: target, weakest place, snag and safe length speak of that. What lies deeper never drives them.
 *
 * @param line the line as it is
 */
export function reachOf({ reach, workingRange }: Pick<RigRecord, 'reach' | 'workingRange'>, line: LoadedLine): Reach {
  const kind = reach?.kind ?? 'run';
  const runM = reach?.runM ?? USUAL_RUN_M;
  const inUseM = line.handLinedLengthM + (workingRange ?? USUAL_RANGE).toM;
  const outM = { use: inUseM, run: inUseM + runM, arbor: line.totalLengthM }[kind];
  return { kind, outM: Math.min(outM, line.totalLengthM), runM, isUsual: reach === null };
}

/** Strength of what may be out of a rig's line, or null while a line has neither pulls nor a label. */
export function strengthInReach(
  record: RigRecord,
  line: LoadedLine,
  basis: 'best' | 'label' = 'best',
): RigStrength | null {
  const strength = strengthOfRig(record, line, basis);
  return strength && withinReach(strength, reachOf(record, line).outM);
}
