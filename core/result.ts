import type { FailureOf, ReasonKind } from './reasons';

export { failure } from './reasons';

/**
 * The one bad-input policy of the core: a programming error throws, an expected outcome is a tagged
 * result. A failure carries its reason with figures in SI, for the dictionary to word in the reader's own units.
 */
export type Failure<R extends ReasonKind = ReasonKind> = FailureOf<R>;

export interface Success<T> {
  readonly ok: true;
  readonly value: T;
}

export type Outcome<T, R extends ReasonKind = ReasonKind> = Success<T> | Failure<R>;

export function success<T>(value: T): Success<T> {
  return { ok: true, value };
}

/**
 * Throws when a figure that must be a positive finite number is not one: a programming error, since
 * every boundary checks its input first.
 */
export function requirePositive(functionName: string, figures: Readonly<Record<string, number>>): void {
  // A plain loop: this runs thousands of times at every key stroke in a plan.
  for (const name in figures) {
    const value = figures[name] ?? NaN;
    if (!(value > 0 && value < Infinity)) {
      throw new RangeError(`${functionName}: ${name} must be a positive finite number, not ${value}`);
    }
  }
}

/** Like {@link requirePositive}, but zero is allowed. */
export function requireNotNegative(functionName: string, figures: Readonly<Record<string, number>>): void {
  for (const name in figures) {
    const value = figures[name] ?? NaN;
    if (!(value >= 0 && value < Infinity)) {
      throw new RangeError(`${functionName}: ${name} must be zero or a positive finite number, not ${value}`);
    }
  }
}
