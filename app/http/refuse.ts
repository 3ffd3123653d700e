import 'server-only';
import type { FieldProblem } from '@/usecases/outcome';
import { constraintOf, isBusyOrGone } from '@/usecases/requests/trouble';

/** Seconds after which a client whose request could not be taken now tries again. */
const RETRY_AFTER_S = 2;

export function refuse(status: number, message: string, fields: readonly FieldProblem[] = []): Response {
  const headers: HeadersInit = status === 503 ? { 'retry-after': String(RETRY_AFTER_S) } : {};
  return Response.json({ error: { message, fields } }, { status, headers });
}

/** The answer to an error; nothing of the server's inside ever goes out. */
export function refuseError(error: unknown): Response {
  const constraint = constraintOf(error);
  if (constraint) return refuse(...constraint);
  if (isBusyOrGone(error)) {
    return refuse(503, 'The records cannot be reached just now. Nothing was lost; it is tried again in a moment.');
  }
  if (error instanceof Error && error.name === 'AbortError') return refuse(499, 'The request was given up.');
  console.error('request failed:', error);
  return refuse(500, 'Something went wrong on the server. Nothing was stored; try again.');
}
