import { asId } from '@/usecases/inputs';
import { ROUTES, type RequestName } from '@/usecases/requests/routes';

const PATTERNS = Object.entries(ROUTES).map(([name, { method, path }]) => ({
  name: name as RequestName,
  method: method as string,
  parts: path.split('/').slice(2),
}));

/** What a path asks for: its request, or that nothing has this path (404) or not by this method (405). */
export type Match =
  | { readonly name: RequestName; readonly params: Readonly<Record<string, string>> }
  | { readonly status: 404 }
  | { readonly status: 405; readonly allow: string };

/** Finds the request of a path under /api. Parameters are identifiers, in lower case; anything else is not found. */
export function matchRequest(method: string, parts: readonly string[]): Match {
  const fitting = PATTERNS.flatMap((pattern) => {
    const params = paramsOf(pattern.parts, parts);
    return params ? [{ ...pattern, params }] : [];
  });
  const found = fitting.find((pattern) => pattern.method === method);
  if (found) return { name: found.name, params: found.params };
  return fitting.length > 0
    ? { status: 405, allow: fitting.map((pattern) => pattern.method).join(', ') }
    : { status: 404 };
}

function paramsOf(pattern: readonly string[], parts: readonly string[]): Readonly<Record<string, string>> | null {
  if (pattern.length !== parts.length) return null;
  const params: Record<string, string> = {};
  for (const [index, part] of pattern.entries()) {
    const given = parts[index] ?? '';
    if (!part.startsWith(':')) {
      if (part !== given) return null;
      continue;
    }
    const id = asId(given);
    if (id === null) return null;
    params[part.slice(1)] = id;
  }
  return params;
}
