import { planForRig } from '../../core/rig/line/planForRig';
import { adviceOnPlan } from '../../core/rig/load/plannedLoad';
import type { RigRecord } from '../../core/record/record';
import { plannedRig } from '../../tests/rigFixture';
import { percentile, row } from './report';

const FRAME_MS = 16;

/** What a key stroke in the plan costs: a stack of so many segments planned anew, against one frame of the screen. */
export function benchReplan(segments: number, strokes: number): void {
  const rig = plannedRig();
  const [backing, lead] = rig.segments;
  if (!backing || !lead) throw new Error('benchReplan: the fixture is broken');
  const record: RigRecord = {
    ...rig,
    segments: Array.from({ length: segments }, (_, index) =>
      index === 0
        ? backing
        : { ...lead, id: `s${index}`, colours: [], lengthM: 2 + index / 2, name: `Segment ${index}` },
    ),
    joins: [],
  };
  const times: number[] = [];
  for (let stroke = 0; stroke < strokes; stroke += 1) {
    const from = performance.now();
    const plan = planForRig(record, 0.001 + stroke * 1e-6);
    if (!plan.ok) throw new Error(plan.reason);
    adviceOnPlan(record, plan.value);
    times.push(performance.now() - from);
  }
  row(
    `re-plan of ${segments} segments, share of a ${FRAME_MS} ms frame, median and 99th percentile`,
    `${((100 * percentile(times, 0.5)) / FRAME_MS).toFixed(1)} %, ${((100 * percentile(times, 0.99)) / FRAME_MS).toFixed(1)} %`,
  );
}
