import 'server-only';
import type { z } from 'zod';
import { isUuid } from '@/usecases/limits';
import type { FieldProblem, UseCaseOutcome } from '@/usecases/outcome';

/** Requests are a stack of segments at most; anything larger is not one. */
const LARGEST_BODY = 256 * 1024;

function refuse(status: number, message: string, fields: readonly FieldProblem[] = []): Response {
  return Response.json({ error: { message, fields } }, { status });
}

async function readJson(request: Request): Promise<{ json: unknown } | { refusal: Response }> {
  if (!(request.headers.get('content-type') ?? '').startsWith('application/json')) {
    return { refusal: refuse(415, 'Send JSON.') };
  }
  const text = await request.text();
  if (text.length > LARGEST_BODY) return { refusal: refuse(413, 'That is too much for one request.') };
  try {
    return { json: JSON.parse(text) };
  } catch {
    return { refusal: refuse(400, 'That is not JSON.') };
  }
}

function fromElsewhere(request: Request): boolean {
  const origin = request.headers.get('origin');
  // A sandboxed page sends the word "null".
  return origin !== null && (!URL.canParse(origin) || new URL(origin).host !== request.headers.get('host'));
}

/** PostgreSQL's codes for a constraint that a request has run into. */
const CONSTRAINT_ANSWERS: Readonly<Record<string, [number, string]>> = {
  '23505': [409, 'That stands here already.'],
  '23503': [409, 'Something that this belongs to is not there any more. Reload the page.'],
  '23514': [422, 'One of the figures is outside what can be kept.'],
};

function answerToError(error: unknown): Response {
  const code = typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
  const known = CONSTRAINT_ANSWERS[code];
  if (known) return refuse(...known);
  console.error('request failed:', error);
  return refuse(500, 'Something went wrong on the server. Nothing was stored; try again.');
}

/**
 * Makes a route handler from a schema and a use case. Bad fields are answered with 422 and a sentence
 * for each; nothing of the server's inside ever goes out.
 */
export function answer<S extends z.ZodType, P extends Record<string, string>>(
  schema: S,
  work: (params: P, input: z.output<S>) => Promise<UseCaseOutcome<unknown>>,
) {
  return async (request: Request, context: { params: Promise<P> }): Promise<Response> => {
    if (fromElsewhere(request)) return refuse(403, 'This request comes from another site.');
    // A route without parameters has none to wait for.
    const params = (await context.params) ?? ({} as P);
    if (Object.values(params).some((value) => !isUuid(value))) return refuse(404, 'There is no such thing here.');
    const body = await readJson(request);
    if ('refusal' in body) return body.refusal;
    const parsed = schema.safeParse(body.json);
    if (!parsed.success) {
      const fields = parsed.error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }));
      return refuse(422, fields[0]?.message ?? 'The request cannot be read.', fields);
    }
    try {
      const outcome = await work(params, parsed.data);
      if (!outcome.ok) return refuse(outcome.status, outcome.message, outcome.fields);
      return outcome.value instanceof ReadableStream
        ? new Response(outcome.value, { headers: { 'content-type': 'text/plain; charset=utf-8' } })
        : Response.json(outcome.value);
    } catch (error) {
      return answerToError(error);
    }
  };
}
