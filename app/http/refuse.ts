import 'server-only';
import { codeOf } from '@/db/withBoat';
import type { FieldProblem } from '@/usecases/outcome';

/** Seconds after which a client whose request could not be taken now tries again. */
export const RETRY_AFTER_S = 2;

export function refuse(status: number, message: string, fields: readonly FieldProblem[] = []): Response {
  const headers: HeadersInit = status === 503 ? { 'retry-after': String(RETRY_AFTER_S) } : {};
  return Response.json({ error: { message, fields } }, { status, headers });
}

/** PostgreSQL's codes for a constraint that a request has run into. */
const CONSTRAINT_ANSWERS: Readonly<Record<string, readonly [number, string]>> = {
  '23505': [409, 'That stands here already.'],
  '23503': [409, 'Something that this belongs to is not there any more. Reload the page.'],
  '23514': [422, 'One of the figures is outside what can be kept.'],
  '22003': [422, 'One of the figures is outside what can be kept.'],
  '22021': [422, 'There is a character in it that cannot be kept.'],
  '22P05': [422, 'There is a character in it that cannot be kept.'],
};

/**
 * True when the database cannot take work just now: it is gone or starting (class 08, 57P0x, the network's own words), full
 * (53), all its connections are in use, or another act holds what this one needs for too long.
 */
export function isBusyOrGone(error: unknown): boolean {
  const code = codeOf(error);
  if (/^(08|53|57P0)/.test(code) || ['55P03', '57014', '40001', '40P01'].includes(code)) return true;
  if (['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ENOTFOUND', 'ETIMEDOUT'].includes(code)) return true;
  const message = error instanceof Error ? error.message : '';
  return /timeout exceeded when trying to connect|Connection terminated|Query read timeout|not queryable/.test(message);
}

/** The answer to an error; nothing of the server's inside ever goes out. */
export function refuseError(error: unknown): Response {
  const code = codeOf(error);
  const known = Object.hasOwn(CONSTRAINT_ANSWERS, code) ? CONSTRAINT_ANSWERS[code] : undefined;
  if (known) return refuse(...known);
  if (isBusyOrGone(error)) {
    return refuse(503, 'The records cannot be reached just now. Nothing was lost; it is tried again in a moment.');
  }
  if (error instanceof Error && error.name === 'AbortError') return refuse(499, 'The request was given up.');
  console.error('request failed:', error);
  return refuse(500, 'Something went wrong on the server. Nothing was stored; try again.');
}
