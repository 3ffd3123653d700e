import type { ReplyOf } from '@/usecases/requests/handlers';
import { addressOf, ROUTES, type RequestName, type RequestParams } from '@/usecases/requests/routes';
import type { RequestInput } from '@/usecases/requests/schemas';
import { heardServer } from '@/components/ui/reach';
import { onceHead } from './onceKey';
import { onTheWay } from './onTheWay';

interface ErrorBody {
  readonly error: {
    readonly message: string;
    readonly fields: readonly { readonly path: string; readonly message: string }[];
  };
}

/** True for what this application's own server says of a refusal; anything else did not come from it. */
function isErrorBody(json: unknown): json is ErrorBody {
  const error = typeof json === 'object' && json !== null && 'error' in json ? json.error : null;
  if (typeof error !== 'object' || error === null || !('message' in error) || !('fields' in error)) return false;
  const isField = (field: unknown): boolean =>
    typeof field === 'object' && field !== null && 'path' in field && 'message' in field;
  return typeof error.message === 'string' && Array.isArray(error.fields) && error.fields.every(isField);
}

/**
 * @property isBehind refused because the record is no longer what this page shows
 * @property isUnheard no answer came, or none that says whether it was carried out: sent again it is carried out once
 */
export interface SendFailure {
  readonly ok: false;
  readonly isBehind?: boolean;
  readonly isUnheard?: boolean;
  readonly message: string;
  readonly fields: Readonly<Record<string, string>>;
}

/** @property actId the key of the act: its id in the history of its rig */
export type SendResult<T> = { readonly ok: true; readonly value: T; readonly actId: string } | SendFailure;

/** Tries of a request that the server cannot take just now, and the longest that is waited between them (s). */
const TRIES = 4;
const LONGEST_WAIT_S = 5;

/**
 * Sends a request of the table to this application's own server; every failure comes back as a sentence. Sent again after an answer was
 * lost, it carries the same key, so that it is carried out once.
 *
 * @param signal stops waiting for the answer; what was sent may be carried out all the same
 */
export async function send<N extends RequestName>(
  name: N,
  params: RequestParams<N>,
  body: RequestInput<N>,
  signal: AbortSignal | null = null,
): Promise<SendResult<ReplyOf<N>>> {
  const { method } = ROUTES[name];
  const path = addressOf(name, params);
  const act = onceHead(method, path, body);
  const over = onTheWay();
  let isDone = false;
  try {
    const response = await post(method, path, body, act.head, signal);
    const json: unknown = await response.json();
    heardServer(true);
    // 499 and above say nothing of whether it was carried out; anything else does, once all of it was heard.
    const isHeard = response.status < 499;
    if (isHeard) act.answered();
    // The table gives the request's answer its type: server and browser are built from one source.
    isDone = response.ok;
    if (response.ok) return { ok: true, value: json as ReplyOf<N>, actId: act.key };
    if (!isErrorBody(json))
      return isHeard
        ? { ok: false, message: 'Something other than Tidy Marlin answered. Nothing was stored.', fields: {} }
        : unheard('Something other than Tidy Marlin answered.');
    const fields = Object.fromEntries(json.error.fields.map(({ path: at, message }) => [at, message]));
    return {
      ...{ ok: false, isBehind: response.status === 409, isUnheard: !isHeard },
      ...{ message: json.error.message, fields },
    };
  } catch {
    if (!signal?.aborted) heardServer(false);
    return unheard(signal?.aborted ? 'You stopped waiting for the answer.' : 'The server cannot be reached.');
  } finally {
    over(isDone);
  }
}

/** Nobody knows whether it was carried out. */
const unheard = (what: string): SendFailure => ({
  ...{ ok: false, isUnheard: true, fields: {} },
  message: `${what} What you typed is kept here; try again: it is stored once, even if it got through.`,
});

async function post(
  method: string,
  path: string,
  body: unknown,
  head: Record<string, string>,
  signal: AbortSignal | null,
): Promise<Response> {
  for (let attempt = 1; ; attempt += 1) {
    const response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json', ...head },
      body: JSON.stringify(body),
      signal,
    });
    if (response.status !== 503 || attempt === TRIES) return response;
    const waitS = Math.min(Number(response.headers.get('retry-after') ?? 1) || 1, LONGEST_WAIT_S);
    await new Promise((resume) => setTimeout(resume, waitS * 1000));
  }
}
