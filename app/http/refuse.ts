import 'server-only';
import { UNIT_COOKIE, readUnitCookie } from '@/components/units/unitCookie';
import type { RefusalReason } from '@/core/reasons';
import type { Refusal } from '@/usecases/outcome';
import { constraintOf, isBusyOrGone } from '@/usecases/requests/trouble';

import { formatterFor, type Formatter } from '@/words/format';
import { refusalWords } from '@/words/refusals';
import { cookieOf } from './cookies';

/** Seconds after which a client whose request could not be taken now tries again. */
const RETRY_AFTER_S = 2;

/** A bad field of a request, by its path, in words. */
interface FieldWords {
  readonly path: string;
  readonly message: string;
}

/** Refuses in words alone: what stands in the way is not of the trade. */
export function refuse(status: number, message: string, fields: readonly FieldWords[] = []): Response {
  return answered(status, { message, fields });
}

/** Refuses with a reason: worded in the sender's units, with kind and figures beside it for programs. */
export function refuseBecause(
  request: Request,
  { status, why, fields }: Pick<Refusal, 'why' | 'fields'> & { readonly status: number },
): Response {
  const format = formatOf(request);
  const { reason, figures } = why;
  return answered(status, {
    message: refusalWords(why, format),
    reason,
    figures,
    fields: fields.map((field) => ({ path: field.path, message: refusalWords(field.why, format) })),
  });
}

/** The answer to an error; nothing of the server's inside ever goes out. */
export function refuseError(request: Request, error: unknown): Response {
  const constraint = constraintOf(error);
  if (constraint) return refuseBecause(request, { status: constraint[0], why: constraint[1], fields: [] });
  if (isBusyOrGone(error)) {
    return refuse(503, 'The records cannot be reached just now. Nothing was lost; it is tried again in a moment.');
  }
  if (error instanceof Error && error.name === 'AbortError') return refuse(499, 'The request was given up.');
  console.error('request failed:', error);
  return refuse(500, 'Something went wrong on the server. Nothing was stored; try again.');
}

interface ErrorBody {
  readonly message: string;
  readonly reason?: RefusalReason['reason'];
  readonly figures?: RefusalReason['figures'];
  readonly fields: readonly FieldWords[];
}

function answered(status: number, error: ErrorBody): Response {
  const headers: HeadersInit = status === 503 ? { 'retry-after': String(RETRY_AFTER_S) } : {};
  return Response.json({ error }, { status, headers });
}

function formatOf(request: Request): Formatter {
  return formatterFor(readUnitCookie(cookieOf(request, UNIT_COOKIE)));
}
