import type { RigRecord } from '@/core/record/record';
import type { NameOf } from '@/words/history';

/** Names of the segments that acts on a rig point at: of its plan, of the load that is on, of the one that is being made. */
export function namesOnRig(record: RigRecord): NameOf {
  const names = new Map(record.segments.map((segment) => [segment.id, segment.name]));
  for (const load of [record.making, record.load]) {
    for (const segment of load?.segments ?? []) names.set(segment.segmentId, segment.name);
  }
  return (id) => names.get(id) ?? null;
}
