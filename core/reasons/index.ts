import { ACT_REASONS } from './acts';
import { COUNT_REASONS } from './count';
import { DRAG_REASONS } from './drag';
import { ERROR_REASONS } from './errors';
import { JOIN_REASONS } from './joins';
import { LOAD_REASONS } from './load';
import { LOG_REASONS } from './log';
import type { Measure } from './measures';
import { SPOOL_REASONS } from './spool';
import { STATION_REASONS } from './stations';
import { STRENGTH_REASONS } from './strength';
import { TOW_REASONS } from './tow';
import { TYPED_REASONS } from './typed';

/**
 * Every kind of reason that a page may show, with its parameters. Core and use cases word nothing: the dictionary in `words`
 * says each in the reader's own units, and does not compile without a sentence for every kind. Why an act was refused is
 * said by the server alone, so those kinds stand beside the others.
 */
export const REASONS = {
  ...SPOOL_REASONS,
  ...COUNT_REASONS,
  ...STRENGTH_REASONS,
  ...ERROR_REASONS,
  ...DRAG_REASONS,
  ...LOAD_REASONS,
  ...JOIN_REASONS,
  ...STATION_REASONS,
  ...TOW_REASONS,
  ...TYPED_REASONS,
  ...LOG_REASONS,
} as const;

export { ACT_REASONS, LOG_REASONS };

export type ReasonKind = keyof typeof REASONS;
export type ActKind = keyof typeof ACT_REASONS;
export type LogKind = keyof typeof LOG_REASONS;

interface Values {
  readonly length: number;
  readonly small: number;
  readonly hand: number;
  readonly volume: number;
  readonly force: number;
  readonly share: number;
  readonly number: number;
  readonly name: string;
  readonly names: readonly string[];
  readonly reason: Reason;
}

/** The figures and names of a table's entry; figures in SI. */
export type FiguresOf<T> = { readonly [P in keyof T]: T[P] extends Measure ? Values[T[P]] : never };

type AnyTable = typeof REASONS & typeof ACT_REASONS;
type AnyKind = ReasonKind | ActKind;

type ReasonOf<K extends AnyKind> = {
  readonly [P in K]: { readonly reason: P; readonly figures: FiguresOf<AnyTable[P]> };
}[K];

/** A reason of one of the kinds `K`, with its figures. */
export type Reason<K extends ReasonKind = ReasonKind> = ReasonOf<K>;

/** Why an act was refused: of a kind of its own, or a reason that a page may show too. */
export type RefusalReason = ReasonOf<AnyKind>;

/** Reasons of a kind without parameters need none. */
type FiguresAsked<K extends AnyKind> = keyof AnyTable[K] extends never
  ? [figures?: FiguresOf<AnyTable[K]>]
  : [figures: FiguresOf<AnyTable[K]>];

/** A reason with its figures (SI). */
export function because<K extends AnyKind>(reason: K, ...[figures]: FiguresAsked<K>): ReasonOf<K> {
  return { reason, figures: figures ?? {} } as unknown as ReasonOf<K>;
}

/** A failure of one of the kinds `R`, told apart by its reason. */
export type FailureOf<R extends ReasonKind> = { readonly [K in R]: { readonly ok: false } & Reason<K> }[R];

/** A failed outcome with its reason and the figures (SI) behind it. */
export function failure<R extends ReasonKind>(reason: R, ...figures: FiguresAsked<R>): FailureOf<R> {
  return { ok: false, ...because(reason, ...figures) } as unknown as FailureOf<R>;
}
