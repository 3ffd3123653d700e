import { interpolateBasis } from 'd3-interpolate';

/** A point of a drawing: x to the right, y down, z towards the viewer. */
export interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

export type Look = 'inner' | 'outer' | 'lead' | 'needle' | 'buried';

/**
 * A piece of line in space. What lies over what follows from z, so that a drawing cannot show a crossing that the
 * line in space does not have.
 */
export interface Strand {
  readonly look: Look;
  readonly thickness: number;
  readonly controls: readonly Point3[];
  /** Share of its length (0 to 1) from which this step lays it; 1 where the step leaves it alone. */
  readonly laidFrom: number;
}

const STEP = 3;

/** Points along a strand, close enough to be drawn as straight pieces: a B-spline of its controls in each coordinate. */
export function sampled({ controls }: Strand): readonly Point3[] {
  const [x, y, z] = (['x', 'y', 'z'] as const).map((axis) => interpolateBasis(controls.map((point) => point[axis])));
  if (!x || !y || !z) return [];
  const intervals = controls.length - 1;
  const shares = controls.slice(1).flatMap((point, index) => {
    const before = controls[index] ?? point;
    const pieces = Math.max(
      1,
      Math.ceil(Math.hypot(point.x - before.x, point.y - before.y, point.z - before.z) / STEP),
    );
    return Array.from({ length: pieces }, (_, piece) => (index + (piece + 1) / pieces) / intervals);
  });
  return [0, ...shares].map((at) => ({ x: x(at), y: y(at), z: z(at) }));
}

/** How much more is seen of what is nearer and farther, looking along the line: a drawing is far longer than deep. */
const DEPTH_SCALE = 2.2;

/** The same strand as seen from its right end, along the line: what was deep lies across, what was at the right is nearest. */
export function fromTheEnd(
  strand: Strand,
  { width, axisY }: { readonly width: number; readonly axisY: number },
): Strand {
  const controls = strand.controls.map(({ x, y, z }) => ({
    x: width / 2 + DEPTH_SCALE * z,
    y: axisY + 0.55 * DEPTH_SCALE * (y - axisY),
    z: x,
  }));
  return { ...strand, controls };
}

/** A place where, as drawn, one strand passes over another (or over itself). */
export interface Crossing {
  readonly x: number;
  readonly y: number;
  /** Where along the first and the second strand (0 to 1). */
  readonly along: readonly [number, number];
  readonly isFirstOver: boolean;
}

/** Every crossing of two strands, in the order of the first; of one strand with itself where both are the same. */
export function crossings(first: Strand, second: Strand): readonly Crossing[] {
  const one = sampled(first);
  const two = sampled(second);
  const found: Crossing[] = [];
  for (let i = 1; i < one.length; i += 1) {
    for (let j = first === second ? i + 2 : 1; j < two.length; j += 1) {
      const [a, b, c, d] = [one[i - 1], one[i], two[j - 1], two[j]];
      const hit = a && b && c && d && meeting(a, b, c, d);
      // Two pieces share their ends: what is met there is met once.
      if (
        !hit ||
        found.some(
          ({ along }) =>
            Math.hypot(along[0] - (i - 1 + hit.s) / (one.length - 1), along[1] - (j - 1 + hit.t) / (two.length - 1)) <
            1e-6,
        )
      )
        continue;
      const zOne = a.z + hit.s * (b.z - a.z);
      const zTwo = c.z + hit.t * (d.z - c.z);
      found.push({
        x: a.x + hit.s * (b.x - a.x),
        y: a.y + hit.s * (b.y - a.y),
        along: [(i - 1 + hit.s) / (one.length - 1), (j - 1 + hit.t) / (two.length - 1)],
        isFirstOver: zOne > zTwo,
      });
    }
  }
  return found;
}

/** Where two straight pieces cross as drawn, as shares of their lengths; null where they do not. */
function meeting(a: Point3, b: Point3, c: Point3, d: Point3): { readonly s: number; readonly t: number } | null {
  const cross = (b.x - a.x) * (d.y - c.y) - (b.y - a.y) * (d.x - c.x);
  if (Math.abs(cross) < 1e-12) return null;
  const s = ((c.x - a.x) * (d.y - c.y) - (c.y - a.y) * (d.x - c.x)) / cross;
  const t = ((c.x - a.x) * (b.y - a.y) - (c.y - a.y) * (b.x - a.x)) / cross;
  return s >= 0 && s < 1 && t >= 0 && t < 1 ? { s, t } : null;
}
