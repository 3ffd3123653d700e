import { lineDrag, type LineDragBy } from './lineDrag';
import type { Medium } from './medium';
import type { TowedPiece } from './towedLine';

/**
 * The angle at which a long line hangs in steady tow, its weight across it held by the water: q·cos φ = Fn. Started at it the line stays there.
 *
 * @returns angle from the horizontal (rad), under 0 for line that floats; π/2 without speed, 0 without weight
 */
export function criticalAngle(
  { diameterM, submergedWeightNPerM: weight }: Pick<TowedPiece, 'diameterM' | 'submergedWeightNPerM'>,
  speedMS: number,
  water: Medium,
  by: LineDragBy,
): number {
  const drag = lineDrag(diameterM, speedMS, water, by);
  const heavy = Math.abs(weight);
  let [low, high] = [0, Math.PI / 2];
  for (let round = 0; round < 100 && high - low > 1e-16 * high; round += 1) {
    const mid = (low + high) / 2;
    if (heavy * Math.cos(mid) > drag(Math.sin(mid), Math.cos(mid)).across) low = mid;
    else high = mid;
  }
  return Math.sign(weight) * high;
}
