/** Numbers in a row of the table for each unit of the argument: cubic pieces of this width are off by about a billionth. */
const A_UNIT = 32;

/**
 * A smooth function read from a table between two arguments, by cubic Hermite pieces: for inner loops that ask a slow one many
 * millions of times. Outside the two it is the function itself.
 *
 * @param of the function, and `slope` its derivative
 * @param from first argument in the table, a whole number; `to` the last
 */
export function tabled(
  of: (x: number) => number,
  slope: (x: number) => number,
  from: number,
  to: number,
): (x: number) => number {
  const count = (to - from) * A_UNIT + 1;
  const values = Float64Array.from({ length: count }, (_, index) => of(from + index / A_UNIT));
  const slopes = Float64Array.from({ length: count }, (_, index) => slope(from + index / A_UNIT) / A_UNIT);
  return (x) => {
    if (!(x >= from && x < to)) return of(x);
    const place = (x - from) * A_UNIT;
    const index = Math.floor(place);
    const t = place - index;
    const low = values[index] as number;
    const step = (values[index + 1] as number) - low;
    const before = (slopes[index] as number) - step;
    const after = step - (slopes[index + 1] as number);
    return low + t * (step + (1 - t) * (before + t * (after - before)));
  };
}
