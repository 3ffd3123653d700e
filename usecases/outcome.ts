import { because, type RefusalReason } from '../core/reasons';

/** A bad field of a request, by its path, with the reason. */
export interface FieldProblem {
  readonly path: string;
  readonly why: RefusalReason;
}

/**
 * Why a request was not carried out: nothing was stored. 404 no such thing on this boat, 409 somebody
 * else was quicker or it is not the moment, 422 the figures cannot be right.
 */
export interface Refusal {
  readonly ok: false;
  readonly status: 404 | 409 | 422;
  readonly why: RefusalReason;
  readonly fields: readonly FieldProblem[];
}

export type UseCaseOutcome<T> = { readonly ok: true; readonly value: T } | Refusal;

export function done<T>(value: T): UseCaseOutcome<T> {
  return { ok: true, value };
}

export function notFound(what: string): Refusal {
  return { ok: false, status: 404, why: because('no-such-thing', { what }), fields: [] };
}

export function conflict(why: RefusalReason): Refusal {
  return { ok: false, status: 409, why, fields: [] };
}

export function invalid(path: string, why: RefusalReason): Refusal {
  return { ok: false, status: 422, why, fields: [{ path, why }] };
}
