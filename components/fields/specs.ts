import { because, type Reason } from '@/core/reasons';
import { success, type Outcome } from '@/core/result';
import type { Quantity } from '@/core/units/units';
import { readTyped, type Limits, type Typed } from './typedQuantity';

/**
 * What a field of a form is: what stands in it at first, how what was typed is read, and how what was kept over a reload is told
 * from what an older version kept.
 */
export interface Spec<Raw, Value> {
  readonly kind: string;
  readonly fresh: Raw;
  read(raw: Raw): Outcome<Value>;
  isRaw(kept: unknown): kept is Raw;
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a form holds specs of every kind
export type Specs = Readonly<Record<string, Spec<any, any>>>;

const isTyped = (kept: unknown): kept is Typed | null =>
  kept === null ||
  (typeof kept === 'object' &&
    'text' in kept &&
    typeof kept.text === 'string' &&
    'unit' in kept &&
    typeof kept.unit === 'string');

export interface QuantitySpec extends Spec<Typed | null, number | null> {
  readonly quantity: Quantity;
  readonly limits: Limits;
  readonly initialSi: number | null;
}

/** A quantity in the person's own units; null while nothing stands in it. */
export function quantity(of: Quantity, limits: Limits, initialSi: number | null = null): QuantitySpec {
  return {
    kind: `quantity ${of}`,
    quantity: of,
    limits,
    initialSi,
    fresh: null,
    read: (raw) => readTyped(raw, initialSi, of, limits),
    isRaw: isTyped,
  };
}

/** The same, where nothing is no answer. */
export function neededQuantity(of: Quantity, limits: Limits, initialSi: number | null = null) {
  const open = quantity(of, limits, initialSi);
  return {
    ...open,
    read: (raw: Typed | null): Outcome<number> => {
      const read = open.read(raw);
      if (!read.ok) return read;
      return read.value === null ? missing() : success(read.value);
    },
  };
}

const missing = () => ({ ok: false as const, ...because('nothing-typed') });
const wrong = (reason: Reason) => ({ ok: false as const, ...reason });

/** A number without a unit, with a point or a comma; null while nothing stands in it. */
export function number(limits: Limits, initial: number | null = null): Spec<string, number | null> {
  return {
    kind: 'number',
    fresh: initial === null ? '' : String(initial),
    read: (raw) => {
      const typed = raw.trim();
      if (typed === '') return success(null);
      const value = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/.test(typed) ? Number(typed.replace(',', '.')) : NaN;
      if (Number.isNaN(value)) return wrong(because('not-a-number', { typed }));
      if (value < limits.min) return wrong(because('too-small'));
      return value > limits.max ? wrong(because('too-large')) : success(value);
    },
    isRaw: (kept): kept is string => typeof kept === 'string',
  };
}

/** A number where nothing is no answer. */
export function neededNumber(limits: Limits, initial: number | null = null): Spec<string, number> {
  const open = number(limits, initial);
  return {
    ...open,
    read: (raw) => {
      const read = open.read(raw);
      if (!read.ok) return read;
      return read.value === null ? missing() : success(read.value);
    },
  };
}

/** A few words. */
export function words(fresh = ''): Spec<string, string> {
  return { kind: 'words', fresh, read: success, isRaw: (kept): kept is string => typeof kept === 'string' };
}

/** A few words, where nothing is no answer. */
export function neededWords(fresh = ''): Spec<string, string> {
  return { ...words(fresh), read: (raw) => (raw.trim() === '' ? missing() : success(raw)) };
}

/** One of a few. */
export function choice<const W extends string>(of: readonly W[], fresh: W): Spec<W, W> {
  return {
    kind: 'choice',
    fresh,
    read: success,
    isRaw: (kept): kept is W => (of as readonly unknown[]).includes(kept),
  };
}

/** One of what is there now; the first of them where what was chosen is not, which is also what the list then shows. */
export function pick(ids: readonly string[]): Spec<string, string> {
  const first = ids[0] ?? '';
  return { ...words(first), kind: 'pick', read: (raw) => success(ids.includes(raw) ? raw : first) };
}

/** Yes or no. */
export function check(fresh = false): Spec<boolean, boolean> {
  return { kind: 'check', fresh, read: success, isRaw: (kept): kept is boolean => typeof kept === 'boolean' };
}

/** Rows of words, any number of them. */
export function rows(fresh: readonly string[] = []): Spec<readonly string[], readonly string[]> {
  return {
    kind: 'rows',
    fresh,
    read: success,
    isRaw: (kept): kept is readonly string[] => Array.isArray(kept) && kept.every((row) => typeof row === 'string'),
  };
}
