import 'server-only';
import { refuse } from './refuse';

/** Requests are a stack of segments or a small picture at the most; anything larger is not one. */
const LARGEST_BODY = 288 * 1024;
/** A body that has not come by then (ms) does not come. */
const SLOWEST_BODY_MS = 15_000;

/** Reads a JSON body, counted while it streams and waited for no longer than a slow phone takes. */
export async function readJson(request: Request): Promise<{ json: unknown } | { refusal: Response }> {
  const type = (request.headers.get('content-type') ?? '')
    .toLowerCase()
    .split(';')
    .map((part) => part.trim());
  if (type[0] !== 'application/json' || type.slice(1).some((part) => part !== 'charset=utf-8')) {
    return { refusal: refuse(415, 'Send JSON.') };
  }
  const bytes = await readBytes(request);
  if ('refusal' in bytes) return bytes;
  try {
    return { json: JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes.body)) };
  } catch {
    return { refusal: refuse(400, 'That is not JSON.') };
  }
}

async function readBytes(request: Request): Promise<{ body: Uint8Array } | { refusal: Response }> {
  const reader = request.body?.getReader();
  if (!reader) return { body: new Uint8Array() };
  const chunks: Uint8Array[] = [];
  let size = 0;
  let late: NodeJS.Timeout | undefined;
  const tooLate = new Promise<'late'>((resolve) => {
    late = setTimeout(() => resolve('late'), SLOWEST_BODY_MS);
  });
  try {
    for (;;) {
      const next = await Promise.race([reader.read(), tooLate]);
      if (next === 'late') {
        void reader.cancel();
        return { refusal: refuse(408, 'The request took too long to arrive. Nothing was stored; try again.') };
      }
      if (next.done) break;
      size += next.value.byteLength;
      if (size > LARGEST_BODY) {
        void reader.cancel();
        return { refusal: refuse(413, 'That is too much for one request.') };
      }
      chunks.push(next.value);
    }
  } catch {
    return { refusal: refuse(400, 'The request broke off. Nothing was stored; try again.') };
  } finally {
    clearTimeout(late);
  }
  return { body: Buffer.concat(chunks) };
}
