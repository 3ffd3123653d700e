import type { LensPoint } from './LensChart';

/** What a place holds is the same all along it: between two lengths that differ the lower one holds, and nothing slopes. */
export function inSteps(points: readonly LensPoint[]): readonly LensPoint[] {
  return points.flatMap((point, index) => {
    const next = points[index + 1];
    if (!next || point.value === null || next.value === null || point.value === next.value) return [point];
    return next.value < point.value
      ? [point, { ...next, lengthM: point.lengthM }]
      : [point, { ...point, lengthM: next.lengthM }];
  });
}
