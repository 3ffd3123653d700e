/**
 * What a result rests on: for every measurement, default and input, a readable name and its value or
 * version as text. Kept with an accepted result; compared with today's basis it tells whether the
 * result is stale, and why.
 */
export type Basis = Readonly<Record<string, string>>;

/**
 * The names of what has changed, appeared or gone between two bases, in alphabetical order.
 *
 * @example changedSince({ 'Top shot length': '100' }, { 'Top shot length': '86' }) // ['Top shot length']
 */
export function changedSince(then: Basis, now: Basis): readonly string[] {
  const names = new Set([...Object.keys(then), ...Object.keys(now)]);
  return [...names].filter((name) => then[name] !== now[name]).toSorted();
}

/** Text for a figure in a basis: six significant digits, so that storage does not make it stale. */
export function basisFigure(value: number | null): string {
  return value === null ? 'none' : Number(value.toPrecision(6)).toString();
}
