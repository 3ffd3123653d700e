import { kitOfRig } from './plannedLoad';
import { plannedLevelM } from '../line/fillOfRig';
import { planForRig } from '../line/planForRig';
import type { RigRecord } from '../../record/record';

/** A piece of line that a rig's planned load asks for. */
export interface WantedLine {
  readonly rigId: string;
  readonly rigName: string;
  readonly segmentId: string;
  readonly segmentName: string;
  readonly productId: string;
  /** With tags and overlaps (m). */
  readonly lengthM: number;
  /** True for a rig that is loaded already: it only asks when it is to be loaded anew. */
  readonly loaded: boolean;
}

/** Every piece of line that the stacks of several rigs ask for, filled as planned. */
export function wantedLines(records: readonly RigRecord[]): readonly WantedLine[] {
  return records.flatMap((record) => {
    if (record.segments.length === 0) return [];
    const plan = planForRig(record, plannedLevelM(record));
    if (!plan.ok) return [];
    return kitOfRig(record, plan.value).lines.map((line): WantedLine => ({
      rigId: record.id,
      rigName: record.name,
      segmentId: line.segmentId,
      segmentName: line.name,
      productId: line.productId,
      lengthM: line.takeM,
      loaded: record.load !== null,
    }));
  });
}
