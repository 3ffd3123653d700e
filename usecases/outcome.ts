/** A bad field of a request, by its path, with a sentence for the person who filled it in. */
export interface FieldProblem {
  readonly path: string;
  readonly message: string;
}

/**
 * Why a request was not carried out: nothing was stored. 404 no such thing on this boat, 409 somebody
 * else was quicker or it is not the moment, 422 the figures cannot be right.
 */
export interface Refusal {
  readonly ok: false;
  readonly status: 404 | 409 | 422;
  readonly message: string;
  readonly fields: readonly FieldProblem[];
}

export type UseCaseOutcome<T> = { readonly ok: true; readonly value: T } | Refusal;

export function done<T>(value: T): UseCaseOutcome<T> {
  return { ok: true, value };
}

export function notFound(what: string): Refusal {
  return { ok: false, status: 404, message: `There is no such ${what} on this boat.`, fields: [] };
}

export function conflict(message: string): Refusal {
  return { ok: false, status: 409, message, fields: [] };
}

export function invalid(path: string, message: string): Refusal {
  return { ok: false, status: 422, message, fields: [{ path, message }] };
}

export const CHANGED_ELSEWHERE =
  'Somebody changed this on another device in the meantime. Reload to see what they did; what you typed here is kept.';
