/** How a ribbon lies on the screen: hook left to arbor right, or hook at the top on a phone. */
export type Orientation = 'lying' | 'upright';

/** Places what is drawn along and across the line on the screen, so that drawings need no second form. */
export class Plane {
  constructor(
    readonly orientation: Orientation,
    /** Empty pixels before the hook. */
    private readonly margin: number,
  ) {}

  size(alongPx: number, acrossPx: number): { width: number; height: number } {
    return this.orientation === 'lying' ? { width: alongPx, height: acrossPx } : { width: acrossPx, height: alongPx };
  }

  point(along: number, across: number): { x: number; y: number } {
    const shifted = along + this.margin;
    return this.orientation === 'lying' ? { x: shifted, y: across } : { x: across, y: shifted };
  }

  rect(from: number, to: number, across: number, thickness: number) {
    const { x, y } = this.point(from, across);
    const length = Math.max(to - from, 0);
    return this.orientation === 'lying'
      ? { x, y, width: length, height: thickness }
      : { x, y, width: thickness, height: length };
  }

  acrossLine(along: number, from: number, to: number) {
    const a = this.point(along, from);
    const b = this.point(along, to);
    return { x1: a.x, y1: a.y, x2: b.x, y2: b.y };
  }

  /** Many lines across, as the data of one path: a ruler has two hundred ticks, and one thing on the page is enough for them. */
  acrossLines(along: readonly number[], from: number, to: number): string {
    const px = (value: number): string => value.toFixed(2);
    return along
      .map((each) => {
        const { x1, y1, x2, y2 } = this.acrossLine(each, from, to);
        return `M${px(x1)} ${px(y1)}L${px(x2)} ${px(y2)}`;
      })
      .join('');
  }
}
