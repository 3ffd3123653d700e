import type { DragGrowth } from '../../drag/dragTarget';
import { spoolStateAt, type LoadedLine } from '../../spool/loadedLine';
import { reachOf, type Reach } from '../strength/reach';
import type { RigRecord } from '../../record/record';

/** How many times harder a drag pulls that is left alone, with so much out from the hook (the same torque on a smaller spool). */
export function growthAt(line: LoadedLine, outM: number): number {
  const paidOutM = Math.min(Math.max(outM - line.handLinedLengthM, 0), line.woundLengthM);
  return line.fullDiameterM / spoolStateAt(line, paidOutM).diameterM;
}

/** What a drag becomes at the end of what is fished with, and of what may be out. */
export function growthInReach(
  record: Pick<RigRecord, 'reach' | 'workingRange'>,
  line: LoadedLine,
  reach: Reach,
): DragGrowth {
  const inUse = reachOf({ ...record, reach: { kind: 'use', runM: null } }, line);
  const inReach = growthAt(line, reach.outM);
  return { inUse: Math.min(growthAt(line, inUse.outM), inReach), inReach };
}
