/**
 * The one bad-input policy of the core: a programming error throws, an expected outcome is a tagged
 * result. A failure carries a reason for code, figures in SI for whoever words it in the reader's
 * own units, and a plain sentence in SI.
 */
export interface Failure<R extends string = string> {
  readonly ok: false;
  readonly reason: R;
  readonly message: string;
  readonly figures: Readonly<Record<string, number>>;
}

export interface Success<T> {
  readonly ok: true;
  readonly value: T;
}

export type Outcome<T, R extends string = string> = Success<T> | Failure<R>;

export function success<T>(value: T): Success<T> {
  return { ok: true, value };
}

export function failure<R extends string>(
  reason: R,
  message: string,
  figures: Readonly<Record<string, number>> = {},
): Failure<R> {
  return { ok: false, reason, message, figures };
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
