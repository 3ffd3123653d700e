import type { LoadedLine } from '../../spool/loadedLine';
import { withinReach, type RigStrength } from '../../strength/rigStrength';
import { USUAL_RANGE } from '../line/workingRange';
import { strengthOfRig } from './strengthOfRig';
import type { ReachKind, SaidReach } from '../../record/reach';
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

/**
 * What is meant by line out to a length: what is fished with where it ends there or sooner, all of it where it ends at the arbor, else a run of
 * what lies between.
 */
export function reachChosenAt(
  { workingRange }: Pick<RigRecord, 'workingRange'>,
  line: LoadedLine,
  outM: number,
): SaidReach {
  const inUseM = line.handLinedLengthM + (workingRange ?? USUAL_RANGE).toM;
  if (outM >= line.totalLengthM - 1e-6) return { kind: 'arbor', runM: null };
  return outM < inUseM + 1 ? { kind: 'use', runM: null } : { kind: 'run', runM: Math.min(outM - inUseM, MOST_RUN_M) };
}

/** A longer run than this is all of the line. */
const MOST_RUN_M = 5000;

/** Strength of what may be out of a rig's line, or null while a line has neither pulls nor a label. */
export function strengthInReach(
  record: RigRecord,
  line: LoadedLine,
  basis: 'best' | 'label' = 'best',
): RigStrength | null {
  const strength = strengthOfRig(record, line, basis);
  return strength && withinReach(strength, reachOf(record, line).outM);
}
