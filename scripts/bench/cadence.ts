import { BEGIN, nextMove, stagesOf, takeStroke } from '../../core/joins/cadence';
import { schoolsOf } from '../../core/joins/schools';
import { row } from './report';

const FRAME_MS = 1000 / 60;

/** What the trainer computes between a stroke and its answer, against one frame of the screen; drawing comes on top. */
export function benchCadence(strokes: number): void {
  const [school] = schoolsOf('plaited-braid-to-leader');
  if (!school) throw new Error('benchCadence: no plaited school');
  const stages = stagesOf(school);
  let state = BEGIN;
  const from = performance.now();
  for (let stroke = 0; stroke < strokes; stroke += 1) {
    const next = nextMove(stages, state).allowed[0];
    state = next ? takeStroke(stages, state, next).state : BEGIN;
  }
  const share = (performance.now() - from) / strokes / FRAME_MS;
  row('share of a frame of 1/60 s, mean', `${(100 * share).toFixed(3)} %`);
}
