import 'server-only';
import type { TimedLines } from '@/usecases/bench/virtualBench';
import { asId } from '@/usecases/inputs';
import { perform } from '@/usecases/requests/perform';
import type { RequestName, RequestParams } from '@/usecases/requests/routes';
import { SCHEMAS, type RequestBody } from '@/usecases/requests/schemas';
import { readJson } from './body';
import { isFromElsewhere } from './doors';
import { matchRequest } from './match';
import { principalOfRequest } from './principal';
import { refuse, refuseBecause, refuseError } from './refuse';
import { inRealTime } from './timedLines';

/** The head that carries the key of an act: the same key again gives the same answer and no second row. */
const ONCE_KEY = 'x-once-key';

/** Requests whose answer is an instrument's stream. */
const STREAMED: ReadonlySet<RequestName> = new Set<RequestName>(['streamVirtualGauge', 'streamVirtualPull']);

/**
 * Answers a request under /api. Bad fields are answered with 422 and a sentence for each; nothing of the server's inside
 * ever goes out.
 */
export async function answerRequest(request: Request, path: readonly string[]): Promise<Response> {
  if (isFromElsewhere(request)) return refuse(403, 'This request comes from another site.');
  const match = matchRequest(request.method, path);
  if ('status' in match) return refuse(match.status, 'There is no such thing here.');
  const key = asId(request.headers.get(ONCE_KEY) ?? '');
  if (key === null) return refuse(400, 'A request carries a key of its own, so that it is carried out once.');
  const body = await readJson(request);
  if ('refusal' in body) return body.refusal;
  return answerChecked(request, match.name, match.params, body.json, key);
}

async function answerChecked<N extends RequestName>(
  request: Request,
  name: N,
  params: Readonly<Record<string, string>>,
  json: unknown,
  key: string,
): Promise<Response> {
  const parsed = SCHEMAS[name].safeParse(json);
  if (!parsed.success) {
    const fields = parsed.error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }));
    return refuse(422, fields[0]?.message ?? 'The request cannot be read.', fields);
  }
  try {
    // The table ties a path's parameters and the schema's output to the request's name; TypeScript cannot follow it there.
    const input = parsed.data as RequestBody<N>;
    const asked = params as RequestParams<N>;
    const outcome = await perform(principalOfRequest(request), name, asked, input, key, request.signal);
    if (!outcome.ok) return refuseBecause(request, outcome);
    return STREAMED.has(name) ? inRealTime(outcome.value as TimedLines) : Response.json(outcome.value);
  } catch (error) {
    return refuseError(request, error);
  }
}
