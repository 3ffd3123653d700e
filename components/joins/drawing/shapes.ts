import type { Look, Point3, Strand } from './strand';

export const p = (x: number, y: number, z = 0): Point3 => ({ x, y, z });

/** A strand that this step leaves alone. */
export function lying(look: Look, thickness: number, controls: readonly Point3[]): Strand {
  return { look, thickness, controls, laidFrom: 1 };
}

/** A strand that this step lays, from the share of its length that lay before. */
export function laid(look: Look, thickness: number, controls: readonly Point3[], laidFrom = 0): Strand {
  return { look, thickness, controls, laidFrom };
}

/** Enough controls along a straight piece that the curve keeps to it. */
export function straight(from: Point3, to: Point3, pieces = 6): readonly Point3[] {
  return Array.from({ length: pieces + 1 }, (_, index) => {
    const at = index / pieces;
    return p(from.x + at * (to.x - from.x), from.y + at * (to.y - from.y), from.z + at * (to.z - from.z));
  });
}

const PER_TURN = 12;

/**
 * Turns round a line that lies across the drawing, begun above it and going down in front (hand 1) or behind (−1).
 */
export function wraps(from: number, to: number, turns: number, axisY: number, radius: number, hand: 1 | -1 = 1) {
  const count = Math.round(turns * PER_TURN);
  return Array.from({ length: count + 1 }, (_, index): Point3 => {
    const angle = (2 * Math.PI * index) / PER_TURN;
    const x = from + (index / count) * (to - from);
    return p(x, axisY - radius * Math.cos(angle), hand * radius * Math.sin(angle));
  });
}

/** Turns round an upright post, begun at its right and going round in front. */
export function turnsRound(centreX: number, radius: number, turns: number, fromY: number, toY: number) {
  const count = Math.round(turns * PER_TURN);
  return Array.from({ length: count + 1 }, (_, index): Point3 => {
    const angle = (2 * Math.PI * index) / PER_TURN;
    const y = fromY + (index / count) * (toY - fromY);
    return p(centreX + radius * Math.cos(angle), y, radius * Math.sin(angle));
  });
}

/** The same points as seen from the other side: left and right change places, and so do turns to the left and right. */
export function mirrored(points: readonly Point3[], centreX: number): readonly Point3[] {
  return points.map((point) => p(2 * centreX - point.x, point.y, point.z));
}

/** The same points turned half round about the line of sight. */
export function turned(points: readonly Point3[], centreX: number, centreY: number): readonly Point3[] {
  return points.map((point) => p(2 * centreX - point.x, 2 * centreY - point.y, point.z));
}

/**
 * A sliding knot round the lines on an axis, still open: the end comes from the left above the axis, turns back in a
 * loop, goes round everything on the axis inside that loop, and out at its right.
 */
export function openSliding(near: number, far: number, axisY: number, turns: number): readonly Point3[] {
  const over = axisY - 5;
  return [
    ...straight(p(near - 24, over), p(far - 4, over)),
    p(far + 9, over - 1),
    p(far + 20, over - 12),
    p(far + 16, axisY - 36),
    p(far, axisY - 43),
    ...straight(p(far - 12, axisY - 44), p(near + 8, axisY - 44), 4),
    p(near - 8, axisY - 42),
    p(near - 16, axisY - 30),
    p(near - 10, axisY - 16, 2),
    ...wraps(near, far - 8, turns, axisY, 13),
    p(far + 2, axisY - 16, 8),
    p(far + 24, axisY - 20, 12),
    p(far + 44, axisY - 24, 12),
  ];
}

/** The same knot drawn down: the line runs into its own coil, which goes back over it; the tag stands at the near end. */
export function closedSliding(
  from: number,
  near: number,
  far: number,
  axisY: number,
  turns: number,
  tag: number,
): readonly Point3[] {
  return [
    ...straight(p(from, axisY - 3), p(far, axisY - 3)),
    p(far + 7, axisY - 4),
    p(far + 8, axisY - 9),
    ...wraps(far + 2, near, turns, axisY, 10),
    p(near - 3, axisY - 13),
    p(near - 3 - 0.3 * tag, axisY - 13 - tag, 4),
  ];
}

/** An overhand knot, open: over, under, over itself. It begins at the left and leaves at the right on the same height. */
export function overhand(x: number, y: number, size: number): readonly Point3[] {
  const at = (dx: number, dy: number, z: number): Point3 => p(x + dx * size, y + dy * size, z);
  return [
    at(-1.6, 0, 0),
    at(-1, 0, 0),
    at(-0.4, 0, 0),
    at(0.3, 0, 0),
    at(0.8, -0.15, 0),
    at(1.05, -0.6, 0),
    at(0.85, -1.1, 0),
    at(0.3, -1.35, 0),
    at(-0.3, -1.35, 0),
    at(-0.85, -1.1, 3),
    at(-1, -0.6, 7),
    at(-0.75, 0.05, 9),
    at(-0.35, 0.55, 0),
    at(0.15, 0.4, -8),
    at(0.3, 0, -9),
    at(0.45, -0.4, 2),
    at(0.8, -0.55, 8),
    at(1.3, -0.5, 9),
    at(1.9, -0.35, 4),
  ];
}

/**
 * An overhand through which the end goes so many times: along the axis to the right, back over the top, and round its own line from the
 * left, leaving to the right. Once through it is an overhand, of three crossings; twice a double one, of five.
 *
 * @param size of it, from 0 to 1: the smaller, the more it is drawn down
 */
export function overhandTimes(turns: number, fromX: number, axisY: number, size: number): readonly Point3[] {
  const at = (dx: number, dy: number, z: number): Point3 => p(fromX + 30 + dx * size, axisY + dy * size, z);
  return [
    ...straight(p(fromX, axisY), at(80, 0, 0), 6),
    at(104, -6, 0),
    at(110, -26, 2),
    at(96, -42, 2),
    ...straight(at(72, -46, 2), at(24, -46, 2), 3),
    at(2, -40, 2),
    at(-4, -26, 4),
    ...wraps(fromX + 30 + 6 * size, fromX + 30 + 64 * size, turns, axisY, 17 * size + 3),
    at(78, -24, 8),
    at(104, -34, 12),
    at(132, -30, 12),
  ];
}

/** A hitch round the lines on an axis: in front of them, behind, behind itself, and out in front through its own loop. */
export function hitch(x: number, axisY: number, size: number): readonly Point3[] {
  const at = (dx: number, dy: number, z: number): Point3 => p(x + dx * size, axisY + dy * size, z);
  return [
    at(-1.5, -1, 0),
    at(-0.8, -1, 0),
    at(0, -1, 0),
    at(0.55, -0.9, 4),
    at(0.95, -0.4, 9),
    at(0.95, 0.3, 10),
    at(0.6, 0.95, 6),
    at(0, 1.1, 0),
    at(-0.6, 0.95, -5),
    at(-0.95, 0.3, -10),
    at(-0.9, -0.5, -10),
    at(-0.7, -1.2, -9),
    at(-0.3, -1.8, -2),
    at(0.05, -1.75, 4),
    at(0.2, -1.2, 9),
    at(0.25, -0.6, 10),
    at(0.45, -0.3, 6),
    at(0.75, -0.45, -3),
    at(1.15, -0.75, -8),
    at(1.6, -0.95, -5),
    at(2, -1, 0),
  ];
}
